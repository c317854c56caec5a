import { Minus } from 'lucide-react'
import type { Character, Sheet } from '../../api/types'
import { Drawing } from '../../ui/Drawing'
import { Mark } from '../../ui/Mark'
import { Key } from './GateCheck'

type Props = {
  readonly sheet: Sheet
  readonly character: Character
  /** State ids, one per leaf, cone … looked at. */
  readonly seen: readonly string[]
  /** Whether what a state would mean is hidden. */
  readonly covered: boolean
  readonly onSee: (id: string) => void
  readonly onChange: (seen: string[]) => void
}

/** The states to choose from. Where several are looked at, each touch counts one more and the minus takes one back. */
export function StateTiles({ sheet, character, seen, covered, onSee, onChange }: Props) {
  const several = character.replicates > 1
  const takeBack = (id: string) => {
    const last = seen.lastIndexOf(id)
    onChange(seen.filter((_, i) => i !== last))
  }
  return (
    <div>
      <ul aria-label="States" className="grid gap-3 sm:grid-cols-[repeat(auto-fit,minmax(8.25rem,1fr))]">
        {character.states.map((state, place) => {
          const count = seen.filter((id) => id === state.id).length
          return (
            <li
              key={state.id}
              className={`relative flex flex-col rounded-plain border bg-card ${count > 0 ? 'border-ink ring-2 ring-ink' : 'border-edge'}`}
            >
              <button
                type="button"
                aria-pressed={count > 0}
                onClick={() => onSee(state.id)}
                className="flex min-h-16 flex-1 items-center gap-3 rounded-plain p-2 text-left hover:bg-thistle-wash sm:flex-col sm:items-stretch sm:gap-1"
              >
                <span className="flex flex-col items-center gap-1 sm:absolute sm:top-2 sm:left-2">
                  <Key name={`${place + 1}`} />
                  {count > 0 && several && (
                    <span className="figure font-bold whitespace-nowrap">×{count}</span>
                  )}
                </span>
                {state.draw ? (
                  <Drawing hint={state.draw} className="h-24 w-28 shrink-0 sm:mx-auto sm:h-36 sm:w-full" />
                ) : null}
                <span
                  className={`leading-snug font-semibold ${state.draw ? 'text-[0.95rem]' : 'text-xl sm:mt-10 sm:min-h-24'}`}
                >
                  {state.name}
                </span>
                {!covered && <Meanings sheet={sheet} character={character} place={place} />}
              </button>
              {count > 0 && (
                <button
                  type="button"
                  aria-label={`One less: ${state.name}`}
                  onClick={() => takeBack(state.id)}
                  className="absolute right-0 bottom-0 grid size-11 place-items-center hover:bg-thistle-wash"
                >
                  <Minus aria-hidden className="size-5" />
                </button>
              )}
            </li>
          )
        })}
      </ul>
      {several && <SoFar character={character} seen={seen} />}
    </div>
  )
}

type MeaningsProps = { readonly sheet: Sheet; readonly character: Character; readonly place: number }

/** How often each candidate shows a state, by the sheet. */
function Meanings({ sheet, character, place }: MeaningsProps) {
  return (
    <span className="mt-auto flex flex-wrap gap-x-3 text-sm text-quiet max-sm:flex-col">
      {sheet.taxa.map((taxon, i) => {
        const share = character.profiles[i]?.frequencies?.[place] ?? 0
        return (
          <span key={taxon.id} className="figure flex items-center gap-1 whitespace-nowrap">
            <Mark candidate={i} standing="other" />
            <span className="sr-only">{taxon.commonName}</span>
            {Math.round(share * 100)} %
          </span>
        )
      })}
    </span>
  )
}

/** What was looked at so far, one small drawing each, and the places that are still empty. */
function SoFar({ character, seen }: { readonly character: Character; readonly seen: readonly string[] }) {
  const open = Math.max(0, character.replicates - seen.length)
  return (
    <div className="mt-2 flex min-h-11 flex-wrap items-center gap-2">
      <span className="font-semibold">
        {seen.length} of {character.replicates} so far
      </span>
      {seen.map((id, i) => {
        const state = character.states.find((one) => one.id === id)
        return (
          <span
            // biome-ignore lint/suspicious/noArrayIndexKey: looks have no name but their place
            key={i}
            className="grid size-10 place-items-center rounded-plain border border-line bg-card text-sm font-bold"
            title={state?.name}
          >
            {state?.draw ? (
              <Drawing hint={state.draw} className="size-9" />
            ) : (
              character.states.findIndex((one) => one.id === id) + 1
            )}
          </span>
        )
      })}
      {Array.from({ length: open }, (_, i) => (
        <span
          // biome-ignore lint/suspicious/noArrayIndexKey: places have no name but their place
          key={i}
          className="size-10 rounded-plain border border-dashed border-edge"
        />
      ))}
    </div>
  )
}
