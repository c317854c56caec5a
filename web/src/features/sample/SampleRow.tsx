import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { SampleStep } from '../../api/codes'
import type { Sample } from '../../api/types'
import { Results } from '../../common/sample/Results'
import { analysisWords, saidWords, stepWords } from '../../common/sample/words'
import { Button } from '../../ui/Button'
import { dayAndTime } from '../../ui/words'
import { buttonWords, type Saying } from './useSaying'

type Props = {
  readonly surveyId: string
  readonly sample: Sample
  readonly saying: Saying
  /** what stands before it, to choose it by */
  readonly children?: ReactNode
}

/** A sample: what it is, where it is, and what may be said of it. */
export function SampleRow({ surveyId, sample, saying, children }: Props) {
  const last = sample.life.at(-1)
  return (
    <li className="flex items-start gap-2 px-3 py-2">
      {children}
      <div className="min-w-0 flex-1">
        <div className="flex flex-wrap items-baseline gap-x-3">
          <strong className="figure text-lg break-all">{sample.code}</strong>
          <Link
            to={`/surveys/${surveyId}/plots/${sample.plotId}?tree=${sample.treeId}`}
            className="font-semibold text-thistle underline"
          >
            {sample.plotCode}, tree {sample.tag}
          </Link>
        </div>
        <p>
          {sample.tissue}; {analysisWords(sample.analysis)}
        </p>
        {last && (
          <p className="text-quiet">
            {sample.ended || sample.step === 'answered' ? saidWords(last.step) : stepWords(last.step)}
            {last.by ? `, says ${last.by}` : ''}, {dayAndTime(last.at)}
            {last.note && `: “${last.note}”`}
          </p>
        )}
        {sample.results.length > 0 && <Results results={sample.results} />}
        <Life sample={sample} />
        {sample.next.length > 0 && (
          <div className="mt-1 flex flex-wrap gap-2">
            {sample.next.map((step) => (
              <Say key={step} sample={sample} step={step} saying={saying} />
            ))}
          </div>
        )}
      </div>
    </li>
  )
}

type SayProps = Pick<Props, 'sample' | 'saying'> & { readonly step: SampleStep }

/** What is expected is said by a press; what goes wrong is asked about first. */
function Say({ sample, step, saying }: SayProps) {
  const expected = sample.step === 'asked' && step === 'taken'
  return (
    <Button
      look={expected ? 'main' : 'quiet'}
      className={expected ? '' : 'px-2!'}
      disabled={saying.busy}
      onClick={() => (expected ? saying.say(sample, step) : saying.ask(sample, step))}
    >
      {expected ? 'Taken' : `${buttonWords(step)} …`}
      <span className="sr-only"> {sample.code}</span>
    </Button>
  )
}

/** Who did what with it, and when. */
function Life({ sample }: { readonly sample: Sample }) {
  if (sample.life.length < 2) return null
  return (
    <details>
      <summary className="min-h-6 cursor-pointer text-sm text-thistle">its life</summary>
      <ol className="ml-4 list-decimal text-sm">
        {sample.life.map((one) => (
          <li key={`${one.step} ${one.at}`}>
            {saidWords(one.step)} {one.by ? `by ${one.by}` : 'by the laboratory'}, {dayAndTime(one.at)}
            {one.note && `: “${one.note}”`}
          </li>
        ))}
      </ol>
    </details>
  )
}
