import type { GateMark, Tier } from '../../api/codes'
import type { Circumstances, NewDetermination, NewReading, TreeBody } from '../../api/types'

/** What an observer enters on a tree's call. */
export type OnCall =
  | { readonly kind: 'reading'; readonly reading: NewReading }
  | { readonly kind: 'mark'; readonly item: string; readonly mark: GateMark }
  | { readonly kind: 'caution' }
  | { readonly kind: 'circumstances'; readonly circumstances: Circumstances }
  | { readonly kind: 'tier'; readonly tier: Tier }
  | { readonly kind: 'group'; readonly groupId: string }
  | { readonly kind: 'photo'; readonly character: string; readonly name: string; readonly sizeBytes: number }
  | { readonly kind: 'signature'; readonly signed: NewDetermination }

/** What an observer enters elsewhere: a note of their own, a tree of a plot, that a plot is done. */
export type Elsewhere =
  | { readonly kind: 'aid'; readonly groupId: string; readonly characterId: string; readonly body: string }
  | { readonly kind: 'tree'; readonly plotId: string; readonly body: TreeBody }
  | { readonly kind: 'closed'; readonly plotId: string; readonly closed: boolean }

/** One thing that was done. */
export type Entered = OnCall | Elsewhere

/** Something entered that is on its way to the server. */
export type Unsent = {
  /** Of the reading, signature, photo … itself, so that what is sent twice is stored once. */
  readonly id: string
  readonly observer: string
  readonly surveyId: string
  /** The tree it belongs to, or on whose Bench it was written; empty: a plot's. */
  readonly treeId: string
  /** Where it was done, in words: "Kettle Moss 07, tree 23". */
  readonly where: string
  readonly entered: Entered
  /** When it was entered, in milliseconds of this device's clock. */
  readonly at: number
  /** Which of a page's entries of one millisecond it is. */
  readonly turn: number
  /** Why the server refused it; what was refused stays until the observer corrects or drops it. */
  readonly refused?: string
}
