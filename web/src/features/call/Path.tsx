import { TriangleAlert } from 'lucide-react'
import type { Bench, Character, Sheet } from '../../api/types'
import { Seeds } from '../../ui/Seeds'
import { monthRuns, points } from '../../ui/words'
import { type Entry, wordsOfReading } from './entries'
import { decidingBalance } from './judgementWords'

const STATIONS = [
  { zone: 'stand-off', name: 'Stand off' },
  { zone: 'trunk', name: 'Trunk' },
  { zone: 'hand', name: 'Hand' },
  { zone: 'lens', name: 'Lens' },
  { zone: 'cut', name: 'Knife' },
] as const

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly entries: ReadonlyMap<string, Entry>
  readonly inHand: string | undefined
  readonly onChoose: (character: string) => void
}

/** The checks of the group, from far to near: the order of the work. */
export function Path({ bench, sheet, entries, inHand, onChoose }: Props) {
  const seedsOf = new Map(bench.suggested.map((one) => [one.character, one.seeds]))
  const pointsOf = new Map(decidingBalance(bench).points.map((one) => [one.character, one.points]))
  return (
    <nav aria-label="Checks" className="relative border-line p-3 lg:overflow-y-auto lg:border-r">
      {STATIONS.map(({ zone, name }) => {
        const here = sheet.characters.filter((one) => one.zone === zone)
        return (
          here.length > 0 && (
            <section key={zone} className="border-l-2 border-line pb-3 pl-3">
              <h2 className="text-base">{name}</h2>
              <ul>
                {here.map((character) => (
                  <li key={character.id}>
                    <CheckRow
                      character={character}
                      entry={entries.get(character.id)}
                      points={pointsOf.get(character.id)}
                      seeds={seedsOf.get(character.id)}
                      forbidden={character.harm === 'wound' && !bench.tree.woundingAllowed}
                      outOfSeason={bench.outOfSeason.includes(character.id)}
                      current={character.id === inHand}
                      onChoose={() => onChoose(character.id)}
                    />
                  </li>
                ))}
              </ul>
            </section>
          )
        )
      })}
    </nav>
  )
}

type RowProps = {
  readonly character: Character
  readonly entry: Entry | undefined
  readonly points: number | undefined
  readonly seeds: number | undefined
  readonly forbidden: boolean
  readonly outOfSeason: boolean
  readonly current: boolean
  readonly onChoose: () => void
}

function CheckRow({
  character,
  entry,
  points: worth,
  seeds,
  forbidden,
  outOfSeason,
  current,
  onChoose,
}: RowProps) {
  const quiet = current ? 'text-card' : 'text-quiet'
  return (
    <button
      type="button"
      onClick={onChoose}
      disabled={forbidden && !entry}
      aria-current={current ? 'step' : undefined}
      className="flex min-h-11 w-full items-center justify-between gap-2 rounded-plain px-2 py-1 text-left leading-snug hover:bg-thistle-wash aria-[current=step]:bg-thistle aria-[current=step]:text-card"
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
          <span className={`block text-sm ${quiet}`}>not now: {monthRuns(character.months)}</span>
        )}
      </span>
      <Aside
        entry={entry}
        worth={worth}
        minutes={character.minutes}
        seeds={seeds}
        quiet={quiet}
        current={current}
      />
    </button>
  )
}

type AsideProps = {
  readonly entry: Entry | undefined
  readonly worth: number | undefined
  readonly minutes: number
  readonly seeds: number | undefined
  readonly quiet: string
  readonly current: boolean
}

function Aside({ entry, worth, minutes, seeds, quiet, current }: AsideProps) {
  if (entry?.unsent) {
    const text = entry.unsent.refused ? 'refused' : 'unsent'
    return <span className={`text-sm font-bold ${current ? '' : 'text-rust-ink'}`}>{text}</span>
  }
  if (worth !== undefined) {
    const tone = worth < 0 ? 'text-rust-ink' : 'text-gold-ink'
    return <span className={`figure shrink-0 font-bold ${current ? '' : tone}`}>{points(worth)}</span>
  }
  if (entry) return null
  return (
    <span className="flex shrink-0 items-center gap-2">
      {seeds !== undefined && <Seeds seeds={seeds} light={current} />}
      <span className={`figure text-sm ${quiet}`}>{minutes} min</span>
    </span>
  )
}
