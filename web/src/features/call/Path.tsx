import { Binoculars, Hand, Search, Slice, TreeDeciduous, TriangleAlert } from 'lucide-react'
import { type ReactNode, useEffect, useRef, useState } from 'react'
import type { Bench, Character, Sheet } from '../../api/types'
import { Seeds } from '../../ui/Seeds'
import { useLate } from '../../ui/useLate'
import { monthRuns, points } from '../../ui/words'
import { type Entry, wordsOfReading } from './entries'
import { gateId, isForbidden } from './inHand'
import { decidingBalance, whyNext } from './judgementWords'
import type { Work } from './useWork'

const STATIONS = [
  { zone: 'stand-off', name: 'Stand off', Icon: Binoculars },
  { zone: 'trunk', name: 'Trunk', Icon: TreeDeciduous },
  { zone: 'hand', name: 'Hand', Icon: Hand },
  { zone: 'lens', name: 'Lens', Icon: Search },
  { zone: 'cut', name: 'Knife', Icon: Slice },
] as const

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly work: Work
  readonly inHand: string | undefined
  readonly onChoose: (id: string) => void
  /** Shows one station at a time. */
  readonly narrow: boolean
}

/** The checks of the group, from far to near: the order of the work. */
export function Path({ bench, sheet, work, inHand, onChoose, narrow }: Props) {
  const current = sheet.characters.find((one) => one.id === inHand)
  const [chosen, setChosen] = useState<string>()
  const stations = STATIONS.filter(({ zone }) => sheet.characters.some((one) => one.zone === zone))
  const shown = narrow ? (chosen ?? current?.zone ?? stations[0]?.zone) : undefined
  const next = bench.suggested.find((one) => !work.entries.has(one.character))
  const notNow = sheet.characters.filter(
    (one) => bench.outOfSeason.includes(one.id) && !work.entries.has(one.id),
  )
  const row = (character: Character) => (
    <li key={character.id}>
      <CheckRow
        bench={bench}
        character={character}
        entry={work.entries.get(character.id)}
        why={next?.character === character.id ? whyNext(sheet, bench, next) : undefined}
        current={character.id === inHand}
        onChoose={() => onChoose(character.id)}
      />
    </li>
  )
  return (
    <nav
      aria-label="Checks"
      className="relative border-line p-3 pb-24 lg:overflow-y-auto lg:border-r lg:pb-3"
    >
      {narrow && <StationStrip stations={stations} shown={shown} onShow={setChosen} />}
      {(!narrow || shown === stations[0]?.zone) && (
        <Gate sheet={sheet} work={work} inHand={inHand} onChoose={onChoose} />
      )}
      <ol className="station-line">
        {stations
          .filter(({ zone }) => shown === undefined || zone === shown)
          .map(({ zone, name, Icon }) => {
            const here = sheet.characters.filter((one) => one.zone === zone && !notNow.includes(one))
            return (
              <li key={zone} className="pb-2">
                <div className="flex items-center gap-3">
                  <span className="z-10 grid size-8 shrink-0 place-items-center rounded-full border border-ink bg-paper">
                    <Icon aria-hidden className="size-4" />
                  </span>
                  <h2 className="text-base">{name}</h2>
                </div>
                {here.length > 0 ? (
                  <ul className="ml-9">{here.map(row)}</ul>
                ) : (
                  <p className="ml-11 text-sm text-quiet">nothing to read here in this month</p>
                )}
              </li>
            )
          })}
      </ol>
      {notNow.length > 0 && (
        <details className="mt-1 ml-9" open={notNow.some((one) => one.id === inHand) || undefined}>
          <summary className="flex min-h-11 cursor-pointer items-center px-2 font-semibold">
            Not now ({notNow.length}), with the months
          </summary>
          <ul>{notNow.map(row)}</ul>
        </details>
      )}
    </nav>
  )
}

type StripProps = {
  readonly stations: readonly (typeof STATIONS)[number][]
  readonly shown: string | undefined
  readonly onShow: (zone: string) => void
}

/** The stations as stops on one line, to choose one. */
function StationStrip({ stations, shown, onShow }: StripProps) {
  return (
    <div className="mb-3 flex justify-between border-b border-line pb-2">
      {stations.map(({ zone, name, Icon }) => (
        <button
          key={zone}
          type="button"
          aria-pressed={zone === shown}
          onClick={() => onShow(zone)}
          className="group flex min-h-11 min-w-14 flex-col items-center gap-1 text-sm aria-pressed:font-bold"
        >
          <span className="grid size-10 place-items-center rounded-full border border-ink bg-card group-aria-pressed:bg-thistle group-aria-pressed:text-card">
            <Icon aria-hidden className="size-5" />
          </span>
          {name}
        </button>
      ))}
    </div>
  )
}

function Gate({ sheet, work, inHand, onChoose }: Pick<Props, 'sheet' | 'work' | 'inHand' | 'onChoose'>) {
  if (sheet.gate.length === 0) return null
  const words = (item: string) => {
    const fits = work.marks.get(item)
    return fits === undefined ? 'not yet' : fits ? 'fits' : 'fails'
  }
  const open = sheet.gate.filter((one) => !work.marks.has(one.id)).length
  const failed = sheet.gate.some((one) => work.marks.get(one.id) === false)
  return (
    <details className="mb-2" open={failed || inHand?.startsWith('gate:') || undefined}>
      <summary className="flex min-h-11 cursor-pointer items-center gap-2 px-1 font-head font-bold">
        Gate
        <span className={`ml-auto text-sm font-normal ${failed ? 'font-bold text-rust-ink' : 'text-quiet'}`}>
          {failed ? 'fails' : open > 0 ? `${open} of ${sheet.gate.length} to look at` : 'fits'}
        </span>
      </summary>
      <ul className="ml-9">
        {sheet.gate.map((item) => (
          <li key={item.id}>
            <button
              type="button"
              onClick={() => onChoose(gateId(item.id))}
              aria-current={gateId(item.id) === inHand ? 'step' : undefined}
              className={`${ROW} justify-between`}
            >
              {item.name}
              <span className="shrink-0 text-sm font-bold">{words(item.id)}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  )
}

const ROW =
  'flex min-h-11 w-full items-center gap-2 rounded-plain px-2 py-1 text-left leading-snug hover:bg-thistle-wash aria-[current=step]:bg-thistle aria-[current=step]:text-card'

type RowProps = {
  readonly bench: Bench
  readonly character: Character
  readonly entry: Entry | undefined
  /** Why it is the best next check, if it is. */
  readonly why: string | undefined
  readonly current: boolean
  readonly onChoose: () => void
}

function CheckRow({ bench, character, entry, why, current, onChoose }: RowProps) {
  const quiet = current ? 'text-card' : 'text-quiet'
  const forbidden = isForbidden(bench, character)
  const outOfSeason = bench.outOfSeason.includes(character.id)
  const row = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (current) row.current?.scrollIntoView({ block: 'nearest' })
  }, [current])
  return (
    <button
      ref={row}
      type="button"
      onClick={onChoose}
      disabled={forbidden && !entry}
      aria-current={current ? 'step' : undefined}
      className={`${ROW} justify-between`}
    >
      <span>
        {character.name}
        {character.hazards.length > 0 && (
          <>
            <TriangleAlert aria-hidden className="ml-1 inline size-4" />
            <span className="sr-only">, with a caution</span>
          </>
        )}
        {entry && <span className="block font-bold">{wordsOfReading(character, entry.reading)}</span>}
        {!entry && forbidden && (
          <span className={`block text-sm ${quiet}`}>wounds the tree; off in this survey</span>
        )}
        {!entry && !forbidden && outOfSeason && (
          <span className={`block text-sm ${quiet}`}>{monthRuns(character.months)}</span>
        )}
        {!entry && bench.dulled.includes(character.id) && (
          <span className={`block text-sm ${quiet}`}>counts a quarter for you</span>
        )}
        {why && !current && (
          <span className="block text-sm font-semibold text-thistle">
            Best next <span className="sr-only">{why}</span>
          </span>
        )}
      </span>
      <Aside bench={bench} character={character} entry={entry} current={current} />
    </button>
  )
}

function NotSent({ words, current }: { readonly words: string; readonly current: boolean }) {
  return <span className={`text-sm font-bold ${current ? '' : 'text-rust-ink'}`}>{words}</span>
}

/** What the check was worth before stays until the server is slow to answer. */
function Unsent({ before, current }: { readonly before: ReactNode; readonly current: boolean }) {
  const late = useLate()
  return late ? <NotSent words="unsent" current={current} /> : before
}

type AsideProps = Pick<RowProps, 'bench' | 'character' | 'entry' | 'current'>

/** What a check is worth, or what it would bring and cost. */
function Aside({ bench, character, entry, current }: AsideProps) {
  if (entry?.unsent?.refused) return <NotSent words="refused" current={current} />
  const worth = decidingBalance(bench).points.find((one) => one.character === character.id)?.points
  const tone = worth !== undefined && worth < 0 ? 'text-rust-ink' : 'text-gold-ink'
  const before = worth !== undefined && (
    <span className={`figure shrink-0 font-bold ${current ? '' : tone}`}>{points(worth)}</span>
  )
  if (entry?.unsent) return <Unsent before={before} current={current} />
  if (before) return before
  if (entry) return null
  const seeds = bench.suggested.find((one) => one.character === character.id)?.seeds
  return (
    <span className="flex shrink-0 items-center gap-2">
      {seeds !== undefined && <Seeds seeds={seeds} light={current} />}
      <span className={`figure text-sm ${current ? 'text-card' : 'text-quiet'}`}>
        {character.minutes} min
      </span>
    </span>
  )
}
