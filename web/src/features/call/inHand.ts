import type { Bench, Character, GateItem, Sheet } from '../../api/types'
import type { Work } from './useWork'

/** What lies in the observer's hand: an item of the gate, or a check. */
export type InHand =
  | { readonly kind: 'gate'; readonly id: string; readonly item: GateItem }
  | { readonly kind: 'check'; readonly id: string; readonly character: Character }

const GATE = 'gate:'

/** The address of a gate item among the checks. */
export function gateId(item: string): string {
  return GATE + item
}

/** What is in hand: what was chosen; else the gate where it fails, or while nothing is read; else the best check. */
export function inHand(bench: Bench, sheet: Sheet, work: Work, chosen: string | null): InHand | undefined {
  const of = (id: string): InHand | undefined => {
    if (id.startsWith(GATE)) {
      const item = sheet.gate.find((one) => gateId(one.id) === id)
      return item && { kind: 'gate', id, item }
    }
    const character = sheet.characters.find((one) => one.id === id)
    return character && { kind: 'check', id, character }
  }
  const fromChosen = chosen ? of(chosen) : undefined
  if (fromChosen) return fromChosen
  const failed = sheet.gate.find((one) => work.marks.get(one.id) === false)
  const gate = failed ?? (work.entries.size === 0 ? nextGateItem(sheet, work) : undefined)
  const next = bench.suggested.find((one) => !work.entries.has(one.character))
  return of(gate ? gateId(gate.id) : (next?.character ?? sheet.characters[0]?.id ?? ''))
}

/** The first gate item that is not marked; none once one of them fails. */
export function nextGateItem(sheet: Sheet, work: Work): GateItem | undefined {
  if ([...work.marks.values()].includes(false)) return undefined
  return sheet.gate.find((one) => !work.marks.has(one.id))
}

/** Every stop of the path in the order of the work: the gate, then the checks from far to near. */
export function stops(bench: Bench, sheet: Sheet): readonly string[] {
  const zones = ['stand-off', 'trunk', 'hand', 'lens', 'cut']
  const now = sheet.characters.filter(
    (one) => !bench.outOfSeason.includes(one.id) && !isForbidden(bench, one),
  )
  return [
    ...sheet.gate.map((one) => gateId(one.id)),
    ...zones.flatMap((zone) => now.filter((one) => one.zone === zone).map((one) => one.id)),
  ]
}

/** Whether a check would wound a tree that must not be. */
export function isForbidden(bench: Bench, character: Character): boolean {
  return character.harm === 'wound' && !bench.tree.woundingAllowed
}
