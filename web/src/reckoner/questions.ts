import type { GateMark, Outcome, Tier } from '../api/codes'
import type { Refusal } from '../api/problem'
import type {
  CallState,
  CallView,
  Circumstances,
  Determination,
  KeptPhoto,
  Month,
  NewDetermination,
  NewReading,
  NextTree,
  SurveyRules,
  TreeRow,
} from '../api/types'

/** Something that was entered on a call and that the server does not have yet, as the core reads it. */
export type EnteredOnCall =
  | { readonly kind: 'reading'; readonly id: string; readonly at: string; readonly reading: NewReading }
  | { readonly kind: 'mark'; readonly item: string; readonly mark: GateMark; readonly at: string }
  | { readonly kind: 'caution' }
  | { readonly kind: 'circumstances'; readonly circumstances: Circumstances }
  | { readonly kind: 'tier'; readonly tier: Tier }
  | { readonly kind: 'group'; readonly groupId: string }
  | { readonly kind: 'photo'; readonly photo: KeptPhoto }
  | (NewDetermination & {
      readonly kind: 'signature'
      readonly id: string
      readonly observer: string
      readonly at: string
    })

/** What can be asked of the core. */
export type Asked =
  | { readonly what: 'sheet'; readonly versionId: string; readonly version: number; readonly file: unknown }
  | { readonly what: 'tree'; readonly treeId: string; readonly onRecord: unknown }
  | {
      readonly what: 'laidOut'
      readonly treeId: string
      readonly entered: readonly EnteredOnCall[]
      readonly month: number
      /** whether it is held against what the server laid out */
      readonly compare: boolean
    }
  | {
      readonly what: 'outlook'
      readonly treeId: string
      readonly entered: readonly EnteredOnCall[]
      readonly year: number
      readonly month: number
    }
  | { readonly what: 'looks'; readonly trees: readonly HereRow[] }
  | { readonly what: 'next'; readonly hereId: string; readonly trees: readonly TreeRow[] }
  | {
      readonly what: 'untouched'
      readonly versionId: string
      readonly tree: unknown
      readonly ground: readonly string[]
      readonly rules: SurveyRules
      readonly lacking: readonly string[]
      readonly month: number
    }

/** A tree of a plot as it was entered and worked on. */
export type HereRow = Omit<TreeRow, 'standsAs'> & {
  /** as it stood before; absent: it was entered here */
  readonly standsAs?: TreeRow['standsAs']
  /** what was signed here since */
  readonly signedAs?: Outcome
}

export type Question = { readonly id: number; readonly asked: Asked }
export type Answer = { readonly id: number; readonly told?: unknown; readonly failed?: string }

/** Why something cannot be entered. */
export type Refused = {
  readonly type: string
  readonly detail: string
  readonly refusals: readonly Refusal[]
}

/** A call as the core lays it out. */
export type LaidOut = {
  readonly call: CallView
  readonly sheetVersionId: string
  readonly cautionRead: boolean
  readonly photos: readonly KeptPhoto[]
  readonly signedAs?: string
  /** those among what was entered, the newest first */
  readonly signatures: readonly Determination[]
  /** ids of signatures that fall with them */
  readonly superseded: readonly string[]
  /** what cannot be entered, by its place in the list */
  readonly refused: Readonly<Record<string, Refused>>
  /** where the figures are not those that the server told; empty: nowhere, or there was nothing to hold them against */
  readonly differs: string
}

/** What is told to each question. */
export type Told = {
  laidOut: LaidOut
  outlook: readonly Month[]
  untouched: CallState
  looks: readonly Pick<TreeRow, 'standsAs' | 'look' | 'toDo'>[]
  next: NextTree
}
