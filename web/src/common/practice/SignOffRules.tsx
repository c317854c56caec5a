import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { groupsOf, groupsQuery } from '../../api/groups'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { Survey } from '../../api/types'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { SurveyPartHead } from '../../ui/SurveyChoice'
import { crewQuery, setRule } from './queries'

/** For leads: what the survey in hand asks to be practised before a name counts by itself, and how far its crew is. */
export function SignOffRules() {
  const { surveys, survey, choose } = useSurvey()
  if (!survey) return null
  return (
    <section aria-label="Practised first" className="mt-6 grid gap-3">
      <SurveyPartHead title="Practised first" surveys={surveys} survey={survey} onChoose={choose} />
      <p className="max-w-prose">
        Who has not called so many practice trees of a group rightly in a row, none of them as an invader that
        it is not, has each name in it read a second time. It counts from now on, and keeps nobody out.
      </p>
      <Rules key={survey.id} survey={survey} />
    </section>
  )
}

function Rules({ survey }: { readonly survey: Survey }) {
  const { id: surveyId, closedAt } = survey
  const crew = useQuery(crewQuery(surveyId))
  const groups = useQuery(groupsQuery)
  const queries = useQueryClient()
  const [group, setGroup] = useState('')
  const [needed, setNeeded] = useState<string>()
  const [of, setOf] = useState<string>()
  const right = needed ?? `${crew.data?.usual.needed ?? ''}`
  const inRow = of ?? `${crew.data?.usual.of ?? ''}`
  const options = groupsOf(survey, groups.data ?? [])
  const chosen = group || options[0]?.groupId || ''
  const setting = useMutation({
    mutationFn: ({ groupId, least, most }: { groupId: string; least: number; most: number }) =>
      setRule(surveyId, groupId, least, most),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['practice'] }),
  })
  const standings = crew.data?.standings ?? []
  const asked = new Map(standings.map(({ standing }) => [standing.groupId, standing]))
  return (
    <>
      {!closedAt && (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault()
            setting.mutate({ groupId: chosen, least: Number(right), most: Number(inRow) })
          }}
        >
          <Choice
            label="Group"
            options={options.map((one) => ({ value: one.groupId, text: one.title }))}
            value={chosen}
            onChange={setGroup}
          />
          <div className="w-24">
            <Field
              label="Right"
              inputMode="numeric"
              value={right}
              onChange={(event) => setNeeded(event.target.value)}
            />
          </div>
          <div className="w-44">
            <Field
              label="of so many in a row"
              inputMode="numeric"
              value={inRow}
              onChange={(event) => setOf(event.target.value)}
            />
          </div>
          <Button type="submit" disabled={setting.isPending || chosen === ''}>
            Ask for it from now on
          </Button>
        </form>
      )}
      {setting.isError && <Notice tone="wrong">{wordsOf(setting.error)}</Notice>}
      {[...asked.values()].map((rule) => (
        <div key={rule.groupId}>
          <h3 className="flex flex-wrap items-center gap-3 text-base">
            {rule.groupTitle}: {rule.needed} of {rule.of}
            {!closedAt && (
              <Button
                look="quiet"
                className="px-1!"
                onClick={() => setting.mutate({ groupId: rule.groupId, least: 0, most: rule.of })}
              >
                Ask no more
              </Button>
            )}
          </h3>
          <ul className="flex flex-wrap gap-x-5">
            {standings
              .filter(({ standing }) => standing.groupId === rule.groupId)
              .map(({ callSign, standing }) => (
                <li key={callSign}>
                  <strong>{callSign}</strong>{' '}
                  {standing.passed ? '✓ practised' : `${standing.right} right, ${standing.tried} tried`}
                </li>
              ))}
          </ul>
        </div>
      ))}
    </>
  )
}
