import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { choiceOf, SCHOOLS, TIERS } from '../../api/codes'
import { groupsQuery } from '../../api/groups'
import { limits } from '../../api/limits'
import { useObserver } from '../../api/observer'
import { peopleQuery } from '../../api/people'
import { Problem, wordsOf, wrongAt } from '../../api/problem'
import { surveysQuery, useSurvey } from '../../api/surveys'
import type { Group, Survey, SurveySettings } from '../../api/types'
import { plotsQuery } from '../../shared/plot/queries'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { PageTitle } from '../../ui/PageTitle'
import { counted } from '../../ui/words'
import { LocalRecords } from './LocalRecords'
import { sendSettings, sendSurveyClosed, thresholdQuery } from './queries'

const TIER_CHOICES = TIERS.map(choiceOf)
const WEIGHTS = [{ value: 'own', text: 'each sheet’s own weights' } as const, ...SCHOOLS.map(choiceOf)]

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
  const people = useQuery(peopleQuery)
  const { choose } = useSurvey(false)
  const [set, setSet] = useState<SurveySettings>(() => settingsOf(survey, observer.id))
  const thresholdWords = useThresholdWords(set)
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
  const close = useMutation({
    mutationFn: (closed: boolean) => sendSurveyClosed(surveyId, closed),
    onSuccess: () => queries.invalidateQueries(surveysQuery),
  })
  const wrong = (key: string) => wrongAt(change.error, key)
  const kept =
    change.error instanceof Problem && change.error.isStale ? (change.error.kept as Survey) : undefined
  const submit = (event: FormEvent) => {
    event.preventDefault()
    change.mutate(set)
  }
  const costed = set.wrongYes != null || set.wrongNo != null

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
        <Part
          title="Calls"
          words="What a call is for until its observer says otherwise, and whose weights count."
        >
          <OneOf
            label="Default tier"
            options={TIER_CHOICES}
            value={set.defaultTier}
            onChange={(defaultTier) => put({ defaultTier })}
          />
          {wrong('defaultTier') && <p className="text-rust-ink">{wrong('defaultTier')}</p>}
          <OneOf
            label="Weights"
            options={WEIGHTS}
            value={set.school ?? 'own'}
            onChange={(school) => put({ school: school === 'own' ? null : school })}
          />
          <Tick
            on={costed}
            words="Set the threshold by costs"
            onChange={(on) => put(on ? { wrongYes: 9, wrongNo: 1 } : { wrongYes: null, wrongNo: null })}
          />
          {costed && (
            <div className="grid grid-cols-2 gap-4">
              <Field
                label="A wrong yes costs"
                type="number"
                step="any"
                value={set.wrongYes ?? ''}
                onChange={(event) => put({ wrongYes: Number(event.target.value) })}
                hint={thresholdWords}
                wrong={wrong('wrongYes')}
              />
              <Field
                label="A wrong no costs"
                type="number"
                step="any"
                value={set.wrongNo ?? ''}
                onChange={(event) => put({ wrongNo: Number(event.target.value) })}
                hint="in the same unit, whichever it is"
              />
            </div>
          )}
        </Part>
        <Part
          title="Allowed"
          words="Wounding spreads disease and stays visible; follow your district’s rules."
        >
          <Tick
            on={set.woundingAllowed}
            words="Trees may be wounded for a check"
            onChange={(woundingAllowed) => put({ woundingAllowed })}
          />
          <Tick
            on={set.photoPositionKept}
            words="Photos keep where they were taken"
            onChange={(photoPositionKept) => put({ photoPositionKept })}
          />
          <Tick
            on={set.controlUsed}
            words="Calls may be for control"
            onChange={(controlUsed) => put({ controlUsed })}
          />
          <Tick
            on={set.laboratoryUsed}
            words="Samples may go to a laboratory"
            onChange={(laboratoryUsed) => put({ laboratoryUsed })}
          />
          <Field
            label="Plain calls that are reviewed all the same, %"
            type="number"
            min={0}
            max={100}
            step={1}
            className="max-w-80"
            value={Math.round(set.plainShare * 1000) / 10}
            onChange={(event) => put({ plainShare: Number(event.target.value) / 100 })}
            wrong={wrong('plainShare')}
            hint="Drawn by lot, so that nobody can choose which."
          />
        </Part>
        <Part
          title="Groups"
          words="Trees of other groups are recorded plainly. None ticked: every group of the library."
        >
          <div className="grid gap-x-4 sm:grid-cols-2">
            {groups.map((group) => (
              <Tick
                key={group.groupId}
                on={set.groups.includes(group.groupId)}
                words={group.title}
                onChange={(on) =>
                  put({
                    groups: on
                      ? [...set.groups, group.groupId]
                      : set.groups.filter((one) => one !== group.groupId),
                  })
                }
              />
            ))}
          </div>
        </Part>
        <Part title="Crew" words="Who sees this survey and works on it.">
          <div className="grid gap-x-4 sm:grid-cols-3">
            {people.data?.people
              .filter((one) => !one.disabledAt || set.members.includes(one.id))
              .map((one) => (
                <Tick
                  key={one.id}
                  on={set.members.includes(one.id)}
                  words={`${one.callSign}, ${one.role}`}
                  onChange={(on) =>
                    put({
                      members: on ? [...set.members, one.id] : set.members.filter((id) => id !== one.id),
                    })
                  }
                />
              ))}
          </div>
        </Part>
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
      {survey && (
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
      )}
    </form>
  )
}

/** What closing would leave as it is. */
function Unfinished({ survey }: { readonly survey: Survey }) {
  const plots = useQuery(plotsQuery(survey.id))
  if (plots.isError) return <Notice tone="wrong">{wordsOf(plots.error)}</Notice>
  if (!plots.data) return <p role="status">Counting what is open …</p>
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

/** What the costs come to, in words. */
function useThresholdWords({ wrongYes, wrongNo }: SurveySettings): string {
  const costs = wrongYes != null && wrongNo != null && wrongYes > 0 && wrongNo > 0 && { wrongYes, wrongNo }
  const threshold = useQuery({
    ...thresholdQuery(costs || { wrongYes: 1, wrongNo: 1 }),
    enabled: costs !== false,
  })
  if (!costs) return 'more than nothing'
  if (!threshold.data) return '…'
  return `sign at ${(100 * threshold.data.share).toFixed(1)} %, never below what a record or control asks`
}

function Part({
  title,
  words,
  children,
}: {
  readonly title: string
  readonly words: string
  readonly children: React.ReactNode
}) {
  return (
    <section className="grid gap-3 border-t border-line pt-3">
      <div>
        <h2 className="text-lg">{title}</h2>
        <p className="text-quiet">{words}</p>
      </div>
      {children}
    </section>
  )
}

type TickProps = { readonly on: boolean; readonly words: string; readonly onChange: (on: boolean) => void }

function Tick({ on, words, onChange }: TickProps) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-thistle"
        checked={on}
        onChange={() => onChange(!on)}
      />
      {words}
    </label>
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
