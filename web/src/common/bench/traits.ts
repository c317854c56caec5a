import { CERTAINTIES, MATERIALS, POSITIONS } from '../../api/codes'
import type { Character } from '../../api/types'
import type { Manner } from './useManner'

/** Something that can be said of how a check was read. */
type Trait = {
  readonly of: keyof Manner
  readonly label: string
  readonly key: string
  readonly codes: readonly string[]
  /** Whether it makes a difference for a character. */
  readonly matters: (character: Character) => boolean
  /** What counts where nothing is said; null or undefined: nothing that can be named. */
  readonly assumed: (character: Character) => string | null | undefined
}

export const TRAITS: readonly Trait[] = [
  {
    of: 'certainty',
    label: 'Certainty',
    key: 'u',
    codes: CERTAINTIES,
    matters: () => true,
    assumed: (character) => character.assumedCertainty,
  },
  {
    of: 'material',
    label: 'Material',
    key: 'm',
    codes: MATERIALS,
    matters: (character) => character.materialMatters,
    assumed: (character) => character.assumedMaterial,
  },
  {
    of: 'position',
    label: 'Position',
    key: 'p',
    codes: POSITIONS,
    matters: (character) => character.positionMatters,
    assumed: (character) => character.assumedPosition,
  },
]

/** What a trait's key says next: the code after the one that is said or assumed. */
export function nextOf(
  { of, codes, assumed }: Trait,
  said: Manner,
  character: Character,
): string | undefined {
  return codes[(codes.indexOf(said[of] ?? assumed(character) ?? '') + 1) % codes.length]
}
