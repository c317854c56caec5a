import { useQuery } from '@tanstack/react-query'
import { EyeOff } from 'lucide-react'
import { Link } from 'react-router'
import type { Bench } from '../../api/types'
import { Notice } from '../../ui/Notice'
import { amid } from '../../ui/words'
import { caseOfTreeQuery } from './queries'

/** What a review means for whoever has the tree on the Bench: read it blind, or go to the table. */
export function BenchReview({ bench }: { readonly bench: Bench }) {
  const { surveyId, id } = bench.tree
  const found = useQuery({
    ...caseOfTreeQuery(surveyId, id),
    enabled: bench.blind || bench.determinations.length > 0,
  })
  const it = found.data
  if (bench.blind) {
    const above = it?.proposal?.characters.slice(0, 3) ?? []
    return (
      <Notice tone="plain">
        <EyeOff aria-hidden className="mr-2 inline size-5" />
        <strong>Blind reading.</strong> What others made of this tree is kept from you until you sign.
        {above.length > 0 && ` Above all: ${above.map(amid).join(', ')}.`}
      </Notice>
    )
  }
  if (!it || it.state === 'settled') return null
  return (
    <Notice tone="plain">
      {it.needs === 'blind-reading'
        ? 'This tree is under review: somebody is to read it blind.'
        : it.needs === 'decision'
          ? 'The readings of this tree face each other, for a decision.'
          : 'A sample of this tree is to settle its review.'}{' '}
      <Link to={`/surveys/${surveyId}/review/${it.id}`} className="font-semibold text-thistle underline">
        Go to the table
      </Link>
    </Notice>
  )
}
