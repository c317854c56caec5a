import { useMutation, useQueryClient } from '@tanstack/react-query'
import { wordsOf } from '../../api/problem'
import type { Survey } from '../../api/types'
import { Notice } from '../../ui/Notice'
import { sendPermissions, surveysQuery } from './queries'

/** What a survey allows, for its lead to change. */
export function Permissions({ survey }: { readonly survey: Survey }) {
  const queries = useQueryClient()
  const change = useMutation({
    mutationFn: (body: { woundingAllowed: boolean; photoPositionKept: boolean }) =>
      sendPermissions(survey.id, body),
    // what is asked for shows at once, and stays asked for until the list of surveys says so too
    onSuccess: () => queries.invalidateQueries(surveysQuery),
  })
  const { woundingAllowed, photoPositionKept } = change.isPending ? change.variables : survey
  return (
    <fieldset className="my-2 flex flex-wrap items-center gap-x-6 rounded-plain border border-line bg-card px-3">
      <legend className="sr-only">What this survey allows</legend>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 accent-thistle"
          checked={woundingAllowed}
          onChange={() => change.mutate({ woundingAllowed: !woundingAllowed, photoPositionKept })}
        />
        Checks may wound a tree, last and with their caution
      </label>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 accent-thistle"
          checked={photoPositionKept}
          onChange={() => change.mutate({ woundingAllowed, photoPositionKept: !photoPositionKept })}
        />
        Photos keep where they were taken
      </label>
      {change.isError && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
    </fieldset>
  )
}
