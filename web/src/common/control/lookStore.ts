import { useSyncExternalStore } from 'react'
import { keep, sameKept, subscribeToKept } from '../../api/kept'
import type { ControlCard, ControlWork, NewLook, NewReading, NewWork } from '../../api/types'
import type { LookMade } from '../../reckoner/questions'

/** A look that is being taken, kept on this device until it is signed. */
export type Looking = LookMade & { readonly treeId: string; readonly approvalId: string }

/** Something that was said at a tree and waits for the server. */
export type Said = {
  readonly id: string
  readonly surveyId: string
  /** the tree, as people say it */
  readonly where: string
  readonly said:
    | { readonly kind: 'look'; readonly body: NewLook; readonly verdict: string }
    | { readonly kind: 'work'; readonly body: NewWork }
  /** once it was sent: empty, or why it was refused */
  readonly sent?: string
  /** what the server says of a look, which holds whatever this device made of it */
  readonly verdict?: string
  /** what somebody else had recorded before, where that is why it was refused */
  readonly before?: ControlWork
}

const KEPT = 60 // that stay on this device once the server has them
const NOTHING: readonly Looking[] = []
const NONE: readonly Said[] = []

const lookingKey = (observer: string) => `looking.${observer}`
const saidKey = (observer: string) => `said.${observer}`

/** What was read at a tree so far, under the approval by which it is on the list. */
export function useLooking(observer: string, card: ControlCard): Looking {
  const all = useSyncExternalStore(subscribeToKept, () => sameKept(lookingKey(observer), NOTHING))
  return (
    all.find((one) => one.approvalId === card.approvalId) ?? {
      treeId: card.treeId,
      approvalId: card.approvalId,
      readings: [],
      gate: [],
    }
  )
}

function keepLooking(observer: string, next: Looking): void {
  const others = sameKept(lookingKey(observer), NOTHING).filter((one) => one.approvalId !== next.approvalId)
  keep(lookingKey(observer), [...others, next])
}

/** Notes what was read of a feature; what was read of it before is gone. */
export function readAt(observer: string, at: Looking, reading: NewReading): void {
  const others = at.readings.filter(({ character }) => character !== reading.character)
  keepLooking(observer, { ...at, readings: reading.withdrawn ? others : [...others, reading] })
}

/** Marks an item of the gate; undefined takes the mark back. */
export function markAt(observer: string, at: Looking, item: string, fits: boolean | undefined): void {
  const others = at.gate.filter((one) => one.item !== item)
  keepLooking(observer, { ...at, gate: fits === undefined ? others : [...others, { item, fits }] })
}

/** Signs a look: it waits for the server, and the next one begins anew. */
export function signLook(
  observer: string,
  card: ControlCard,
  at: Looking,
  month: number,
  verdict: string,
): void {
  const body: NewLook = {
    treeId: card.treeId,
    approvalId: card.approvalId,
    sheetVersionId: card.sheetVersionId,
    month,
    lookedAt: new Date().toISOString(),
    readings: [...at.readings],
    gate: [...at.gate],
  }
  say(observer, card, { kind: 'look', body, verdict })
  keepLooking(observer, { ...at, readings: [], gate: [] })
}

/** Records what was done. */
export function sayDone(observer: string, card: ControlCard, body: NewWork): void {
  say(observer, card, { kind: 'work', body })
}

function say(observer: string, card: ControlCard, said: Said['said']): void {
  const one: Said = {
    id: crypto.randomUUID(),
    surveyId: card.surveyId,
    where: `${card.plotCode}, tree ${card.tag}`,
    said,
  }
  keep(saidKey(observer), [one, ...sameKept(saidKey(observer), NONE)])
}

/** What was said on this device, the latest first. */
export function useSaid(observer: string): readonly Said[] {
  return useSyncExternalStore(subscribeToKept, () => sameKept(saidKey(observer), NONE))
}

/** What the last look under an approval said, as far as this device knows; one that was refused says nothing. */
export function verdictOf(said: readonly Said[], card: ControlCard): string | undefined {
  for (const { said: what, sent, verdict } of said) {
    if (what.kind === 'look' && what.body.approvalId === card.approvalId)
      return sent === undefined || sent === '' ? (verdict ?? what.verdict) : undefined
  }
  return card.look?.result.verdict
}

function note(observer: string, id: string, what: Partial<Said>): void {
  const all = sameKept(saidKey(observer), NONE).map((one) => (one.id === id ? { ...one, ...what } : one))
  keep(
    saidKey(observer),
    all.filter((one, i) => i < KEPT || one.sent !== ''),
  )
}

/** Says that something is on the server, and what it says of a look. */
export function wasTold(observer: string, id: string, verdict: string | undefined): void {
  note(observer, id, { sent: '', ...(verdict ? { verdict } : {}) })
}

/** Says why the server would not have something, and what somebody else had recorded before. */
export function wasRefused(observer: string, id: string, why: string, kept: unknown): void {
  note(observer, id, { sent: why, ...(kept ? { before: kept as ControlWork } : {}) })
}

/** Records once more what was done, now that one knows what somebody else recorded before. */
export function sayAfter(observer: string, one: Said): void {
  const { said, before } = one
  if (said.kind !== 'work' || !before) return
  const again: Said = {
    id: crypto.randomUUID(),
    surveyId: one.surveyId,
    where: one.where,
    said: { kind: 'work', body: { ...said.body, after: before.id } },
  }
  keep(saidKey(observer), [again, ...sameKept(saidKey(observer), NONE).filter(({ id }) => id !== one.id)])
}

/** Drops something that the server refused. */
export function dropSaid(observer: string, id: string): void {
  keep(
    saidKey(observer),
    sameKept(saidKey(observer), NONE).filter((one) => one.id !== id),
  )
}
