import { memo } from 'react'
import type { Character, Sheet } from '../../api/types'
import { Drawing } from '../../ui/Drawing'
import { Key } from '../../ui/Key'
import { Mark } from '../../ui/Mark'

type Props = {
  readonly sheet: Sheet
  readonly character: Character
  /** State ids, one per leaf, cone … looked at. */
  readonly seen: readonly string[]
  /** Whether what a state would mean is hidden. */
  readonly covered: boolean
  readonly onSee: (id: string) => void
}

const CHOSEN =
  'aria-pressed:border-ink aria-pressed:ring-3 aria-pressed:ring-ink forced-colors:aria-pressed:outline-4 forced-colors:aria-pressed:outline-solid'

/** The states to choose from. Where several are looked at, each touch counts one more; nothing on a card takes one back. */
export function StateTiles({ sheet, character, seen, covered, onSee }: Props) {
  const several = character.replicates > 1
  return (
    <ul
      aria-label="States"
      data-guide="states"
      className="grid gap-2 sm:grid-cols-[repeat(auto-fit,minmax(8rem,1fr))]"
    >
      {character.states.map((state, place) => {
        const count = seen.filter((id) => id === state.id).length
        return (
          <li key={state.id} className="flex">
            <button
              type="button"
              aria-pressed={count > 0}
              onClick={() => onSee(state.id)}
              className={`relative flex w-full items-center gap-3 rounded-plain border border-edge bg-card p-2 text-left hover:bg-thistle-wash sm:flex-col sm:items-stretch sm:gap-1 ${CHOSEN}`}
            >
              <span className="absolute top-2 left-2">
                <Key name={`${place + 1}`} />
              </span>
              <span
                aria-hidden={count === 0}
                className={`figure absolute top-2 right-2 rounded-plain bg-ink px-1.5 font-bold text-card ${count > 0 && several ? '' : 'invisible'}`}
              >
                ×{count}
              </span>
              {state.draw ? (
                <Drawing hint={state.draw} className="h-22 w-24 shrink-0 sm:mx-auto sm:h-28 sm:w-full" />
              ) : null}
              <span className="flex min-w-0 flex-1 flex-col gap-1">
                <span
                  className={`leading-tight font-semibold max-sm:pr-8 ${state.draw ? 'text-[0.97rem]' : 'text-lg max-sm:pl-8 sm:mt-10 sm:min-h-18'}`}
                >
                  {state.name}
                </span>
                <Meanings sheet={sheet} character={character} place={place} covered={covered} />
              </span>
            </button>
          </li>
        )
      })}
    </ul>
  )
}

type MeaningsProps = {
  readonly sheet: Sheet
  readonly character: Character
  readonly place: number
  readonly covered: boolean
}

/** How often each candidate shows a state, by the sheet; while it is covered its room stays. */
const Meanings = memo(function Meanings({ sheet, character, place, covered }: MeaningsProps) {
  const lines = Math.ceil(sheet.taxa.length / 2)
  return (
    <span
      className="mt-auto grid grid-cols-[repeat(2,max-content)] content-start gap-x-3 text-sm text-quiet"
      style={{ minHeight: `${lines * 1.3}rem` }}
    >
      {!covered &&
        sheet.taxa.map((taxon, i) => (
          <span key={taxon.id} className="figure flex items-center gap-1 whitespace-nowrap">
            <Mark candidate={i} standing="other" />
            <span className="sr-only">{taxon.commonName}</span>
            <span className="min-w-[3ch] text-right">
              {Math.round((character.profiles[i]?.frequencies?.[place] ?? 0) * 100)}
            </span>
            %
          </span>
        ))}
    </span>
  )
})
