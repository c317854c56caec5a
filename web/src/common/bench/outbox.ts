import { useSyncExternalStore } from 'react'
import { Away, Problem, wordsOf } from '../../api/problem'
import { forgetFile } from './outboxFiles'
import { has, inOrder, onElsewhere, put, readAll, remove } from './outboxStore'
import type { Entered, Unsent } from './unsent'

/** Hands one entry to the server and answers how to show what came back; throws Away or Problem. */
export type Send = (unsent: Unsent) => Promise<() => void>

/** Fetches anew what an entry belongs to, after another page sent it. */
export type Refresh = (unsent: Unsent) => Promise<void>

type Sender = { readonly observer: string; readonly send: Send; readonly refresh: Refresh }

const SENDER = 'goldthistle.outbox' // the lock of whoever sends
const PAUSE = 150 // milliseconds without another entry
const FIRST_WAIT = 1000 // milliseconds
const LONGEST_WAIT = 15_000

function subject(entered: Entered): string {
  switch (entered.kind) {
    case 'reading':
      return `reading ${entered.reading.character}`
    case 'mark':
      return `mark ${entered.item}`
    case 'aid':
      return `aid ${entered.groupId} ${entered.characterId}`
    case 'closed':
      return `closed ${entered.plotId}`
    default:
      return entered.kind
  }
}

/** Whether an entry can only arrive after what it stands on: all that is done on a tree, after the tree itself. */
function standsOn(entry: Unsent, earlier: Unsent): boolean {
  return (
    entry.treeId !== '' &&
    entry.treeId === earlier.treeId &&
    earlier.entered.kind === 'tree' &&
    earlier.id !== entry.id
  )
}

/** What was handed in since the last time that nothing waited. */
export type HandedIn = {
  readonly sent: readonly Entered['kind'][]
  readonly refused: number
  /** When the last of it arrived, in milliseconds of this device's clock; undefined: nothing yet. */
  readonly at: number | undefined
}

const NOTHING_YET: HandedIn = { sent: [], refused: 0, at: undefined }

/**
 * What the server does not have yet. It lives in this browser's storage, so it outlasts a reload, and is sent one
 * after the other, by one page of the browser at a time; while the server is away it is tried again by itself.
 */
class Outbox {
  private entries: readonly Unsent[] = readAll()
  private readonly listeners = new Set<() => void>()
  private sending = false
  private onItsWay: string | undefined
  private wait = FIRST_WAIT
  private timer: number | undefined
  private turns = 0
  private handed: HandedIn = NOTHING_YET
  private full: string | undefined
  private sender: Sender | undefined

  /** Starts sending for an observer; the answer stops it. */
  start(observer: string, send: Send, refresh: Refresh = async () => {}): () => void {
    this.sender = { observer, send, refresh }
    const retry = () => this.flush()
    window.addEventListener('online', retry)
    const stopHearing = onElsewhere(() => void this.lookElsewhere())
    this.flush()
    return () => {
      window.removeEventListener('online', retry)
      stopHearing()
      window.clearTimeout(this.timer)
      this.sender = undefined
    }
  }

  /** Puts an entry in; an earlier one about the same thing on the same tree that was refused gives way to it. */
  add(entry: Omit<Unsent, 'turn'>): void {
    const givesWay = (other: Unsent) =>
      other.treeId === entry.treeId &&
      other.observer === entry.observer &&
      subject(other.entered) === subject(entry.entered) &&
      (other.refused !== undefined || (other.entered.kind === 'tree' && other.id !== this.onItsWay))
    const gone = this.entries.filter(givesWay)
    for (const other of gone) this.forget(other)
    // a tree keeps its place, since what was done on it comes after it
    const tree = entry.entered.kind === 'tree' ? gone[0] : undefined
    const unsent = { ...entry, turn: tree?.turn ?? this.turns++, at: tree?.at ?? entry.at }
    this.keep(unsent)
    this.entries = [...this.entries.filter((other) => !givesWay(other)), unsent].sort(inOrder)
    if (this.handed.at !== undefined && this.waiting(entry.observer) === 1) this.handed = NOTHING_YET
    this.tell()
    this.flushSoon()
  }

  /** Sends what was refused once more; it keeps its place. */
  again(id: string): void {
    this.change((entry) => entry.id === id, {})
  }

  /** Moves everything that waits on one tree to another. */
  move(
    from: string,
    to: { readonly treeId: string; readonly surveyId: string; readonly where: string },
  ): void {
    this.change((entry) => entry.treeId === from, to)
  }

  /** Changes some entries, which are sent anew then. */
  private change(which: (entry: Unsent) => boolean, to: Partial<Unsent>): void {
    this.entries = this.entries.map((entry) => {
      if (!which(entry)) return entry
      const { refused: _, ...rest } = entry
      const changed = { ...rest, ...to }
      this.keep(changed)
      return changed
    })
    this.tell()
    this.flush()
  }

  /** Everything of an observer that the server does not have yet. */
  of(observer: string): readonly Unsent[] {
    return this.entries.filter((entry) => entry.observer === observer)
  }

  /** How many entries of an observer wait to be sent. */
  waiting(observer: string): number {
    return this.entries.filter((entry) => entry.observer === observer && !entry.refused).length
  }

  /** What was handed in since the last time that nothing waited. */
  handedIn = (): HandedIn => this.handed

  /** Why the last entry could not be kept on this device; undefined: it could. */
  whyNotKept = (): string | undefined => this.full

  private keep(unsent: Unsent): void {
    try {
      put(unsent)
      this.full = undefined
    } catch {
      this.full =
        'This device has no room left: what you enter now is kept in this open page alone. Do not close it; hand in, or let plots go that are along.'
    }
  }

  private forget({ id, entered }: Unsent): void {
    remove(id)
    if (entered.kind === 'photo') forgetFile(id)
  }

  drop(gone: Unsent): void {
    this.forget(gone)
    this.entries = this.entries.filter((entry) => entry.id !== gone.id)
    this.tell()
  }

  snapshot = (): readonly Unsent[] => this.entries

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** The first that waits, of those that other pages of this browser added too. */
  private head(): Unsent | undefined {
    const mine = this.all().filter((entry) => entry.observer === this.sender?.observer)
    return mine.find(
      (entry, i) =>
        !entry.refused && !mine.slice(0, i).some((earlier) => earlier.refused && standsOn(entry, earlier)),
    )
  }

  /** Everything that is kept, and what this page alone holds since the device is full. */
  private all(): readonly Unsent[] {
    const kept = readAll()
    return this.full === undefined ? kept : [...kept, ...this.entries.filter((entry) => !has(entry.id))]
  }

  /** Sends as soon as nobody presses on: until then the device works for the figures alone, and what was entered is kept here. */
  private flushSoon(): void {
    window.clearTimeout(this.timer)
    this.timer = window.setTimeout(() => this.flush(), PAUSE)
  }

  private async flush(): Promise<void> {
    window.clearTimeout(this.timer)
    if (this.sending || !this.head()) return
    this.sending = true
    try {
      await alone(async () => {
        for (let next = this.head(); next && this.sender; next = this.head()) {
          if (!(await this.delivered(next, this.sender.send))) break
        }
      })
    } finally {
      this.sending = false
    }
  }

  /** Sends one entry; false when there is no use in sending the next. */
  private async delivered(next: Unsent, send: Send): Promise<boolean> {
    this.onItsWay = next.id
    try {
      const show = await send(next)
      this.wait = FIRST_WAIT
      this.handed = { ...this.handed, sent: [...this.handed.sent, next.entered.kind], at: Date.now() }
      show()
      this.drop(next)
      return true
    } catch (error) {
      if (error instanceof Away || (error instanceof Problem && error.isMomentary)) {
        this.timer = window.setTimeout(() => this.flush(), this.wait)
        this.wait = Math.min(LONGEST_WAIT, this.wait * 2)
        return false
      }
      if (!(error instanceof Problem)) throw error
      if (error.isSignedOut) return false // signing in starts the outbox again
      this.handed = { ...this.handed, refused: this.handed.refused + 1, at: Date.now() }
      this.keep({ ...next, refused: wordsOf(error) })
      this.entries = this.entries.map((entry) =>
        entry.id === next.id ? { ...entry, refused: wordsOf(error) } : entry,
      )
      this.tell()
      return true
    } finally {
      this.onItsWay = undefined
    }
  }

  /** Another page of this browser added entries, or sent some: what they came to is fetched before they go from this one. */
  private async lookElsewhere(): Promise<void> {
    const gone = this.entries.filter((entry) => !has(entry.id))
    try {
      for (const entry of gone) await this.sender?.refresh(entry)
    } finally {
      this.entries = this.all()
      this.tell()
      this.flush()
    }
  }

  private tell(): void {
    for (const listener of this.listeners) listener()
  }
}

/** One page of this browser after the other; where a browser has no locks the ids keep what is sent twice from counting twice. */
async function alone(act: () => Promise<void>): Promise<void> {
  const locks = globalThis.navigator?.locks
  await (locks ? locks.request(SENDER, act) : act())
}

export const outbox = new Outbox()

/** Everything of one observer that the server does not have yet. */
export function useOutbox(observer: string): readonly Unsent[] {
  const all = useSyncExternalStore(outbox.subscribe, outbox.snapshot)
  return all.filter((entry) => entry.observer === observer)
}
