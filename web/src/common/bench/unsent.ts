import type { GateMark } from '../../api/codes'
import type { NewReading } from '../../api/types'

/** What an observer enters on a tree: a reading, a mark of the gate, or that a caution was read. */
export type Entered =
  | { readonly kind: 'reading'; readonly reading: NewReading }
  | { readonly kind: 'mark'; readonly item: string; readonly mark: GateMark }
  | { readonly kind: 'caution' }

/** Something entered that is on its way to the server. */
export type Unsent = {
  readonly id: string
  readonly observer: string
  readonly surveyId: string
  readonly treeId: string
  readonly entered: Entered
  /** When it was entered, in milliseconds of this device's clock. */
  readonly at: number
  /** Which of a page's entries of one millisecond it is. */
  readonly turn: number
  /** Why the server refused it; what was refused stays until the observer corrects or drops it. */
  readonly refused?: string
}
