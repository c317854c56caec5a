import type { GateMark, Outcome, Tier } from '../api/codes'
import type { Refusal } from '../api/problem'
import type {
  CallState,
  CallView,
  Circumstances,
  Determination,
  KeptPhoto,
  LookAsked,
  LookResult,
  Month,
  NewDetermination,
  NewReading,
  NewTry,
  NextTree,
  PracticeResult,
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
  | {
      readonly what: 'taken'
      readonly versionId: string
      readonly character: string
      readonly parts: readonly number[]
    }
  | {
      readonly what: 'onPhoto'
      readonly versionId: string
      readonly character: string
      readonly photo: TapsOnPhoto
    }
  | { readonly what: 'caliperLine'; readonly line: string; readonly at: number }
  | {
      readonly what: 'practiceTree'
      readonly versionId: string
      readonly seed: number
      readonly one: string
      readonly other: string
    }
  | { readonly what: 'practiceResult'; readonly versionId: string; readonly made: PracticeMade }
  | {
      readonly what: 'lastLook'
      readonly versionId: string
      readonly asked: LookAsked
      readonly month: number
      readonly made: LookMade
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

/** What comes of typed parts: the value, and what it were the other way round; or why nothing comes of them. */
export type ValueTaken = {
  readonly value?: number
  readonly turned?: number
  readonly refused?: string
}

/** What a line of a caliper comes to: a value in mm, or why it is none; neither: the press before once more. */
export type LineTaken = { readonly value?: number; readonly refused?: string }

/** A place on a photo, in its pixels. */
export type Tap = { readonly x: number; readonly y: number }

/** A tap, with how many pixels of the screen showed one of the photo when it was made or last moved. */
export type Tapped = Tap & { readonly zoom: number }

/** Taps on a photo: of each part, and what tells how large things are. */
export type TapsOnPhoto = {
  readonly taps: readonly (readonly Tapped[])[]
  readonly scale: readonly Tapped[]
  readonly millimetres: number
  /** what the scale is checked by: the ends of the card's bar, or of a second stretch across the first, with its mm */
  readonly check?: readonly Tap[]
  readonly checkMillimetres?: number
}

/** What comes of taps: the value, how far off it may be, whether that settles nothing; or why nothing comes yet. */
export type PhotoTaken = {
  readonly value?: number
  readonly error?: number
  readonly coarse?: boolean
  readonly refused?: string
  /** why what tells the scale cannot be that */
  readonly scaleRefused?: string
  /** how long the card's bar comes out, in mm */
  readonly bar?: number
  /** a line to tap on */
  readonly guide?: readonly [Tap, Tap]
}

/** What was read at a tree before it is cut. */
export type LookMade = {
  readonly readings: readonly NewReading[]
  readonly gate: readonly { readonly item: string; readonly fits: boolean }[]
}

/** What a last look says, or why that cannot be told. */
export type LookTold = { readonly result?: LookResult; readonly refused?: string }

/** A practice tree and what somebody made of it. */
export type PracticeMade = Pick<
  NewTry,
  'seed' | 'one' | 'other' | 'readings' | 'gate' | 'outcome' | 'taxonId'
>

/** What a practice tree shows of a character: one state or number for each look; neither: it bears none. */
export type Shown = {
  /** that the check takes from the day */
  readonly minutes: number
  readonly states: readonly string[]
  readonly values: readonly number[]
  /** how the states are drawn; empty where one of them is not */
  readonly drawings: readonly {
    readonly part: string
    readonly parameters: Readonly<Record<string, unknown>>
    readonly turned: boolean
  }[]
}

/** A practice tree, or why its pair cannot be practised. */
export type PracticeTree = {
  readonly refused?: string
  readonly tree?: {
    readonly month: number
    readonly stage: string
    readonly gateBroken: string
    readonly shown: Readonly<Record<string, Shown>>
  }
  readonly state?: CallState
}

/** What is told to each question. */
export type Told = {
  practiceTree: PracticeTree
  practiceResult: PracticeResult
  lastLook: LookTold
  taken: ValueTaken
  onPhoto: PhotoTaken
  caliperLine: LineTaken
  laidOut: LaidOut
  outlook: readonly Month[]
  untouched: CallState
  looks: readonly Pick<TreeRow, 'standsAs' | 'look' | 'toDo'>[]
  next: NextTree
}
