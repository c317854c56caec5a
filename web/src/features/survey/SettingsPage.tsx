import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { groupsQuery } from '../../api/groups'
import { limits } from '../../api/limits'
import { useObserver } from '../../api/observer'
import { keptInstead, wordsOf, wrongAt } from '../../api/problem'
import { surveysQuery, useSurvey } from '../../api/surveys'
import type { Group, Survey, SurveySettings } from '../../api/types'
import { plotsQuery } from '../../common/plot/queries'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { counted } from '../../ui/words'
import { LocalRecords } from './LocalRecords'
import { sendSettings, sendSurveyClosed } from './queries'
import { AllowedPart, CallsPart, CrewPart, GroupsPart } from './settingsParts'

/** How a survey is set up; for its lead. */
export function SettingsPage() {
  const { surveyId = '' } = useParams()
  const observer = useObserver()
  const { surveys, isFetched } = useSurvey()
  const groups = useQuery(groupsQuery)
  const survey = surveys.find((one) => one.id === surveyId)
  const isNew = isFetched && !survey
  const [kept, setKept] = useState(false)
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-3xl">
        {observer.role !== 'lead' ? (
          <Notice tone="plain">Only a lead sets a survey up. Ask yours.</Notice>
        ) : (
          groups.data &&
          isFetched && (
            <>
              <PageTitle>{isNew ? 'New survey' : 'Survey settings'}</PageTitle>
              <h1 className="text-2xl">{isNew ? 'New survey' : 'Survey settings'}</h1>
              <SettingsForm
                key={survey?.version ?? 'new'}
                surveyId={surveyId}
                survey={survey}
                groups={groups.data}
                onKept={() => setKept(true)}
              />
              {kept && <Notice tone="plain">Kept.</Notice>}
            </>
          )
        )}
      </div>
    </main>
  )
}

type FormProps = {
  readonly surveyId: string
  readonly survey: Survey | undefined
  readonly groups: readonly Group[]
  readonly onKept: () => void
}

function SettingsForm({ surveyId, survey, groups, onKept }: FormProps) {
  const observer = useObserver()
  const queries = useQueryClient()
  const navigate = useNavigate()
  const { choose } = useSurvey(false)
  const [set, setSet] = useState<SurveySettings>(() => settingsOf(survey, observer.id))
  const put = (part: Partial<SurveySettings>) => setSet({ ...set, ...part })
  const change = useMutation({
    mutationFn: (asked: SurveySettings) => sendSettings(surveyId, asked),
    onSuccess: async () => {
      await queries.invalidateQueries(surveysQuery) // after which the form is made anew from what is kept
      onKept()
      if (!survey) {
        choose(surveyId) // where its lead goes on to work
        navigate('/plots')
      }
    },
  })
  const wrong = (key: string) => wrongAt(change.error, key)
  const kept = keptInstead<Survey>(change.error)
  const submit = (event: FormEvent) => {
    event.preventDefault()
    change.mutate(set)
  }

  return (
    <form onSubmit={submit} className="mt-3 grid gap-6" noValidate>
      {survey?.closedAt && <Notice tone="waiting">This survey is closed; open it again to change it.</Notice>}
      <fieldset disabled={Boolean(survey?.closedAt)} className="grid gap-6">
        <div className="grid gap-4 sm:grid-cols-2">
          <Field
            label="Name"
            className="sm:col-span-2"
            value={set.name}
            onChange={(event) => put({ name: event.target.value })}
            maxLength={limits.SurveySettings.name.longest}
            wrong={wrong('name')}
          />
          <Field
            label="District"
            value={set.district}
            onChange={(event) => put({ district: event.target.value })}
            maxLength={limits.SurveySettings.district.longest}
            wrong={wrong('district')}
          />
          <Field
            label="Season"
            type="number"
            value={set.season}
            onChange={(event) => put({ season: Number(event.target.value) })}
            wrong={wrong('season')}
          />
        </div>
        <CallsPart set={set} put={put} wrong={wrong} />
        <AllowedPart set={set} put={put} wrong={wrong} />
        <GroupsPart set={set} put={put} groups={groups} />
        <CrewPart set={set} put={put} />
        <LocalRecords groups={groups} records={set.records} onChange={(records) => put({ records })} />
        {kept && (
          <Notice tone="waiting">
            Another lead changed this survey after you opened it. Stored now: {kept.name}, {kept.defaultTier},
            wounding {kept.woundingAllowed ? 'allowed' : 'not allowed'}, {kept.members.length} in the crew.{' '}
            <Button onClick={() => change.mutate({ ...set, version: kept.version })}>
              Store mine instead
            </Button>{' '}
            <Button onClick={() => queries.invalidateQueries(surveysQuery)}>Take theirs</Button>
          </Notice>
        )}
        {change.isError && !kept && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
        <Button type="submit" look="main" disabled={change.isPending}>
          {survey ? 'Keep the settings' : 'Set the survey up'}
        </Button>
      </fieldset>
      {survey && <Closing survey={survey} />}
    </form>
  )
}

function Closing({ survey }: { readonly survey: Survey }) {
  const queries = useQueryClient()
  const close = useMutation({
    mutationFn: (closed: boolean) => sendSurveyClosed(survey.id, closed),
    onSuccess: () => queries.invalidateQueries(surveysQuery),
  })
  return (
    <div className="flex flex-wrap items-center justify-between gap-3 border-t border-line pt-4">
      <p>A closed survey can be read, and nothing of it changed.</p>
      {survey.closedAt ? (
        <Button onClick={() => close.mutate(false)} disabled={close.isPending}>
          Open the survey again
        </Button>
      ) : (
        <Confirm words="Close the survey" disabled={close.isPending} onConfirm={() => close.mutate(true)}>
          <Unfinished survey={survey} />
        </Confirm>
      )}
      {close.isError && <Notice tone="wrong">{wordsOf(close.error)}</Notice>}
    </div>
  )
}

/** What closing would leave as it is. */
function Unfinished({ survey }: { readonly survey: Survey }) {
  const plots = useQuery(plotsQuery(survey.id))
  if (plots.isError) return <Notice tone="wrong">{wordsOf(plots.error)}</Notice>
  if (!plots.data) return <OnItsWay of={plots}>Counting what is open …</OnItsWay>
  const open = plots.data.reduce((sum, plot) => sum + plot.open + plot.comeBack, 0)
  return (
    <p>
      <strong>{survey.name}</strong> can then be read, and nothing of it changed, by anybody.{' '}
      {open === 0
        ? 'Every call of it is signed.'
        : `${counted(open, 'tree')} of it ${open === 1 ? 'is' : 'are'} not signed and would stay so.`}{' '}
      A lead can open it again.
    </p>
  )
}

function settingsOf(survey: Survey | undefined, observerId: string): SurveySettings {
  if (survey) {
    const { id: _id, closedAt: _closedAt, ...settings } = survey
    return settings
  }
  return {
    name: '',
    district: '',
    season: new Date().getFullYear(),
    groups: [],
    defaultTier: 'tally',
    woundingAllowed: false,
    photoPositionKept: false,
    controlUsed: false,
    laboratoryUsed: true,
    plainShare: limits.SurveySettings.plainShare.usual,
    members: [observerId],
    records: [],
  }
}
