import { Minus } from 'lucide-react'
import type { Character } from '../../api/types'

type Props = {
  readonly character: Character
  /** State ids, one per leaf, cone … looked at. */
  readonly seen: readonly string[]
  readonly onChange: (seen: string[]) => void
}

/** The states to choose from. Where several are looked at, each touch counts one more and the minus takes one back. */
export function StateTiles({ character, seen, onChange }: Props) {
  const several = character.replicates > 1
  const takeBack = (id: string) => {
    const last = seen.lastIndexOf(id)
    onChange(seen.filter((_, i) => i !== last))
  }
  return (
    <div>
      <ul aria-label="States" className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {character.states.map((state) => {
          const count = seen.filter((id) => id === state.id).length
          return (
            <li
              key={state.id}
              className={`flex items-stretch rounded-plain border bg-card ${count > 0 ? 'border-2 border-ink' : 'border-edge'}`}
            >
              <button
                type="button"
                aria-pressed={count > 0}
                onClick={() => onChange(several ? [...seen, state.id] : [state.id])}
                className="flex min-h-16 flex-1 flex-col justify-between rounded-plain p-3 text-left text-lg sm:min-h-24 font-semibold leading-snug hover:bg-thistle-wash"
              >
                {state.name}
                {several && <span className="figure mt-2 text-2xl">{count > 0 ? `× ${count}` : ''}</span>}
              </button>
              {several && count > 0 && seen.length > 1 && (
                <button
                  type="button"
                  aria-label={`One less: ${state.name}`}
                  onClick={() => takeBack(state.id)}
                  className="grid w-11 place-items-center border-l border-line hover:bg-thistle-wash"
                >
                  <Minus aria-hidden className="size-5" />
                </button>
              )}
            </li>
          )
        })}
      </ul>
      {several && (
        <p className="mt-2 text-quiet">
          {seen.length} of {character.replicates} looked at. Touch a state once for each one that shows it.
        </p>
      )}
    </div>
  )
}
