import type { Bench, Character, Sheet } from '../../api/types'
import type { Work } from './useWork'

/** What lies in the observer's hand: the gate, or a check. */
export type InHand =
  | { readonly kind: 'gate'; readonly id: string }
  | { readonly kind: 'check'; readonly id: string; readonly character: Character }

/** The address of the gate among the checks. */
export const GATE = 'gate'

/** What bears an id of the path; undefined: nothing does. */
export function stopOf(sheet: Sheet, id: string): InHand | undefined {
  if (id === GATE) return sheet.gate.length > 0 ? { kind: 'gate', id } : undefined
  const character = sheet.characters.find((one) => one.id === id)
  return character && { kind: 'check', id, character }
}

type Stands = Pick<Work, 'entries' | 'marks'>

/**
 * What to take in hand when a tree is opened: the gate where it fails, while nothing is read and it is not looked at, or
 * when nothing else is missing; else the best check. From then on only its observer changes what is in hand.
 */
export function firstInHand(bench: Bench, sheet: Sheet, { entries, marks }: Stands): string {
  const fails = [...marks.values()].includes(false)
  const toLookAt = entries.size === 0 && sheet.gate.some((one) => !marks.has(one.id))
  if (fails || toLookAt) return GATE
  if (bench.gateAllThatLacks) return GATE
  const next = bench.suggested.find((one) => !entries.has(one.character))
  return next?.character ?? sheet.characters[0]?.id ?? GATE
}

/** Every stop of the path in the order of the work: the gate, then the checks from far to near. */
export function stops(bench: Bench, sheet: Sheet): readonly string[] {
  return [...(sheet.gate.length > 0 ? [GATE] : []), ...bench.path]
}

/** Whether a check would wound a tree that must not be. */
export function isForbidden(bench: Bench, character: Character): boolean {
  return bench.notAllowed.includes(character.id)
}
