import { useMutation, useQueryClient } from '@tanstack/react-query'
import { wordsOf } from '../../api/problem'
import type { ReviewCase } from '../../api/types'
import { caseQuery, sendDecision } from '../../common/review/queries'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'

/** A case that waits for a blind reading which nobody in the survey can make any more, and what can be done. */
export function Stuck({ it }: { readonly it: ReviewCase }) {
  const queries = useQueryClient()
  const send = useMutation({
    mutationFn: () =>
      sendDecision(it.surveyId, it.id, crypto.randomUUID(), {
        outcome: 'laboratory',
        stands: null,
        taxon: null,
        reasons: '',
        version: it.version,
      }),
    onSuccess: (now) => {
      queries.setQueryData(caseQuery(it.surveyId, it.id).queryKey, now)
      queries.invalidateQueries({ queryKey: ['surveys', it.surveyId, 'review'] })
    },
  })
  return (
    <Notice tone="plain">
      Everybody in this survey has signed this tree or was shown what others made of it. A lead can add
      somebody new
      {it.mayDecide
        ? ', or a sample for the laboratory decides.'
        : '; a reviewer can send a sample to a laboratory.'}
      {it.mayDecide && (
        <Button className="mt-2 block" disabled={send.isPending} onClick={() => send.mutate()}>
          Send a sample to the laboratory
        </Button>
      )}
      {send.isError && <p>{wordsOf(send.error)}</p>}
    </Notice>
  )
}
