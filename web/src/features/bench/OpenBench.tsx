import { useEffect, useState } from 'react'
import { useLocation, useNavigate, useSearchParams } from 'react-router'
import type { Outcome } from '../../api/codes'
import type { Determination } from '../../api/types'
import type { AsItStands } from '../../common/bench/asItStands'
import { Beam } from '../../common/bench/Beam'
import { firstInHand, GATE, stopOf, stops } from '../../common/bench/inHand'
import { Path } from '../../common/bench/Path'
import { useBeamView } from '../../common/bench/useBeamView'
import { useWork } from '../../common/bench/useWork'
import { Notice } from '../../ui/Notice'
import { useKeys } from '../../ui/useKeys'
import { useNarrow } from '../../ui/useNarrow'
import { BenchNotices } from './BenchNotices'
import { Check } from './Check'
import { ContextBar } from './ContextBar'
import { Determinations } from './Determinations'
import { FiguresBehind } from './FiguresBehind'
import { GateCheck } from './GateCheck'
import { Guide } from './Guide'
import { LookNext } from './LookNext'
import { type Part, PartBar } from './PartBar'
import { SignPanel } from './SignPanel'
import { useCover } from './useCover'

/** One tree: the path of checks, the check in hand, and what the readings amount to. */
export function OpenBench({ stands }: { readonly stands: AsItStands }) {
  const { bench, sheet } = stands
  const navigate = useNavigate()
  const [search, setSearch] = useSearchParams()
  const narrow = useNarrow()
  const [part, setPart] = useState<Part>('check')
  const work = useWork(stands)
  // what is in hand stays there until its observer moves, however the ranking changes; the address says it, for a reload
  const [chosen, setChosen] = useState(() => {
    const asked = search.get('check')
    return asked && stopOf(sheet, asked) ? asked : firstInHand(bench, sheet, work)
  })
  useEffect(() => {
    setSearch({ check: chosen }, { replace: true })
  }, [chosen, setSearch])
  const [outcome, setOutcome] = useState<Outcome>()
  const [signed, setSigned] = useState<Determination>()
  const [wanted, setWanted] = useState<{ readonly outcome: Outcome; readonly refused: number }>()
  const beam = useBeamView(bench)
  const cover = useCover(bench.blind)
  const inHand = stopOf(sheet, chosen)
  const check = inHand?.kind === 'check' ? inHand.character.id : undefined
  const next = bench.suggested.find((one) => !work.entries.has(one.character))
  const waiting = work.unsent.filter((one) => !one.refused).length
  const refused = work.unsent.length - waiting
  const standing = bench.determinations.find((one) => one.id === bench.signedAs)
  const sign = (asked: Outcome) =>
    asked === 'taxon' && standing ? setSigned(standing) : setWanted({ outcome: asked, refused })
  // what was entered just before is weighed first, so that the sentence to sign holds it, and nothing is signed over an
  // entry that was refused meanwhile
  useEffect(() => {
    if (wanted === undefined) return
    if (refused <= wanted.refused) setOutcome(wanted.outcome)
    setWanted(undefined)
  }, [wanted, refused])
  // the command line sends a check by the address
  const location = useLocation()
  useEffect(() => {
    const asked = (location.state as { readonly check?: string } | null)?.check
    if (asked === undefined) return
    setChosen(asked)
    setPart('check')
  }, [location])
  const show = (to: Part) => {
    setPart(to)
    window.scrollTo(0, 0)
  }
  const takeUp = (id: string) => {
    setChosen(id)
    show('check')
  }
  const walk = (by: 1 | -1) => {
    const all = stops(bench, sheet)
    const at = all.indexOf(chosen)
    const to = all[(at + by + all.length) % all.length]
    if (to) takeUp(to)
  }
  const sideBySide = () => navigate(`/surveys/${bench.tree.surveyId}/trees/${bench.tree.id}/side-by-side`)
  useKeys({
    n: () => (bench.gateAllThatLacks ? takeUp(GATE) : next && takeUp(next.character)),
    j: () => walk(1),
    k: () => walk(-1),
    r: beam.nextRival,
    b: beam.nextSchool,
    z: work.undo,
    g: () => sign('taxon'),
    v: () => sign('come-back'),
    l: () => bench.tree.laboratoryUsed && sign('laboratory'),
    o: () => sign('group'),
    s: sideBySide,
    c: cover.toggle,
  })

  return (
    <main className="flex min-h-0 flex-1 flex-col">
      {stands.warning && <Notice tone="wrong">{stands.warning}</Notice>}
      <ContextBar bench={bench} sheet={sheet} />
      <div className="grid flex-1 lg:min-h-0 lg:grid-cols-[19.5rem_minmax(0,1fr)_21rem] lg:grid-rows-1">
        {(!narrow || part === 'path') && (
          <Path bench={bench} sheet={sheet} work={work} inHand={chosen} onChoose={takeUp} narrow={narrow} />
        )}
        {(!narrow || part === 'check') && (
          <section aria-label="The check in hand" className="flex min-h-0 min-w-0 flex-col">
            <div
              // of its own, so that each check begins at its title
              key={chosen}
              className="relative min-h-0 flex-1 p-4 max-lg:pb-42 max-sm:p-3 max-sm:pb-46 lg:overflow-y-auto short:pb-4"
            >
              {inHand?.kind === 'gate' && <GateCheck bench={bench} sheet={sheet} work={work} />}
              {inHand?.kind === 'check' && (
                <Check
                  bench={bench}
                  sheet={sheet}
                  character={inHand.character}
                  work={work}
                  cover={cover}
                  onSideBySide={sideBySide}
                />
              )}
            </div>
            <LookNext bench={bench} sheet={sheet} next={next} inHand={check} work={work} onTakeUp={takeUp} />
          </section>
        )}
        {(!narrow || part === 'call') && (
          <aside
            aria-label="What it amounts to"
            className="relative flex min-h-0 flex-col border-line max-lg:pb-52 lg:border-l"
          >
            <div className="flex min-h-0 flex-1 flex-col gap-3 p-4 py-2 lg:overflow-y-auto">
              <Beam bench={bench} sheet={sheet} beam={beam} />
              <BenchNotices bench={bench} sheet={sheet} />
              <Determinations determinations={bench.determinations} sheet={sheet} tree={bench.tree} />
              <FiguresBehind bench={bench} sheet={sheet} beam={beam} onTakeUp={takeUp} />
            </div>
            <div className="border-t border-line bg-paper p-3 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-15 max-lg:z-10 short:static">
              <SignPanel
                tree={stands}
                outcome={outcome}
                stands={standing}
                told={signed}
                onSign={sign}
                onSigned={(one) => {
                  setOutcome(undefined)
                  setSigned(one)
                }}
                onClose={() => {
                  setOutcome(undefined)
                  setSigned(undefined)
                }}
              />
            </div>
          </aside>
        )}
      </div>
      {narrow && (
        <PartBar bench={bench} sheet={sheet} part={part} signed={standing !== undefined} onPart={show} />
      )}
      <Guide bench={bench} work={work} part={part} narrow={narrow} onPart={show} />
    </main>
  )
}
