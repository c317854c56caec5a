import { type CharacterFile, idOf, profileOf, type StateFile, sharesOf } from '../../common/draft/sheetFile'
import { Field } from '../../ui/Field'
import { Another } from './Another'
import { DrawHint } from './DrawHint'
import { useEditor } from './editor'
import { LeaveOut } from './LeaveOut'
import { withStateChanged } from './naming'

type Props = {
  readonly character: CharacterFile
  readonly set: (next: Partial<CharacterFile>) => void
  readonly disabled: boolean
}

/** Its states with their words and drawings. */
export function StatesOf({ character, set, disabled }: Props) {
  const { saved } = useEditor()
  const states = character.states ?? []
  const setState = (i: number, next: Partial<StateFile>) => set(withStateChanged(character, i, next, saved))
  const without = (gone: StateFile) => {
    const left = states.filter((one) => one !== gone)
    set({
      states: left,
      profiles: Object.fromEntries(
        Object.entries(character.profiles).map(([taxon, profile]) => {
          const shares = sharesOf(profile, left)
          const total = shares.reduce((sum, one) => sum + one, 0)
          return [
            taxon,
            profileOf(
              shares.map((one) => (total > 0 ? one / total : 1 / left.length)),
              left,
            ),
          ]
        }),
      ),
    })
  }
  return (
    <fieldset className="grid gap-3">
      <legend className="font-semibold">States and their drawings</legend>
      <ul className="grid gap-3 xl:grid-cols-2">
        {states.map((state, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an id follows its name while that is typed
          <li key={i} className="rounded-plain border border-line bg-card p-3">
            <div className="mb-2 flex items-end gap-2">
              <Field
                className="grow"
                label={`State ${i + 1}`}
                value={state.name}
                disabled={disabled}
                onChange={(event) => setState(i, { name: event.target.value })}
              />
              {!disabled && states.length > 2 && <LeaveOut of={state.name} onClick={() => without(state)} />}
            </div>
            <DrawHint
              of={state.name}
              draw={state.draw}
              measured={false}
              disabled={disabled}
              onChange={(draw) => setState(i, { draw })}
            />
          </li>
        ))}
      </ul>
      {!disabled && (
        <Another
          what="state"
          onClick={() =>
            set({
              states: [
                ...states,
                {
                  id: idOf(
                    'another state',
                    states.map((one) => one.id),
                  ),
                  name: 'another state',
                },
              ],
            })
          }
        />
      )}
    </fieldset>
  )
}
