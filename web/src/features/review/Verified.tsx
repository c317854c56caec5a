import { useMutation, useQueryClient } from '@tanstack/react-query'
import { BadgeCheck } from 'lucide-react'
import { wordsOf } from '../../api/problem'
import type { ReviewCase } from '../../api/types'
import { caseQuery, sendVerification } from '../../common/review/queries'
import { Button } from '../../ui/Button'

/** Whether what stands is marked as the truth, that calls are held against; a lead marks it. */
export function Verified({ it }: { readonly it: ReviewCase }) {
  const client = useQueryClient()
  const mark = useMutation({
    mutationFn: (verified: boolean) => sendVerification(it.surveyId, it.id, verified),
    onSuccess: (now) => {
      client.setQueryData(caseQuery(it.surveyId, it.id).queryKey, now)
      return client.invalidateQueries({ queryKey: ['surveys', it.surveyId, 'lessons'] })
    },
  })
  return (
    <>
      {it.verified && (
        <span className="inline-flex items-center gap-1 font-semibold text-moss-ink">
          <BadgeCheck aria-hidden className="size-5" /> verified
        </span>
      )}
      {it.mayVerify && (
        <Button
          look={it.verified ? 'quiet' : 'plain'}
          disabled={mark.isPending}
          title="Calls are held against what is certain: fruit and flowers seen since, or a laboratory"
          onClick={() => mark.mutate(!it.verified)}
        >
          {it.verified ? 'Take that back' : 'Mark as verified'}
        </Button>
      )}
      {mark.isError && <span className="w-full text-rust-ink">{wordsOf(mark.error)}</span>}
    </>
  )
}
