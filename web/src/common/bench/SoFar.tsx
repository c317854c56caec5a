import type { Character } from '../../api/types'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { Menu, MenuItem } from '../../ui/Menu'

type Props = {
  readonly character: Character
  /** State ids, one per leaf, cone … looked at. */
  readonly seen: readonly string[]
  readonly onChange: (seen: string[]) => void
  readonly onAllAlike: () => void
}

/** What was looked at so far, one small drawing each: touch one to change it or take it out. One line, whatever comes. */
export function SoFar({ character, seen, onChange, onAllAlike }: Props) {
  const several = character.replicates > 1
  const open = Math.max(0, character.replicates - seen.length)
  const nameOf = (id: string) => character.states.find((one) => one.id === id)?.name ?? id
  return (
    <div className="flex h-12 items-center gap-2">
      <ul
        aria-label="Looked at so far"
        tabIndex={-1}
        className="flex h-12 min-w-0 flex-1 items-center gap-1.5 overflow-x-auto overflow-y-hidden"
      >
        {seen.map((id, i) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: looks have no name but their place
            key={i}
            className="shrink-0"
          >
            <Menu
              label={`${i + 1}: ${nameOf(id)}. Change it or take it out`}
              className="grid size-11 place-items-center rounded-plain border border-ink bg-card text-lg font-bold hover:bg-thistle-wash"
              button={<Small character={character} id={id} />}
            >
              {character.states.map((state) => (
                <MenuItem
                  key={state.id}
                  current={state.id === id}
                  onChoose={() => onChange(seen.map((one, j) => (j === i ? state.id : one)))}
                >
                  {state.name}
                </MenuItem>
              ))}
              <MenuItem onChoose={() => onChange(seen.filter((_, j) => j !== i))}>
                <strong>Take it out</strong>
              </MenuItem>
            </Menu>
          </li>
        ))}
        {Array.from({ length: open }, (_, i) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: places have no name but their place
            key={i}
            className="size-11 shrink-0 rounded-plain border border-dashed border-edge"
          />
        ))}
      </ul>
      {several && (
        <>
          <span className="shrink-0 text-quiet">
            {seen.length} of {character.replicates}
          </span>
          <Button
            className="shrink-0 px-2! disabled:opacity-100"
            disabled={seen.length === 0 || open === 0}
            onClick={onAllAlike}
          >
            all alike <kbd className="figure max-lg:hidden">a</kbd>
          </Button>
        </>
      )}
    </div>
  )
}

function Small({ character, id }: { readonly character: Character; readonly id: string }) {
  const place = character.states.findIndex((one) => one.id === id)
  const draw = character.states[place]?.draw
  return draw ? <Drawing hint={draw} className="size-10" /> : <span>{place + 1}</span>
}
