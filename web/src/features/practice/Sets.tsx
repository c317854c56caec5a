import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { groupsOf, groupsQuery } from '../../api/groups'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import type { Survey } from '../../api/types'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { SurveyPartHead } from '../../ui/SurveyChoice'
import { dayAndTime } from '../../ui/words'
import { openSet, setsQuery } from './queries'

type Props = {
  readonly surveys: readonly Survey[]
  readonly survey: Survey
  readonly choose: (id: string) => void
}

/** Sets of ten trees that a crew calls together, and for leads a new one. */
export function Sets({ surveys, survey, choose }: Props) {
  const observer = useObserver()
  const surveyId = survey.id
  const sets = useQuery(setsQuery(surveyId))
  const isLead = observer.role === 'lead'
  if (!isLead && !sets.data?.length) return null
  return (
    <section>
      <SurveyPartHead title="Calling together" surveys={surveys} survey={survey} onChoose={choose} />
      <p className="max-w-prose">
        Ten trees, the same for everybody; what came of them is told by character once the lead closes the
        set.
      </p>
      {isLead && !survey.closedAt && <OpenOne key={surveyId} survey={survey} />}
      <ul>
        {sets.data?.map((set) => (
          <li key={set.id} className="flex flex-wrap items-center gap-x-4 border-b border-line">
            <Link
              to={`/practice/sets/${surveyId}/${set.id}`}
              className="inline-flex min-h-11 items-center font-semibold underline"
            >
              {set.groupTitle}
            </Link>
            <span>
              {set.closedAt ? 'closed' : 'open'}, by {set.openedBy}, {dayAndTime(set.openedAt)}; you called{' '}
              <span className="figure">{set.mine}</span> of {set.trees.length}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}

function OpenOne({ survey }: { readonly survey: Survey }) {
  const surveyId = survey.id
  const queries = useQueryClient()
  const groups = useQuery(groupsQuery)
  const [group, setGroup] = useState('')
  // of its own for each press that opens one, so that one that is sent twice is opened once
  const [id, setId] = useState(() => crypto.randomUUID())
  const options = groupsOf(survey, groups.data ?? [])
  const chosen = group || options[0]?.groupId || ''
  const opening = useMutation({
    mutationFn: () => openSet(surveyId, id, chosen),
    onSuccess: async () => {
      setId(crypto.randomUUID())
      await queries.invalidateQueries({ queryKey: ['practice', 'sets', surveyId] })
    },
  })
  return (
    <div className="my-2 flex flex-wrap items-end gap-3">
      <Choice
        label="Group"
        options={options.map((one) => ({ value: one.groupId, text: one.title }))}
        value={chosen}
        onChange={setGroup}
      />
      <Button disabled={opening.isPending || chosen === ''} onClick={() => opening.mutate()}>
        Open a set of ten trees
      </Button>
      {opening.isError && <Notice tone="wrong">{wordsOf(opening.error)}</Notice>}
    </div>
  )
}
