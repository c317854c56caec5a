import { useSyncExternalStore } from 'react'
import { Away, Problem, wordsOf } from '../../api/problem'
import { has, onElsewhere, put, readAll, remove } from './outboxStore'
import type { Entered, Unsent } from './unsent'

// by the time one of them is handled the page knows of all that was entered
const INPUTS = ['keydown', 'pointerdown', 'click'] as const

/** Hands one entry to the server and answers how to show what came back; throws Away or Problem. */
export type Send = (unsent: Unsent) => Promise<() => void>

/** Fetches anew what an entry belongs to, after another page sent it. */
export type Refresh = (unsent: Unsent) => Promise<void>

type Sender = { readonly observer: string; readonly send: Send; readonly refresh: Refresh }

const SENDER = 'goldthistle.outbox' // the lock of whoever sends
const PROMPT = 80 // milliseconds; an answer within them is drawn together with what was entered
const FIRST_WAIT = 1000 // milliseconds
const LONGEST_WAIT = 15_000

function subject(entered: Entered): string {
  switch (entered.kind) {
    case 'reading':
      return `reading ${entered.reading.character}`
    case 'mark':
      return `mark ${entered.item}`
    default:
      return entered.kind
  }
}

/**
 * What the server does not have yet. It lives in this browser's storage, so it outlasts a reload, and is sent one
 * after the other, by one page of the browser at a time; while the server is away it is tried again by itself. The page hears
 * of an entry with its answer, so that it is drawn anew once, or a moment later if the answer keeps it waiting, and in any
 * case before the next key or touch.
 */
class Outbox {
  private entries: readonly Unsent[] = readAll()
  private readonly listeners = new Set<() => void>()
  private sending = false
  private onItsWay: string | undefined
  private wait = FIRST_WAIT
  private timer: number | undefined
  private telling: number | undefined
  private turns = 0
  private sender: Sender | undefined

  /** Starts sending for an observer; the answer stops it. */
  start(observer: string, send: Send, refresh: Refresh = async () => {}): () => void {
    this.sender = { observer, send, refresh }
    const retry = () => this.flush()
    window.addEventListener('online', retry)
    for (const input of INPUTS) window.addEventListener(input, this.tellNow, true)
    const stopHearing = onElsewhere(() => void this.lookElsewhere())
    this.flush()
    return () => {
      window.removeEventListener('online', retry)
      for (const input of INPUTS) window.removeEventListener(input, this.tellNow, true)
      stopHearing()
      window.clearTimeout(this.timer)
      this.sender = undefined
    }
  }

  /** Puts an entry in; an earlier unsent one about the same thing on the same tree gives way to it. */
  add(entry: Omit<Unsent, 'turn'>): void {
    const unsent = { ...entry, turn: this.turns++ }
    const isSame = (other: Unsent) =>
      other.treeId === unsent.treeId &&
      other.observer === unsent.observer &&
      subject(other.entered) === subject(unsent.entered)
    // what is being sent right now may have arrived already, so it is not taken back
    for (const other of this.entries) {
      if (isSame(other) && other.id !== this.onItsWay) remove(other.id)
    }
    put(unsent)
    this.entries = this.entries.filter((other) => has(other.id)).concat(unsent)
    this.telling ??= window.setTimeout(this.tell, PROMPT)
    this.flush()
  }

  drop(id: string): void {
    remove(id)
    this.entries = this.entries.filter((entry) => entry.id !== id)
    this.tell()
  }

  snapshot = (): readonly Unsent[] => this.entries

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** The first that waits, of those that other pages of this browser added too. */
  private head(): Unsent | undefined {
    return readAll().find((entry) => entry.observer === this.sender?.observer && !entry.refused)
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
      show()
      this.drop(next.id)
      return true
    } catch (error) {
      if (error instanceof Away || (error instanceof Problem && error.isMomentary)) {
        this.timer = window.setTimeout(() => this.flush(), this.wait)
        this.wait = Math.min(LONGEST_WAIT, this.wait * 2)
        return false
      }
      if (!(error instanceof Problem)) throw error
      if (error.isSignedOut) return false // signing in starts the outbox again
      put({ ...next, refused: wordsOf(error) })
      this.entries = readAll()
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
      this.entries = readAll()
      this.tell()
      this.flush()
    }
  }

  private tell = (): void => {
    window.clearTimeout(this.telling)
    this.telling = undefined
    for (const listener of this.listeners) listener()
  }

  /** Lets the page know at once of what was entered, for whoever goes on within the same press. */
  tellNow = (): void => {
    if (this.telling !== undefined) this.tell()
  }
}

/** One page of this browser after the other; where a browser has no locks the ids keep what is sent twice from counting twice. */
async function alone(act: () => Promise<void>): Promise<void> {
  const locks = globalThis.navigator?.locks
  await (locks ? locks.request(SENDER, act) : act())
}

export const outbox = new Outbox()

/** What one observer entered on one tree that the server does not have yet. */
export function useUnsent(observer: string, treeId: string): readonly Unsent[] {
  const all = useSyncExternalStore(outbox.subscribe, outbox.snapshot)
  return all.filter((entry) => entry.observer === observer && entry.treeId === treeId)
}
