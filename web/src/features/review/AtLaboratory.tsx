import { useState } from 'react'
import { Link } from 'react-router'
import type { ReviewCase } from '../../api/types'
import { AskForSample } from '../../common/sample/AskForSample'
import { Results } from '../../common/sample/Results'
import { stepWords } from '../../common/sample/words'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'

/** The samples of a case's tree, and what a laboratory said of them. */
export function AtLaboratory({ it }: { readonly it: ReviewCase }) {
  const [asking, setAsking] = useState(false)
  const { laboratory } = it
  if (!laboratory || (!laboratory.used && laboratory.samples.length === 0)) return null
  if (laboratory.samples.length === 0 && it.state === 'settled') return null
  return (
    <section aria-label="Laboratory" className="rounded-plain border border-line bg-card p-3">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-lg">Laboratory</h2>
        <Link to="/samples" className="font-semibold text-thistle underline">
          All samples
        </Link>
      </div>
      {laboratory.samples.length > 0 && (
        <p>
          {laboratory.samples.map(({ code, step }, i) => (
            <span key={code}>
              {i > 0 && '; '}
              <span className="figure font-bold">{code}</span>, {stepWords(step)}
            </span>
          ))}
        </p>
      )}
      {laboratory.results.length > 0 && (
        <>
          <Results results={laboratory.results} />
          <p className="text-quiet">
            A result is evidence, not an oracle: it is weighed below with its own error rate, beside what was
            read.
          </p>
        </>
      )}
      {laboratory.used && !it.closed && it.state !== 'settled' && (
        <Button className="mt-2" onClick={() => setAsking(true)}>
          Ask for a sample …
        </Button>
      )}
      <Sheet title={`A sample of tree ${it.tag}`} open={asking} onOpenChange={setAsking}>
        <AskForSample
          surveyId={it.surveyId}
          treeId={it.treeId}
          groupId={it.groupId}
          onDone={() => setAsking(false)}
        />
      </Sheet>
    </section>
  )
}
