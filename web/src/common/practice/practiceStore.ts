import { useSyncExternalStore } from 'react'
import { keep, sameKept, subscribeToKept } from '../../api/kept'
import type { NewTry, PracticeNext } from '../../api/types'
import type { Entered, Unsent } from '../bench/unsent'

/** A practice tree as it is read on this device; nothing of it enters a survey. */
export type Try = {
  readonly id: string
  readonly versionId: string
  readonly groupId: string
  readonly seed: number
  readonly one: string
  readonly other: string
  readonly setId?: string
  readonly surveyId?: string
  readonly begunAt: number
  readonly entries: readonly Unsent[]
  /** whether the beam was uncovered before the call */
  readonly uncovered: boolean
  readonly called?: Called
  /** once it was sent: empty, or why it was refused */
  readonly sent?: string
}

/** What it was called. */
export type Called = Pick<NewTry, 'outcome' | 'taxonId' | 'belief'> & { readonly at: number }

const LARGEST_SEED = 2 ** 31 - 1
const KEPT = 40 // tries that stay on this device once the server has them

const keyOf = (observer: string) => `practice.${observer}`
const NONE: readonly Try[] = []

function triesOf(observer: string): readonly Try[] {
  return sameKept(keyOf(observer), NONE)
}

function change(observer: string, next: (tries: readonly Try[]) => readonly Try[]): void {
  // what the server does not have yet stays, however much was practised since
  const all = next(triesOf(observer))
  keep(
    keyOf(observer),
    all.filter((one, i) => i < KEPT || (one.called && one.sent === undefined)),
  )
}

/** The tries that this device knows of, the latest first. */
export function useTries(observer: string): readonly Try[] {
  return useSyncExternalStore(subscribeToKept, () => triesOf(observer))
}

type Wanted = Pick<PracticeNext, 'versionId' | 'groupId' | 'one' | 'other'> & {
  readonly seed?: number
  readonly setId?: string
  readonly surveyId?: string
}

/** Takes up a tree: one that was begun and not called before any other of the same kind. */
export function takeUp(observer: string, wanted: Wanted): string {
  const begun = triesOf(observer).find(
    (one) =>
      !one.called &&
      one.versionId === wanted.versionId &&
      one.one === wanted.one &&
      one.other === wanted.other &&
      one.setId === wanted.setId &&
      (wanted.seed === undefined || one.seed === wanted.seed),
  )
  if (begun) return begun.id
  const id = crypto.randomUUID()
  const { versionId, groupId, one, other, setId, surveyId } = wanted
  const seed = wanted.seed ?? Math.floor(Math.random() * LARGEST_SEED)
  const fresh: Try = {
    id,
    versionId,
    groupId,
    seed,
    one,
    other,
    ...(setId ? { setId } : {}),
    ...(surveyId ? { surveyId } : {}),
    begunAt: Date.now(),
    entries: [],
    uncovered: false,
  }
  change(observer, (tries) => [fresh, ...tries])
  return id
}

function changeOne(observer: string, id: string, next: (one: Try) => Try): void {
  change(observer, (tries) => tries.map((one) => (one.id === id ? next(one) : one)))
}

/** Enters something on a practice tree that is not called yet. */
export function enterOn(observer: string, id: string, entered: Entered): void {
  changeOne(observer, id, (one) =>
    one.called
      ? one
      : {
          ...one,
          entries: [
            ...one.entries,
            {
              id: crypto.randomUUID(),
              observer,
              surveyId: '',
              treeId: id,
              where: 'practice',
              entered,
              at: Date.now(),
              turn: 0,
            },
          ],
        },
  )
}

/** Uncovers what the readings amount to, or covers it again. */
export function uncover(observer: string, id: string, uncovered: boolean): void {
  changeOne(observer, id, (one) => ({ ...one, uncovered }))
}

/** Calls a practice tree, once. */
export function call(observer: string, id: string, called: Called): void {
  changeOne(observer, id, (one) => (one.called ? one : { ...one, called }))
}

/** Says that a try is on the server, or why it is not. */
export function wasSent(observer: string, id: string, why: string): void {
  changeOne(observer, id, (one) => ({ ...one, sent: why }))
}

/** What was made of a try, as it is sent. */
export function madeOf({ seed, one, other, entries, called }: Try) {
  const readings = new Map<string, NewTry['readings'][number]>()
  const marks = new Map<string, boolean>()
  for (const { entered } of entries) {
    if (entered.kind === 'reading') {
      readings.delete(entered.reading.character)
      if (!entered.reading.withdrawn) readings.set(entered.reading.character, entered.reading)
    } else if (entered.kind === 'mark') {
      if (entered.mark === 'taken-back') marks.delete(entered.item)
      else marks.set(entered.item, entered.mark === 'fits')
    }
  }
  return {
    seed,
    one,
    other,
    readings: [...readings.values()],
    gate: [...marks].map(([item, fits]) => ({ item, fits })),
    outcome: called?.outcome ?? ('open' as const),
    taxonId: called?.taxonId ?? null,
  }
}
