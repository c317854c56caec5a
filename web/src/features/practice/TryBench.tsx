import { useQuery } from '@tanstack/react-query'
import { useCallback, useMemo, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { useObserver } from '../../api/observer'
import type { Bench, Sheet } from '../../api/types'
import type { AsItStands } from '../../common/bench/asItStands'
import { Beam } from '../../common/bench/Beam'
import { firstInHand, GATE, stopOf, stops } from '../../common/bench/inHand'
import { Path } from '../../common/bench/Path'
import type { Entered } from '../../common/bench/unsent'
import { useBeamView } from '../../common/bench/useBeamView'
import { EnterInstead } from '../../common/bench/useEnter'
import { useWork } from '../../common/bench/useWork'
import { enterOn, type Try, uncover } from '../../common/practice/practiceStore'
import { practiceQuery } from '../../common/practice/queries'
import { Button } from '../../ui/Button'
import { useKeys } from '../../ui/useKeys'
import { useNarrow } from '../../ui/useNarrow'
import { monthName } from '../../ui/words'
import { CallIt } from './CallIt'
import { PracticeCheck } from './PracticeCheck'
import { PracticeGate } from './PracticeGate'
import type { StandingTry } from './usePracticeTree'

type Props = { readonly one: Try; readonly standing: StandingTry }
type Part = 'path' | 'check' | 'call'
const PARTS: readonly { readonly part: Part; readonly words: string }[] = [
  { part: 'path', words: 'Checks' },
  { part: 'check', words: 'Look' },
  { part: 'call', words: 'Call' },
]

/** A practice tree in hand: choose a check, look at the specimen, say what it is; then call it. */
export function TryBench({ one, standing }: Props) {
  const observer = useObserver().callSign
  const enter = useCallback((entered: Entered) => enterOn(observer, one.id, entered), [observer, one.id])
  return (
    <EnterInstead value={enter}>
      <Open one={one} standing={standing} />
    </EnterInstead>
  )
}

function Open({ one, standing }: Props) {
  const observer = useObserver().callSign
  const { tree } = standing
  const sheet = useMemo(() => onTheTree(standing), [standing])
  const bench = useMemo(
    () => (one.uncovered ? standing.bench : covered(standing.bench)),
    [one.uncovered, standing.bench],
  )
  const stands: AsItStands = {
    bench,
    sheet,
    onRecord: bench,
    month: tree.month,
    unsent: one.entries,
    warning: undefined,
  }
  const day = useQuery(practiceQuery).data
  const working = useWork(stands)
  // nothing of it waits for a server
  const work = {
    ...working,
    unsent: [],
    entries: new Map([...working.entries].map(([id, { reading }]) => [id, { reading }])),
  }
  const narrow = useNarrow()
  const [search, setSearch] = useSearchParams()
  const asked = search.get('check')
  const chosen = asked && stopOf(sheet, asked) ? asked : firstInHand(bench, sheet, work)
  const [part, setPart] = useState<Part>('check')
  const aside = useRef<HTMLElement>(null)
  const takeUp = (id: string) => {
    setSearch({ check: id }, { replace: true })
    setPart('check')
  }
  const inHand = stopOf(sheet, chosen)
  const stopsHere = stops(bench, sheet).filter((id) => stopOf(sheet, id))
  const walk = (by: 1 | -1) => {
    const all = stopsHere
    const to = all[(all.indexOf(chosen) + by + all.length) % all.length]
    if (to) takeUp(to)
  }
  const shown = inHand?.kind === 'check' ? tree.shown[inHand.character.id] : undefined
  const read = sheet.characters.filter((character) => work.entries.has(character.id))
  const minutes = read.reduce((sum, { id }) => sum + (tree.shown[id]?.minutes ?? 0), 0)
  useKeys({
    j: () => walk(1),
    k: () => walk(-1),
    z: work.undo,
    g: () => {
      setPart('call')
      requestAnimationFrame(() => aside.current?.querySelector('input')?.focus())
    },
    n: () => takeUp(stopsHere.find((id) => id !== GATE && !work.entries.has(id)) ?? GATE),
  })
  return (
    <>
      <p className="flex flex-wrap items-center gap-x-4 border-b border-line px-4 py-1.5">
        <strong>{sheet.title}</strong>
        <span>
          {tree.stage}, {monthName(tree.month)}
        </span>
        <span>
          <span className="figure">{minutes} min</span> on it
          {day && (
            <>
              , <span className="figure">{Math.round(day.minutesToday + minutes)}</span> of the day’s{' '}
              <span className="figure">{day.minutesADay}</span>
            </>
          )}
        </span>
      </p>
      <div className="grid flex-1 lg:min-h-0 lg:grid-cols-[19.5rem_minmax(0,1fr)_21rem] lg:grid-rows-1">
        {(!narrow || part === 'path') && (
          <Path bench={bench} sheet={sheet} work={work} inHand={chosen} onChoose={takeUp} narrow={narrow} />
        )}
        {(!narrow || part === 'check') && (
          <section
            key={chosen}
            aria-label="The check in hand"
            className="relative min-h-0 min-w-0 p-4 max-lg:pb-24 lg:overflow-y-auto"
          >
            {inHand?.kind === 'gate' && <PracticeGate sheet={sheet} broken={tree.gateBroken} work={work} />}
            {inHand?.kind === 'check' && shown && (
              <PracticeCheck
                tryId={one.id}
                sheet={sheet}
                character={inHand.character}
                shown={shown}
                work={work}
              />
            )}
          </section>
        )}
        {(!narrow || part === 'call') && (
          <aside
            ref={aside}
            aria-label="The call"
            className="relative flex min-h-0 flex-col gap-3 border-line p-4 max-lg:pb-24 lg:overflow-y-auto lg:border-l"
          >
            {one.uncovered ? (
              <Amounts stands={stands} />
            ) : (
              <p className="text-quiet">
                What your readings amount to stays covered until you have called the tree.{' '}
                <Button look="quiet" className="px-1!" onClick={() => uncover(observer, one.id, true)}>
                  Show it while I read
                </Button>
              </p>
            )}
            <CallIt key={one.id} one={one} sheet={sheet} />
          </aside>
        )}
      </div>
      {narrow && (
        <nav
          aria-label="Parts of the try"
          className="fixed inset-x-0 bottom-0 z-10 grid grid-cols-3 border-t border-line bg-paper"
        >
          {PARTS.map(({ part: of, words }) => (
            <button
              key={of}
              type="button"
              aria-current={part === of ? 'page' : undefined}
              className="min-h-14 font-semibold aria-[current=page]:bg-slate-wash aria-[current=page]:underline"
              onClick={() => {
                setPart(of)
                window.scrollTo(0, 0)
              }}
            >
              {words}
            </button>
          ))}
        </nav>
      )}
    </>
  )
}

/** The sheet without what is read from the ground: a practice tree stands nowhere. */
function onTheTree({ sheet, tree }: StandingTry): Sheet {
  return { ...sheet, characters: sheet.characters.filter(({ id }) => tree.shown[id] !== undefined) }
}

/** Without what would help to choose, and what the readings amount to. */
function covered(bench: Bench): Bench {
  const { featuresAlone, withSurroundings } = bench.figures
  return {
    ...bench,
    suggested: [],
    gateAllThatLacks: false,
    figures: {
      ...bench.figures,
      featuresAlone: { ...featuresAlone, points: [] },
      withSurroundings: { ...withSurroundings, points: [] },
    },
  }
}

function Amounts({ stands }: { readonly stands: AsItStands }) {
  const beam = useBeamView(stands.bench)
  return <Beam bench={stands.bench} sheet={stands.sheet} beam={beam} />
}
