/**
 * What a mark of a picture stands for; whoever shows the picture gives each role its colour, by day and by dusk.
 * Pictures must be understood without colour: wherever a role says something, a pattern says the same.
 */
export type Role =
  | 'ink' // contours and veins
  | 'hatch' // shade
  | 'leaf' // the body of something green
  | 'paper' // what lies behind, to cover what is hidden
  | 'wood' // bark and twigs
  | 'dark' // what is black or nearly so, by day and by dusk
  | 'pale' // light on what is dark
  | 'rust'
  | 'red'
  | 'lemon'
  | 'cream'
  | 'orange'
  | 'water'
  | 'straw'
  | 'brown'
  | 'grey'
  | 'green'
  | 'fresh' // the soft green of an underside or of young leaves
  | 'sage' // grey-green
  | 'bloom' // bluish wax
  | 'pink'
  | 'measure' // what a measuring tape says

/** One filled shape. */
export type Mark = {
  readonly d: string
  readonly role: Role
  /** which part of what is asked for it shows, from 0; none: no single one */
  readonly part?: number | undefined
}

/** From where to where one part of what is asked for goes, in units of the picture. */
export type Span = {
  readonly part: number
  readonly from: readonly [number, number]
  readonly to: readonly [number, number]
}

/** A drawing: marks from the hindmost to the foremost in a box of width × height, from 0,0. */
export type Picture = {
  readonly width: number
  readonly height: number
  readonly marks: readonly Mark[]
  /** of a measured figure, each part that is laid */
  readonly spans?: readonly Span[]
  /** of a figure of what is counted, how many are dotted */
  readonly counted?: number
}

/** What a drawing is made from, by name: numbers, words, yes and no. */
export type Parameters = Readonly<Record<string, unknown>>
