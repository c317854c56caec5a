import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { wordsOf } from '../../api/problem'
import type { Sample } from '../../api/types'
import { makeParcel } from '../../common/sample/queries'
import { useIds } from '../../common/useIds'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { counted } from '../../ui/words'
import { SampleRow } from './SampleRow'
import type { Saying } from './useSaying'

type Props = {
  readonly surveyId: string
  readonly samples: readonly Sample[]
  readonly saying: Saying
}

/** Samples that were taken: those that are chosen go into a parcel. */
export function AtHand({ surveyId, samples, saying }: Props) {
  const queries = useQueryClient()
  const ids = useIds()
  const [left, setLeft] = useState<readonly string[]>([]) // all go, unless somebody says otherwise
  const going = samples.filter((sample) => !left.includes(sample.id)).map((sample) => sample.id)
  const make = useMutation({
    mutationFn: () => makeParcel(surveyId, ids.of(going.join(' ')), going),
    onSettled: () => queries.invalidateQueries({ queryKey: ['surveys', surveyId] }),
  })
  return (
    <>
      <ul className="divide-y divide-line border-y border-line bg-card">
        {samples.map((sample) => (
          <SampleRow key={sample.id} surveyId={surveyId} sample={sample} saying={saying}>
            <input
              type="checkbox"
              aria-label={`${sample.code} goes into the parcel`}
              checked={!left.includes(sample.id)}
              onChange={(event) =>
                setLeft(event.target.checked ? left.filter((one) => one !== sample.id) : [...left, sample.id])
              }
              className="mt-1 size-6 shrink-0 accent-thistle"
            />
          </SampleRow>
        ))}
      </ul>
      {make.isError && <Notice tone="wrong">{wordsOf(make.error)}</Notice>}
      <Button
        look="main"
        className="mt-2 mr-2"
        disabled={going.length === 0 || make.isPending}
        onClick={() => make.mutate()}
      >
        Make a parcel of {counted(going.length, 'sample')}
      </Button>
    </>
  )
}
