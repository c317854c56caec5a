import type { Character, NewReading, Sheet, Taken } from '../../api/types'
import type { Entry } from './entries'

/**
 * What was measured already on each leaf where a part of the character asks for the same words: of each part the numbers by
 * leaf, of another character's values or of what they were taken from.
 */
export function knownOf(
  sheet: Sheet,
  character: Character,
  entries: ReadonlyMap<string, Entry>,
): readonly (readonly number[])[] {
  return character.parts.map(({ words }) => {
    for (const other of sheet.characters) {
      const reading = entries.get(other.id)?.reading
      const place = other.parts.findIndex((part) => part.words === words)
      if (other === character || place < 0 || !reading?.values) continue
      if (other.parts.length === 1) return reading.values
      const taken = (reading.taken ?? []).map((one) => one.parts?.[place])
      if (taken.length > 0 && taken.every((one) => one !== undefined)) return taken as number[]
    }
    return []
  })
}

/** How the values of a reading were taken, with some more; nothing where all were said as they are. */
export function takenWith(
  read: NewReading | undefined,
  added: readonly number[],
  how: readonly Taken[] | undefined,
): { taken?: Taken[] } {
  if (!how && !read?.taken) return {}
  return {
    taken: [...(read?.taken ?? (read?.values ?? []).map(() => ({}))), ...(how ?? added.map(() => ({})))],
  }
}
