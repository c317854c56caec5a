import { useSyncExternalStore } from 'react'
import { keep, readKept } from '../../api/kept'
import { Away, Problem, wordsOf } from '../../api/problem'
import type { NewReading } from '../../api/types'

/** What an observer enters on a tree: a reading, a mark of the gate, or that a caution was read. */
export type Entered =
  | { readonly kind: 'reading'; readonly reading: NewReading }
  | { readonly kind: 'mark'; readonly item: string; readonly mark: Mark }
  | { readonly kind: 'caution' }

export type Mark = 'fits' | 'fails' | 'taken-back'

/** Something entered that is on its way to the server. */
export type Unsent = {
  readonly id: string
  readonly observer: string
  readonly surveyId: string
  readonly treeId: string
  readonly entered: Entered
  /** When it was entered, in milliseconds of this device's clock. */
  readonly at: number
  /** Why the server refused it; what was refused stays until the observer corrects or drops it. */
  readonly refused?: string
}

// by the time one of them is handled the page knows of all that was entered
const INPUTS = ['keydown', 'pointerdown', 'click'] as const

/** Hands one entry to the server and answers how to show what came back; throws Away or Problem. */
export type Send = (unsent: Unsent) => Promise<() => void>

const KEY = 'outbox'
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
 * after the other; while the server is away it is tried again by itself. The page hears of an entry with its answer, so
 * that it is drawn anew once, or a moment later if the answer keeps it waiting, and in any case before the next key or touch.
 */
class Outbox {
  private entries: readonly Unsent[] = readKept<readonly Unsent[]>(KEY, [])
  private readonly listeners = new Set<() => void>()
  private sending = false
  private wait = FIRST_WAIT
  private timer: number | undefined
  private telling: number | undefined
  private sender: { readonly observer: string; readonly send: Send } | undefined

  /** Starts sending for an observer; the answer stops it. */
  start(observer: string, send: Send): () => void {
    this.sender = { observer, send }
    const retry = () => this.flush()
    window.addEventListener('online', retry)
    for (const input of INPUTS) window.addEventListener(input, this.tellNow, true)
    this.flush()
    return () => {
      window.removeEventListener('online', retry)
      for (const input of INPUTS) window.removeEventListener(input, this.tellNow, true)
      window.clearTimeout(this.timer)
      this.sender = undefined
    }
  }

  /** Puts an entry in; an earlier unsent one about the same thing on the same tree gives way to it. */
  add(unsent: Unsent): void {
    const isSame = (other: Unsent) =>
      other.treeId === unsent.treeId &&
      other.observer === unsent.observer &&
      subject(other.entered) === subject(unsent.entered)
    // what is being sent right now may have arrived already, so it is not taken back
    this.keep(
      this.entries.filter((other, i) => !isSame(other) || (this.sending && i === this.head())).concat(unsent),
    )
    this.telling ??= window.setTimeout(this.tell, PROMPT)
    this.flush()
  }

  drop(id: string): void {
    this.change(this.entries.filter((entry) => entry.id !== id))
  }

  snapshot = (): readonly Unsent[] => this.entries

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  private head(): number {
    return this.entries.findIndex((entry) => entry.observer === this.sender?.observer && !entry.refused)
  }

  private async flush(): Promise<void> {
    window.clearTimeout(this.timer)
    if (this.sending) return
    this.sending = true
    try {
      for (let next = this.entries[this.head()]; next && this.sender; next = this.entries[this.head()]) {
        if (!(await this.delivered(next, this.sender.send))) break
      }
    } finally {
      this.sending = false
    }
  }

  /** Sends one entry; false when there is no use in sending the next. */
  private async delivered(next: Unsent, send: Send): Promise<boolean> {
    try {
      const show = await send(next)
      this.wait = FIRST_WAIT
      show()
      this.drop(next.id)
      return true
    } catch (error) {
      if (error instanceof Away || (error instanceof Problem && error.status >= 500)) {
        this.timer = window.setTimeout(() => this.flush(), this.wait)
        this.wait = Math.min(LONGEST_WAIT, this.wait * 2)
        return false
      }
      if (!(error instanceof Problem)) throw error
      if (error.isSignedOut) return false // signing in starts the outbox again
      const refused = wordsOf(error)
      this.change(this.entries.map((entry) => (entry.id === next.id ? { ...entry, refused } : entry)))
      return true
    }
  }

  private change(entries: readonly Unsent[]): void {
    this.keep(entries)
    this.tell()
  }

  private keep(entries: readonly Unsent[]): void {
    this.entries = entries
    keep(KEY, entries.length > 0 ? entries : undefined)
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

export const outbox = new Outbox()

/** What one observer entered on one tree that the server does not have yet. */
export function useUnsent(observer: string, treeId: string): readonly Unsent[] {
  const all = useSyncExternalStore(outbox.subscribe, outbox.snapshot)
  return all.filter((entry) => entry.observer === observer && entry.treeId === treeId)
}
