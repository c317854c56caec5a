import {
  Binoculars,
  DoorOpen,
  Hand,
  type LucideIcon,
  Search,
  Slice,
  TreeDeciduous,
  TriangleAlert,
} from 'lucide-react'
import { type ReactNode, useEffect, useRef } from 'react'
import { ZONES, type Zone } from '../../api/codes'
import type { Bench, Character, Sheet } from '../../api/types'
import { Seeds } from '../../ui/Seeds'
import { Term } from '../../ui/Term'
import { useLate } from '../../ui/useLate'
import { fractionWords, monthRuns, points } from '../../ui/words'
import { type Entry, wordsOfReading } from './entries'
import { GATE, isForbidden } from './inHand'
import { decidingBalance, whyNext } from './judgementWords'
import type { Work } from './useWork'

const LOOKS: Readonly<Record<Zone, { readonly name: string; readonly Icon: LucideIcon }>> = {
  'stand-off': { name: 'Stand off', Icon: Binoculars },
  trunk: { name: 'Trunk', Icon: TreeDeciduous },
  hand: { name: 'Hand', Icon: Hand },
  lens: { name: 'Lens', Icon: Search },
  cut: { name: 'Knife', Icon: Slice },
}
const STATIONS = ZONES.map((zone) => ({ zone, ...LOOKS[zone] }))

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly work: Work
  readonly inHand: string | undefined
  readonly onChoose: (id: string) => void
  /** Below a line of all stations, to go to one. */
  readonly narrow: boolean
}

/** The checks of the group, from far to near: the order of the work. */
export function Path({ bench, sheet, work, inHand, onChoose, narrow }: Props) {
  const stations = STATIONS.filter(({ zone }) => sheet.characters.some((one) => one.zone === zone))
  const next = bench.suggested.find((one) => !work.entries.has(one.character))
  const notNow = sheet.characters.filter(
    (one) => whyNotNow(bench, one) !== undefined && !work.entries.has(one.id),
  )
  const row = (character: Character) => (
    <li key={character.id}>
      <CheckRow
        bench={bench}
        sheet={sheet}
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
      data-guide="path"
      className="relative border-line p-2 pb-24 lg:overflow-y-auto lg:border-r lg:pb-2"
    >
      {narrow && <StationStrip stations={stations} />}
      <ol className="grid gap-1">
        <GateStop sheet={sheet} work={work} inHand={inHand} onChoose={onChoose} />
        {stations.map(({ zone, name, Icon }) => {
          const here = sheet.characters.filter((one) => one.zone === zone && !notNow.includes(one))
          return (
            <Stop key={zone} id={stationId(zone)} name={name} icon={<Icon aria-hidden className="size-4" />}>
              {here.length > 0 ? (
                <ul>{here.map(row)}</ul>
              ) : (
                <p className="flex min-h-9 items-center px-2 text-sm text-quiet">
                  nothing to read here in this month
                </p>
              )}
            </Stop>
          )
        })}
      </ol>
      {notNow.length > 0 && (
        <details className="lg:ml-14" open={notNow.some((one) => one.id === inHand) || undefined}>
          <summary className="flex min-h-9 cursor-pointer items-center px-2 font-semibold max-lg:min-h-11">
            Not now ({notNow.length}), with the reason
          </summary>
          <ul>{notNow.map(row)}</ul>
        </details>
      )}
      <p className="px-2 pt-1 text-sm text-quiet lg:ml-14">
        What the <Term id="seeds">seeds</Term> and <Term id="points">points</Term> are
      </p>
    </nav>
  )
}

function stationId(zone: string): string {
  return `station-${zone}`
}

type StopProps = {
  readonly id?: string
  readonly name: string
  readonly icon: ReactNode
  readonly children: ReactNode
}

/** A station on its line, its checks beside it. */
function Stop({ id, name, icon, children }: StopProps) {
  return (
    <li id={id} className="grid items-center lg:grid-cols-[3.4rem_minmax(0,1fr)]">
      <div className="flex items-center gap-2 max-lg:px-2 lg:flex-col lg:gap-0">
        <span className="z-10 grid size-7 place-items-center rounded-full border border-ink bg-paper">
          {icon}
        </span>
        <h2 className="z-10 bg-paper px-0.5 text-[0.8rem] max-lg:text-[0.85rem] whitespace-nowrap max-lg:text-base">
          {name}
        </h2>
      </div>
      <div className="min-w-0 border-line lg:border-l">{children}</div>
    </li>
  )
}

/** The stations as stops on one line; touched, the path goes there. */
function StationStrip({ stations }: { readonly stations: readonly (typeof STATIONS)[number][] }) {
  return (
    <div className="mb-2 flex justify-between border-b border-line pb-1">
      {stations.map(({ zone, name, Icon }) => (
        <button
          key={zone}
          type="button"
          onClick={() => {
            document.getElementById(stationId(zone))?.scrollIntoView({ block: 'start' })
          }}
          className="flex min-h-11 min-w-14 flex-col items-center text-sm"
        >
          <span className="grid size-9 place-items-center rounded-full border border-ink bg-card">
            <Icon aria-hidden className="size-5" />
          </span>
          {name}
        </button>
      ))}
    </div>
  )
}

/** The gate as the first stop, with how it stands. */
function GateStop({ sheet, work, inHand, onChoose }: Pick<Props, 'sheet' | 'work' | 'inHand' | 'onChoose'>) {
  if (sheet.gate.length === 0) return null
  const open = sheet.gate.filter((one) => !work.marks.has(one.id)).length
  const failed = sheet.gate.some((one) => work.marks.get(one.id) === false)
  return (
    <Stop name="Gate" icon={<DoorOpen aria-hidden className="size-4" />}>
      <button
        type="button"
        onClick={() => onChoose(GATE)}
        aria-current={inHand === GATE ? 'step' : undefined}
        className={`${ROW} justify-between`}
      >
        Shared by all
        <span className={`text-sm font-bold ${failed && inHand !== GATE ? 'text-rust-ink' : ''}`}>
          {failed ? 'fails' : open > 0 ? `${open} to look at` : 'fits'}
        </span>
      </button>
    </Stop>
  )
}

/** Why a check is not asked for on this visit; undefined: it is. */
function whyNotNow(bench: Bench, character: Character): string | undefined {
  if (bench.notAtThisStage.includes(character.id)) return 'not at this stage'
  if (bench.outOfSeason.includes(character.id)) return monthRuns(character.months)
  return bench.noneOnTree.includes(character.id) ? 'none on this tree' : undefined
}

const ROW =
  'flex h-9.5 w-full items-center gap-2 rounded-plain px-2 text-left leading-[1.12] hover:bg-thistle-wash max-lg:h-auto max-lg:min-h-12 max-lg:py-1 aria-[current=step]:bg-thistle aria-[current=step]:text-card forced-colors:aria-[current=step]:outline-3 forced-colors:aria-[current=step]:-outline-offset-3 forced-colors:aria-[current=step]:outline-solid'

type RowProps = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly character: Character
  readonly entry: Entry | undefined
  /** Why it is the best next check, if it is. */
  readonly why: string | undefined
  readonly current: boolean
  readonly onChoose: () => void
}

function CheckRow({ bench, sheet, character, entry, why, current, onChoose }: RowProps) {
  const forbidden = isForbidden(bench, character)
  const row = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (current) row.current?.scrollIntoView({ block: 'nearest' })
  }, [current])
  const below = entry
    ? wordsOfReading(character, entry.reading)
    : forbidden
      ? 'wounds the tree; off in this survey'
      : (whyNotNow(bench, character) ??
        (bench.dulled.includes(character.id)
          ? `counts ${fractionWords(sheet.counts.lacking)} for you`
          : undefined))
  return (
    <button
      ref={row}
      type="button"
      onClick={onChoose}
      disabled={forbidden && !entry}
      title={character.name}
      aria-current={current ? 'step' : undefined}
      className={`${ROW} justify-between`}
    >
      <span className="min-w-0 flex-1">
        <span className={`block ${below ? 'truncate' : ''} ${why && !current ? 'font-bold' : ''}`}>
          {character.shortName}
          {character.hazards.length > 0 && (
            <>
              <TriangleAlert aria-hidden className="ml-1 inline size-4" />
              <span className="sr-only">, with a caution</span>
            </>
          )}
          {character.name !== character.shortName && <span className="sr-only">: {character.name}</span>}
          {why && !current && <span className="sr-only">, look next: {why}</span>}
        </span>
        {below && (
          <span
            className={`block truncate text-[0.8rem] max-lg:text-[0.85rem] ${entry ? 'font-bold' : current ? '' : 'text-quiet'}`}
          >
            {below}
          </span>
        )}
      </span>
      <Aside bench={bench} character={character} entry={entry} next={why !== undefined} current={current} />
    </button>
  )
}

function NotSent({ words, current }: { readonly words: string; readonly current: boolean }) {
  return <span className={`text-sm font-bold ${current ? '' : 'text-rust-ink'}`}>{words}</span>
}

type WorthProps = {
  readonly points: number | undefined
  /** Whether the server does not have it yet. */
  readonly waits: boolean
  readonly current: boolean
}

/** What the check is worth, also while it is on its way; until the server is slow to answer nothing here is put anew. */
function Worth({ points: worth, waits, current }: WorthProps) {
  const late = useLate(waits)
  if (late) return <NotSent words="unsent" current={current} />
  if (worth === undefined) return null
  const tone = worth < 0 ? 'text-rust-ink' : 'text-gold-ink'
  return <span className={`figure shrink-0 font-bold ${current ? '' : tone}`}>{points(worth)}</span>
}

type AsideProps = Pick<RowProps, 'bench' | 'character' | 'entry' | 'current'> & {
  /** Whether it is the one to look at next. */
  readonly next: boolean
}

/** What a check is worth, or what it would bring and cost. */
function Aside({ bench, character, entry, next, current }: AsideProps) {
  if (entry?.unsent?.refused) return <NotSent words="refused" current={current} />
  const worth = decidingBalance(bench).points.find((one) => one.character === character.id)?.points
  if (entry || worth !== undefined)
    return <Worth points={worth} waits={entry?.unsent !== undefined} current={current} />
  const seeds = bench.suggested.find((one) => one.character === character.id)?.seeds
  return (
    <span
      className={`flex shrink-0 items-center gap-1.5 rounded-plain px-0.5 ${next && !current ? 'outline-2 outline-offset-1 outline-thistle' : ''}`}
    >
      {seeds !== undefined && <Seeds seeds={seeds} light={current} />}
      <span
        className={`figure text-[0.8rem] max-lg:text-[0.85rem] whitespace-nowrap ${current ? 'text-card' : 'text-quiet'}`}
      >
        {character.minutes} min
      </span>
    </span>
  )
}
