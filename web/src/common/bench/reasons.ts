import { keep, readKept } from '../../api/kept'

/** Why an observer means to sign all the same, by the character that speaks against it. */
export type Reasons = Readonly<Record<string, string>>

function key(treeId: string): string {
  return `reasons.${treeId}`
}

/** The reasons that were written for a tree in this browser. */
export function reasonsOf(treeId: string): Reasons {
  return readKept<Reasons>(key(treeId), {})
}

export function keepReasons(treeId: string, reasons: Reasons): void {
  keep(key(treeId), Object.keys(reasons).length > 0 ? reasons : undefined)
}

/** A reason stands for a reading: once that is taken back, the reason is gone too. */
export function forgetReason(treeId: string, character: string): void {
  const { [character]: _, ...others } = reasonsOf(treeId)
  keepReasons(treeId, others)
}
