import type { Character, NewReading, Sheet } from '../../api/types'
import { useKeys } from '../../ui/useKeys'
import { How } from './How'
import { takenWith } from './leaves'
import { NumberEntry } from './NumberEntry'
import { SoFar } from './SoFar'
import { StateTiles } from './StateTiles'

type Props = {
  readonly sheet: Sheet
  readonly character: Character
  /** what was read so far; undefined: nothing */
  readonly read: NewReading | undefined
  readonly draftKey: string
  /** What was measured already on each leaf where the same words were asked for, by place of the part. */
  readonly known?: readonly (readonly number[])[]
  /** whether the keys of the Bench go to it */
  readonly keys?: boolean
  readonly onRead: (reading: NewReading) => void
}

/** A character that is read without being told what a state would mean, and how surely it was read. */
export function CoveredReading({ sheet, character, read, draftKey, known, keys = false, onRead }: Props) {
  const { id, replicates } = character
  const states = read?.states ?? []
  const values = read?.values ?? []
  const put = (seen: Pick<NewReading, 'states' | 'values' | 'taken'>) =>
    onRead(
      seen.states?.length || seen.values?.length
        ? { character: id, notSeen: false, certainty: 'sure', ...seen }
        : { character: id, notSeen: false, withdrawn: true },
    )
  const seeState = (state: string) => put({ states: replicates > 1 ? [...states, state] : [state] })
  const allAlike = () => {
    const last = states.at(-1)
    if (last && states.length < replicates)
      put({ states: [...states, ...Array<string>(replicates - states.length).fill(last)] })
  }
  const notSeen = () => onRead({ character: id, notSeen: true })
  const notBorne = () => onRead({ character: id, notSeen: true, notBorne: true })
  useKeys(
    keys
      ? {
          ...Object.fromEntries(character.states.map((state, i) => [`${i + 1}`, () => seeState(state.id)])),
          x: notSeen,
          ...(character.mayBearNone ? { e: notBorne } : {}),
          a: allAlike,
        }
      : {},
  )
  return (
    <>
      {character.states.length > 0 ? (
        <>
          <StateTiles sheet={sheet} character={character} seen={states} covered onSee={seeState} />
          <SoFar
            character={character}
            seen={states}
            onChange={(changed) => put({ states: changed })}
            onAllAlike={allAlike}
          />
        </>
      ) : (
        <NumberEntry
          sheet={sheet}
          character={character}
          values={values}
          covered
          draftKey={draftKey}
          taken={read?.taken ?? []}
          {...(known ? { known } : {})}
          onAdd={(added, how) => put({ values: [...values, ...added], ...takenWith(read, added, how) })}
          onTakeOut={(i) =>
            put({
              values: values.filter((_, j) => j !== i),
              ...(read?.taken ? { taken: read.taken.filter((_, j) => j !== i) } : {}),
            })
          }
        />
      )}
      <How
        character={character}
        notSeen={read?.notSeen === true}
        notBorne={read?.notBorne === true}
        onNotSeen={notSeen}
        onNotBorne={notBorne}
      />
    </>
  )
}
