import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { wordsOf } from '../../api/problem'
import type { Bench, Sheet } from '../../api/types'
import { benchQuery, moveToNewest } from '../../common/bench/queries'
import { BenchReview } from '../../common/review/BenchReview'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'

/** What came from elsewhere while the tree was read; it lies where it moves nothing that is being touched. */
export function BenchNotices({ bench, sheet }: { readonly bench: Bench; readonly sheet: Sheet }) {
  return (
    <>
      <BenchReview bench={bench} />
      {bench.newerVersion !== undefined && bench.newerVersion !== null && (
        <NewerSheet bench={bench} sheet={sheet} newer={bench.newerVersion} />
      )}
    </>
  )
}

type NewerProps = { readonly bench: Bench; readonly sheet: Sheet; readonly newer: number }

/** The library has moved on; the call does so only when its reader says so. */
function NewerSheet({ bench, sheet, newer }: NewerProps) {
  const queries = useQueryClient()
  const { surveyId, id: treeId, closed } = bench.tree
  const move = useMutation({
    mutationFn: () => moveToNewest(surveyId, treeId),
    onSuccess: (answer) => queries.setQueryData(benchQuery(surveyId, treeId).queryKey, answer),
  })
  return (
    <Notice tone="plain">
      <div className="flex flex-wrap items-center gap-x-4">
        <span>
          The library has version {newer} of this sheet. This call stays on version {sheet.version}, which it
          was begun with.{' '}
          <Link className="text-thistle underline" to={`/groups/${sheet.groupId}/versions`}>
            What is different
          </Link>
        </span>
        {!closed && (
          <Button disabled={move.isPending} onClick={() => move.mutate()}>
            Go on with version {newer}
          </Button>
        )}
      </div>
      {move.isError && <p className="font-bold">{wordsOf(move.error)}</p>}
    </Notice>
  )
}
