import type { Bench, Character, NewReading } from '../../api/types'
import { monthName, withError } from '../../ui/words'
import { TRAITS } from './traits'
import type { Unsent } from './unsent'

/** What stands on the screen for a character: the last entry, and whether the server has it. */
export type Entry = { readonly reading: NewReading; readonly unsent?: Unsent }

/** The entries of a tree by character, what is unsent over what is stored. */
export function entriesOf(bench: Bench, unsent: readonly Unsent[]): ReadonlyMap<string, Entry> {
  const entries = new Map<string, Entry>()
  for (const { reading } of bench.readings) entries.set(reading.character, { reading })
  for (const one of unsent) {
    if (one.entered.kind !== 'reading') continue
    const { reading } = one.entered
    if (reading.withdrawn) entries.delete(reading.character)
    else entries.set(reading.character, { reading, unsent: one })
  }
  return entries
}

/** The marks of the gate by item, what is unsent over what is stored: whether the tree fits. */
export function marksOf(bench: Bench, unsent: readonly Unsent[]): ReadonlyMap<string, boolean> {
  const marks = new Map<string, boolean>()
  for (const { item, fits } of bench.gate) marks.set(item, fits)
  for (const { entered } of unsent) {
    if (entered.kind !== 'mark') continue
    if (entered.mark === 'taken-back') marks.delete(entered.item)
    else marks.set(entered.item, entered.mark === 'fits')
  }
  return marks
}

/** What was read, in words: "3 few, 1 many", "11, 9, 13 mm", "not seen". */
export function wordsOfReading(character: Character, reading: NewReading): string {
  if (reading.notBorne) return 'none on this tree'
  if (reading.notSeen) return 'not seen'
  if (reading.values) {
    return reading.values
      .map((value, i, all) => {
        const unit = i === all.length - 1 ? character.unit : null
        const { parts, error } = reading.taken?.[i] ?? {}
        const from = parts && parts.length > 1 ? ` (${parts.join(' / ')})` : ''
        return `${withError(value, error, unit)}${from}`
      })
      .join(', ')
  }
  const states = reading.states ?? []
  return character.states
    .map((state) => ({ state, count: states.filter((id) => id === state.id).length }))
    .filter(({ count }) => count > 0)
    .map(({ state, count }) => (states.length > 1 ? `${count} × ${state.name}` : state.name))
    .join(', ')
}

/** How something was read, in words; what nobody said is marked as assumed, an earlier visit by its month. Empty: it was not seen. */
export function mannerWords(character: Character, reading: NewReading): string {
  if (reading.notSeen) return ''
  const manner = TRAITS.filter(({ of, matters }) => reading[of] || matters(character))
    .map(({ of, assumed }) => reading[of] ?? assumedWords(assumed(character)))
    .filter((words) => words !== '')
  return [...manner, ...(reading.month ? [`in ${monthName(reading.month)}`] : [])].join(', ')
}

function assumedWords(code: string | null | undefined): string {
  return code ? `${code} (assumed)` : ''
}
