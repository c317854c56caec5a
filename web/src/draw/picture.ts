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
  | 'sage' // grey-green
  | 'bloom' // bluish wax
  | 'pink'
  | 'measure' // what a measuring tape says

/** One filled shape. */
export type Mark = { readonly d: string; readonly role: Role }

/** A drawing: marks from the hindmost to the foremost in a box of width × height, from 0,0. */
export type Picture = { readonly width: number; readonly height: number; readonly marks: readonly Mark[] }

/** What a drawing is made from, by name: numbers, words, yes and no. */
export type Parameters = Readonly<Record<string, unknown>>
