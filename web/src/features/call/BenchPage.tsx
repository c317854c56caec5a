import { useQuery } from '@tanstack/react-query'
import { useCallback } from 'react'
import { useParams, useSearchParams } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import type { Bench, NewReading, Sheet } from '../../api/types'
import { Notice } from '../../ui/Notice'
import { counted } from '../../ui/words'
import { Beam } from './Beam'
import { BestNext } from './BestNext'
import { Check } from './Check'
import { ContextBar } from './ContextBar'
import { Determinations } from './Determinations'
import { entriesOf } from './entries'
import { outbox, useUnsent } from './outbox'
import { Path } from './Path'
import { benchQuery, sheetQuery } from './queries'
import { SignPanel } from './SignPanel'

/** One tree: the path of checks, the check in hand, and what the readings amount to. */
export function BenchPage() {
  const { surveyId = '', treeId = '' } = useParams()
  const bench = useQuery(benchQuery(surveyId, treeId))
  const sheet = useQuery({
    ...sheetQuery(bench.data?.sheetVersionId ?? ''),
    enabled: bench.data !== undefined,
  })
  const failed = bench.error ?? sheet.error
  if (failed && !bench.data) {
    return (
      <main className="p-4">
        <Notice tone="wrong">{wordsOf(failed)}</Notice>
      </main>
    )
  }
  if (!bench.data || !sheet.data) {
    return (
      <main className="p-4">
        <p role="status">{bench.failureReason ? wordsOf(bench.failureReason) : 'Fetching the tree …'}</p>
      </main>
    )
  }
  return <OpenBench key={treeId} bench={bench.data} sheet={sheet.data} />
}

function OpenBench({ bench, sheet }: { readonly bench: Bench; readonly sheet: Sheet }) {
  const observer = useObserver().callSign
  const { surveyId, id: treeId } = bench.tree
  const [search, setSearch] = useSearchParams()
  const unsent = useUnsent(observer, treeId)
  const entries = entriesOf(bench, unsent)
  const next = bench.suggested.find((one) => !entries.has(one.character))
  const inHandId = search.get('check') ?? next?.character
  const inHand = sheet.characters.find((one) => one.id === inHandId) ?? sheet.characters[0]
  const takeUp = (id: string) => {
    setSearch({ check: id }, { replace: true })
    document.getElementById('check')?.scrollIntoView() // where the parts lie one below the other
  }
  const record = useCallback(
    (reading: NewReading) => outbox.add({ id: crypto.randomUUID(), observer, surveyId, treeId, reading }),
    [observer, surveyId, treeId],
  )
  const waiting = unsent.filter((one) => !one.refused).length

  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <ContextBar bench={bench} sheet={sheet} />
      {waiting > 0 && (
        <Notice tone="waiting">
          {counted(waiting, 'reading')} not sent yet: kept in this browser, and sent as soon as the server
          answers.
        </Notice>
      )}
      <div className="grid flex-1 lg:min-h-0 lg:grid-rows-1 lg:grid-cols-[19.5rem_minmax(0,1fr)_22rem]">
        <Path bench={bench} sheet={sheet} entries={entries} inHand={inHand?.id} onChoose={takeUp} />
        {inHand && (
          <Check
            key={inHand.id}
            next={<BestNext bench={bench} sheet={sheet} next={next} inHand={inHand.id} onTakeUp={takeUp} />}
            character={inHand}
            entry={entries.get(inHand.id)}
            weighed={bench.figures.weighed.find((one) => one.character === inHand.id)}
            outOfSeason={bench.outOfSeason.includes(inHand.id)}
            draftKey={`draft.${treeId}.${inHand.id}`}
            onRecord={record}
            onDrop={(id) => outbox.drop(id)}
          />
        )}
        <aside
          aria-label="What it amounts to"
          className="relative flex flex-col gap-5 border-line p-4 lg:overflow-y-auto lg:border-l"
        >
          <Beam bench={bench} sheet={sheet} />
          <Determinations determinations={bench.determinations} sheet={sheet} />
          <div className="mt-auto border-t border-line bg-paper py-3 lg:sticky lg:-bottom-4">
            <SignPanel bench={bench} sheet={sheet} waiting={waiting} />
          </div>
        </aside>
      </div>
    </main>
  )
}
