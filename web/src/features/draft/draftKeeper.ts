import { keep, readKept } from '../../api/kept'
import { Away, keptInstead, wordsOf } from '../../api/problem'
import type { Draft } from '../../api/types'
import { type SheetFile, sheetOf } from '../../common/draft/sheetFile'

/** What is known of a draft in this browser. */
export type Kept = {
  readonly draft: Draft
  /** As it was last changed here. */
  readonly sheet: SheetFile
  /** Where the last change is: with the server, on its way, waiting for the server, or refused. */
  readonly where: 'kept' | 'sending' | 'away' | 'refused' | 'stale'
  /** Why it was refused. */
  readonly told?: string
  /** What another page made of it, while the two are to be settled. */
  readonly there?: Draft
  /** How many changes can be taken back. */
  readonly undoable: number
}

type Unsent = { readonly revision: number; readonly sheet: SheetFile }
type Send = (id: string, unsent: Unsent) => Promise<Draft>

const REST = 400 // milliseconds after the last change, so that a drag is sent once
const TRY_AGAIN = 3000
const MOST_UNDONE = 100

/**
 * One draft while it is worked on: changes are sent when the hand rests, and lie in this browser until the server has
 * them, so that neither a lost connection nor a closed tab loses any.
 */
export class DraftKeeper {
  private state: Kept
  private readonly listeners = new Set<() => void>()
  private readonly past: SheetFile[] = []
  private timer: number | undefined
  private sending = false
  private readonly key: string

  constructor(
    draft: Draft,
    private readonly send: Send,
  ) {
    this.key = `draft.${draft.id}`
    const unsent = readKept<Unsent | undefined>(this.key, undefined)
    this.state = {
      draft,
      sheet: unsent?.sheet ?? sheetOf(draft),
      where: unsent ? 'sending' : 'kept',
      undoable: 0,
    }
    if (unsent) this.later(0)
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    const online = () => this.later(0)
    window.addEventListener('online', online)
    return () => {
      this.listeners.delete(listener)
      window.removeEventListener('online', online)
    }
  }

  readonly now = (): Kept => this.state

  /** Takes a change over. */
  change(make: (sheet: SheetFile) => SheetFile): void {
    const sheet = make(this.state.sheet)
    if (sheet === this.state.sheet) return
    this.past.push(this.state.sheet)
    if (this.past.length > MOST_UNDONE) this.past.shift()
    this.hold(sheet)
  }

  /** Takes the last change back. */
  undo(): void {
    const before = this.past.pop()
    if (before) this.hold(before)
  }

  /** Takes over what the server made of the draft by itself. */
  took(draft: Draft): void {
    this.past.push(this.state.sheet)
    keep(this.key, undefined)
    this.show({ draft, sheet: sheetOf(draft), where: 'kept' })
  }

  /** Settles a draft that was changed on another page: by what is there, or by what is here. */
  settle(by: 'there' | 'here', there: Draft): void {
    if (by === 'there') this.took(there)
    else {
      this.show({ draft: { ...there, sheet: this.state.draft.sheet } })
      this.hold(this.state.sheet)
    }
  }

  /** Forgets what lies in this browser. */
  forget(): void {
    window.clearTimeout(this.timer)
    keep(this.key, undefined)
  }

  private hold(sheet: SheetFile): void {
    keep(this.key, { revision: this.state.draft.revision, sheet } satisfies Unsent)
    this.show({ sheet, where: 'sending' })
    this.later(REST)
  }

  private later(wait: number): void {
    window.clearTimeout(this.timer)
    this.timer = window.setTimeout(() => void this.flush(), wait)
  }

  private async flush(): Promise<void> {
    const unsent = readKept<Unsent | undefined>(this.key, undefined)
    if (this.sending || !unsent) return
    this.sending = true
    const sent = this.state.sheet
    try {
      const draft = await this.send(this.state.draft.id, {
        revision: this.state.draft.revision,
        sheet: sent,
      })
      if (this.state.sheet === sent) {
        keep(this.key, undefined)
        this.show({ draft, where: 'kept' })
      } else {
        keep(this.key, { revision: draft.revision, sheet: this.state.sheet } satisfies Unsent)
        this.show({ draft })
        this.later(0)
      }
    } catch (error) {
      this.failed(error)
    } finally {
      this.sending = false
    }
  }

  private failed(error: unknown): void {
    if (error instanceof Away) {
      this.show({ where: 'away', told: error.message })
      this.later(TRY_AGAIN)
      return
    }
    const there = keptInstead<Draft>(error)
    if (there) this.show({ where: 'stale', told: wordsOf(error), there })
    else this.show({ where: 'refused', told: wordsOf(error) })
  }

  private show(next: Partial<Kept>): void {
    this.state = { ...this.state, ...next, undoable: this.past.length }
    for (const listener of this.listeners) listener()
  }
}
