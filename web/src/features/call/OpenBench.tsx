import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, useLocation, useNavigate, useSearchParams } from 'react-router'
import { wordsOf } from '../../api/problem'
import type { Bench, Sheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { useKeys } from '../../ui/useKeys'
import { useLate } from '../../ui/useLate'
import { useNarrow } from '../../ui/useNarrow'
import { counted } from '../../ui/words'
import { BenchReview } from '../review/BenchReview'
import { Beam } from './Beam'
import { BestNext } from './BestNext'
import { Check } from './Check'
import { ContextBar } from './ContextBar'
import { Determinations } from './Determinations'
import { GateCheck } from './GateCheck'
import { gateId, inHand as inHandOf, nextGateItem, stops } from './inHand'
import { KeyList } from './KeyList'
import { type Part, PartBar } from './PartBar'
import { Path } from './Path'
import { benchQuery, moveToNewest } from './queries'
import type { Outcome } from './SignForm'
import { SignPanel } from './SignPanel'
import { useBeamView } from './useBeamView'
import { useCover } from './useCover'
import { useWork } from './useWork'

/** One tree: the path of checks, the check in hand, and what the readings amount to. */
export function OpenBench({ bench, sheet }: { readonly bench: Bench; readonly sheet: Sheet }) {
  const navigate = useNavigate()
  const [search, setSearch] = useSearchParams()
  const narrow = useNarrow()
  const [part, setPart] = useState<Part>('check')
  // in a state of its own, since a key may follow faster than an address changes
  const [chosen, setChosen] = useState(search.get('check'))
  const [outcome, setOutcome] = useState<Outcome>()
  const [wanted, setWanted] = useState<{ readonly outcome: Outcome; readonly refused: number }>()
  const [keysShown, setKeysShown] = useState(false)
  const work = useWork(bench)
  const beam = useBeamView(bench)
  const cover = useCover(bench.blind)
  const inHand = inHandOf(bench, sheet, work, chosen)
  const next = bench.suggested.find((one) => !work.entries.has(one.character))
  const waiting = work.unsent.filter((one) => !one.refused).length
  const slow = useLate(waiting > 0)
  const refused = work.unsent.length - waiting
  const sign = (asked: Outcome) => setWanted({ outcome: asked, refused })
  // what was entered just before is weighed first, so that the sentence to sign holds it; a slow server is not waited for,
  // and nothing is signed over an entry that was refused meanwhile
  useEffect(() => {
    if (wanted === undefined || (waiting > 0 && !slow)) return
    if (waiting === 0 && refused <= wanted.refused) setOutcome(wanted.outcome)
    setWanted(undefined)
  }, [wanted, waiting, refused, slow])
  // the command line sends a check by the address
  const location = useLocation()
  useEffect(() => {
    const check = (location.state as { readonly check?: string } | null)?.check
    if (check === undefined) return
    setChosen(check)
    setPart('check')
  }, [location])
  const takeUp = (id: string) => {
    setChosen(id)
    setSearch({ check: id }, { replace: true })
    setPart('check')
  }
  const walk = (by: 1 | -1) => {
    const all = stops(bench, sheet)
    const at = all.indexOf(inHand?.id ?? '')
    const to = all[(at + by + all.length) % all.length]
    if (to) takeUp(to)
  }
  const goOn = (markedNow: string) => {
    const others = { ...work, marks: new Map(work.marks).set(markedNow, true) }
    const item = nextGateItem(sheet, others)
    if (item) takeUp(gateId(item.id))
    else if (next) takeUp(next.character)
  }
  const sideBySide = () => navigate(`/surveys/${bench.tree.surveyId}/trees/${bench.tree.id}/side-by-side`)
  useKeys({
    n: () => next && takeUp(next.character),
    j: () => walk(1),
    k: () => walk(-1),
    r: beam.nextRival,
    b: beam.nextSchool,
    z: work.undo,
    g: () => sign('taxon'),
    s: sideBySide,
    c: cover.toggle,
    '?': () => setKeysShown(true),
  })

  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <ContextBar bench={bench} sheet={sheet} />
      <Notices bench={bench} sheet={sheet} waiting={slow ? waiting : 0} />
      <div className="grid flex-1 lg:min-h-0 lg:grid-cols-[19.5rem_minmax(0,1fr)_22rem] lg:grid-rows-1">
        {(!narrow || part === 'path') && (
          <Path
            bench={bench}
            sheet={sheet}
            work={work}
            inHand={inHand?.id}
            onChoose={takeUp}
            narrow={narrow}
          />
        )}
        {(!narrow || part === 'check') && (
          <section
            aria-label="The check in hand"
            className="relative min-w-0 p-4 pb-24 lg:overflow-y-auto lg:p-5"
          >
            {inHand?.kind === 'check' && (
              <BestNext bench={bench} sheet={sheet} next={next} inHand={inHand.id} onTakeUp={takeUp} />
            )}
            {inHand?.kind === 'gate' && (
              <GateCheck
                key={inHand.id}
                bench={bench}
                sheet={sheet}
                item={inHand.item}
                fits={work.marks.get(inHand.item.id)}
                onMark={work.mark}
                onFits={() => goOn(inHand.item.id)}
                onSkip={() => next && takeUp(next.character)}
              />
            )}
            {inHand?.kind === 'check' && (
              <Check
                key={inHand.id}
                bench={bench}
                sheet={sheet}
                character={inHand.character}
                work={work}
                cover={cover}
                onSideBySide={sideBySide}
              />
            )}
          </section>
        )}
        {(!narrow || part === 'call') && (
          <aside
            aria-label="What it amounts to"
            className="relative flex min-h-0 flex-col border-line pb-20 lg:border-l lg:pb-0"
          >
            <div className="flex flex-1 flex-col gap-3 p-4 lg:overflow-y-auto">
              <Beam bench={bench} sheet={sheet} beam={beam} onTakeUp={takeUp} />
              <Determinations determinations={bench.determinations} sheet={sheet} tree={bench.tree} />
            </div>
            <div className="border-t border-line bg-paper p-4">
              <SignPanel
                bench={bench}
                sheet={sheet}
                disabled={slow}
                outcome={outcome}
                onSign={sign}
                onClose={() => setOutcome(undefined)}
              />
            </div>
          </aside>
        )}
      </div>
      {narrow && <PartBar bench={bench} sheet={sheet} part={part} onPart={setPart} />}
      <KeyList open={keysShown} onOpenChange={setKeysShown} />
    </main>
  )
}

type NoticesProps = { readonly bench: Bench; readonly sheet: Sheet; readonly waiting: number }

function Notices({ bench, sheet, waiting }: NoticesProps) {
  return (
    <>
      {waiting > 0 && <Waiting count={waiting} />}
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

function Waiting({ count }: { readonly count: number }) {
  return (
    <Notice tone="waiting">
      {counted(count, 'entry').replace('entrys', 'entries')} not sent yet: kept in this browser, and sent as
      soon as the server answers.
    </Notice>
  )
}
