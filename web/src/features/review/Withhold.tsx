import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import type { ReviewCase } from '../../api/types'
import { Button } from '../../ui/Button'

/** For leads: whether others may practise on a settled case by its photos. */
export function Withhold({ it }: { readonly it: ReviewCase }) {
  const isLead = useObserver().role === 'lead'
  const hasPhotos = it.readings.some((reader) => reader.determination.photos.length > 0)
  if (!isLead || it.state !== 'settled' || !hasPhotos) return null
  return <Asked it={it} />
}

function Asked({ it }: { readonly it: ReviewCase }) {
  const { surveyId, id: caseId } = it
  const client = useQueryClient()
  const key = ['practice', 'withheld', surveyId]
  const withheld = useQuery({
    queryKey: key,
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/practice-withheld', {
          params: { path: { surveyId } },
          signal,
        }),
      ),
  })
  const change = useMutation({
    mutationFn: async (next: boolean) =>
      requireDone(
        await api.PUT('/api/surveys/{surveyId}/practice-withheld/{caseId}', {
          params: { path: { surveyId, caseId } },
          body: { withheld: next },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: key }),
  })
  if (!withheld.data) return null
  const isWithheld = withheld.data.includes(caseId)
  return (
    <>
      <Button look="quiet" disabled={change.isPending} onClick={() => change.mutate(!isWithheld)}>
        {isWithheld ? 'Let others practise on it' : 'Withhold it from practice'}
      </Button>
      {change.isError && <span className="w-full text-rust-ink">{wordsOf(change.error)}</span>}
    </>
  )
}
