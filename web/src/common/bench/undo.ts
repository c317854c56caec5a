import type { GateMark } from '../../api/codes'
import { keep, readKept } from '../../api/kept'
import type { NewReading } from '../../api/types'
import type { Entered } from './unsent'

const MOST_STEPS = 100

function key(observer: string, treeId: string): string {
  return `undo.${observer}.${treeId}`
}

/** Remembers what would take an entry back; it outlasts a reload. */
export function rememberUndo(observer: string, treeId: string, back: Entered): void {
  const steps = readKept<readonly Entered[]>(key(observer, treeId), [])
  keep(key(observer, treeId), [...steps, back].slice(-MOST_STEPS))
}

/** The entry that takes the last one back, which is forgotten by that; undefined: there is none. */
export function popUndo(observer: string, treeId: string): Entered | undefined {
  const steps = readKept<readonly Entered[]>(key(observer, treeId), [])
  const rest = steps.slice(0, -1)
  keep(key(observer, treeId), rest.length > 0 ? rest : undefined)
  return steps.at(-1)
}

/** Whether there is something to take back. */
export function canUndo(observer: string, treeId: string): boolean {
  return readKept<readonly Entered[]>(key(observer, treeId), []).length > 0
}

/** What is signed is not taken back. */
export function forgetUndo(observer: string, treeId: string): void {
  keep(key(observer, treeId), undefined)
}

/** The entry that puts a character back to what was read before, or to unread. */
export function backToReading(character: string, before: NewReading | undefined): Entered {
  return { kind: 'reading', reading: before ?? { character, notSeen: false, withdrawn: true } }
}

/** The entry that puts a gate item back to what was marked before, or to unmarked. */
export function backToMark(item: string, before: boolean | undefined): Entered {
  const mark: GateMark = before === undefined ? 'taken-back' : before ? 'fits' : 'fails'
  return { kind: 'mark', item, mark }
}
