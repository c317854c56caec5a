import { useMutation, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { wordsOf, wrongAt } from '../../api/problem'
import type { SeasonPlan } from '../../api/types'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { day } from '../../ui/words'
import { sendLines, sendPlan } from './queries'

const isSame = (one: SeasonPlan, other: SeasonPlan | null | undefined) =>
  one.trees === other?.trees && one.begins === other.begins && one.ends === other.ends

type Props = { readonly surveyId: string; readonly plan: SeasonPlan | null | undefined }

/** What a lead sets for the season: the plan, and the lines of the map. */
export function PlanForm({ surveyId, plan }: Props) {
  const queries = useQueryClient()
  const [trees, setTrees] = useState(plan ? `${plan.trees}` : '')
  const [begins, setBegins] = useState(plan?.begins ?? '')
  const [ends, setEnds] = useState(plan?.ends ?? '')
  const [from, setFrom] = useState(plan)
  const meanwhile = plan && !isSame(plan, from) ? plan : undefined
  const again = () => queries.invalidateQueries({ queryKey: ['surveys', surveyId, 'season'] })
  const keep = useMutation({
    mutationFn: (asked: SeasonPlan) => sendPlan(surveyId, asked),
    onSuccess: async (_, kept) => {
      await again()
      setFrom(kept)
    },
  })
  const lines = useMutation({ mutationFn: (file: File) => sendLines(surveyId, file), onSuccess: again })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    keep.mutate({ trees: Number(trees), begins, ends })
  }
  const refused = ['trees', 'begins', 'ends'].some((key) => wrongAt(keep.error, key))
  return (
    <details className="mt-2 print:hidden">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
        Plan and lines of the map
      </summary>
      <form onSubmit={submit} noValidate className="flex flex-wrap items-end gap-3">
        <Field
          label="Trees to sign"
          type="number"
          min="1"
          inputMode="numeric"
          className="w-32"
          value={trees}
          onChange={(event) => setTrees(event.target.value)}
          wrong={wrongAt(keep.error, 'trees')}
        />
        <Field
          label="from"
          type="date"
          value={begins}
          onChange={(event) => setBegins(event.target.value)}
          wrong={wrongAt(keep.error, 'begins')}
        />
        <Field
          label="to"
          type="date"
          value={ends}
          onChange={(event) => setEnds(event.target.value)}
          wrong={wrongAt(keep.error, 'ends')}
        />
        <Button
          type="submit"
          disabled={keep.isPending || trees.trim() === '' || begins === '' || ends === ''}
        >
          Keep the plan
        </Button>
      </form>
      {meanwhile && !keep.isPending && (
        <Notice tone="waiting">
          Somebody else planned meanwhile: {meanwhile.trees} trees from {day(meanwhile.begins)} to{' '}
          {day(meanwhile.ends)}. What you typed is still here; keeping it replaces theirs.
        </Notice>
      )}
      {keep.isError && !refused && <Notice tone="wrong">{wordsOf(keep.error)}</Notice>}
      <div className="mt-3">
        <label className="font-semibold" htmlFor="lines">
          Coast, tracks or bounds for the map, as GeoJSON
        </label>
        <input
          id="lines"
          type="file"
          accept=".geojson,.json,application/geo+json"
          className="block min-h-11"
          onChange={(event) => {
            const file = event.target.files?.[0]
            if (file) lines.mutate(file)
          }}
        />
        {lines.isError && (
          <Notice tone="wrong">{wordsOf(lines.error)} The lines that were there stay.</Notice>
        )}
        {lines.data && <p role="status">Kept: {lines.data.points} points.</p>}
      </div>
    </details>
  )
}
