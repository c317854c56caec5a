/** A sheet in the format of its files; while it is a draft, any of it may break the rules. */
/** A draft's sheet as far as it is one: what the server keeps of a draft may be anything that was typed. */
export function sheetOf(draft: { readonly sheet: unknown }): SheetFile {
  return draft.sheet as SheetFile
}

export type SheetFile = {
  readonly format: string
  readonly id: string
  readonly title: string
  readonly short?: string | null
  readonly region: string
  readonly why: string
  readonly taxa: readonly TaxonFile[]
  readonly fallback: { readonly scientificName: string; readonly commonName: string }
  readonly firstLook?: Readonly<Record<string, readonly string[]>> | null
  readonly gate?: readonly GateFile[] | null
  readonly characters: readonly CharacterFile[]
  readonly indices?: readonly FunctionFile[] | null
  readonly cautions?: readonly CautionFile[] | null
  readonly sources: readonly string[]
}

export type TaxonFile = {
  readonly id: string
  readonly scientificName: string
  readonly authorship?: string | null
  readonly commonName: string
  readonly alsoCalled?: readonly string[] | null
  readonly rank: string
  readonly parents?: readonly string[] | null
  readonly origin: string
  readonly standing: string
  readonly abundance: number
  readonly plantedAbundance: number
  readonly habitat?: Multipliers
}

export type GateFile = {
  readonly id: string
  readonly name: string
  readonly organ: string
  readonly zone: string
  readonly howTo: string
  readonly otherwise: string
  readonly otherwiseGroup?: string | null
  readonly draw?: DrawFile | null
  readonly drawOtherwise?: DrawFile | null
}

/** A published function: the sum of coefficients times measures, and a constant. */
export type FunctionFile = {
  readonly id: string
  readonly name: string
  readonly source: string
  /** to which a value above 0 points, and one below */
  readonly taxa: readonly string[]
  readonly terms: readonly { readonly character: string; readonly coefficient: number }[]
  readonly constant: number
  /** values so near to 0 decide nothing */
  readonly undecided: number
  readonly reading: string
}

export type CautionFile = { readonly topic: string; readonly text: string }

export type DrawFile = { readonly part: string } & Readonly<Record<string, string | number | boolean>>

export type StateFile = { readonly id: string; readonly name: string; readonly draw?: DrawFile | null }

export type Multipliers = Readonly<Record<string, number>>

export type ProfileFile = Readonly<Record<string, number>> | { readonly range: readonly number[] }

/** How a number is taken: which way, and what is said of it under the keys of that way. */
export type MeasuredFile = { readonly as: string } & Readonly<
  Record<string, string | number | readonly string[]>
>

export type CharacterFile = {
  readonly id: string
  readonly name: string
  readonly short?: string | null
  readonly organ: string
  readonly zone: string
  readonly kind: string
  readonly states?: readonly StateFile[]
  readonly unit?: string
  readonly measured?: MeasuredFile | undefined
  readonly draw?: DrawFile | null
  readonly profiles: Readonly<Record<string, ProfileFile>>
  readonly weight: number
  readonly schools?: Multipliers
  readonly months: readonly number[]
  readonly stages?: Multipliers
  readonly borne?: Multipliers
  readonly materials?: Multipliers
  readonly positions?: Multipliers
  readonly replicates: number
  readonly likeness: number
  readonly cluster?: string | null
  readonly minutes: number
  readonly harm: string
  readonly hazard: readonly string[]
  readonly sense: string
  readonly redGreen?: boolean
  readonly absence: string
  readonly howTo: string
  readonly pitfall?: string | null
}

export const ALL_YEAR = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]

const HUNDRED = 100

/** Whether a character is read as states. */
export function hasStates(kind: string): boolean {
  return kind === 'states' || kind === 'ordered'
}

/** The four limits of a numeric profile; undefined: it has none. */
export function rangeOf(profile: ProfileFile | undefined): readonly number[] | undefined {
  return profile && 'range' in profile && Array.isArray(profile.range) ? profile.range : undefined
}

/** The shares of a profile in the order of the states. */
export function sharesOf(profile: ProfileFile | undefined, states: readonly StateFile[]): readonly number[] {
  const shares = (profile ?? {}) as Readonly<Record<string, number>>
  return states.map((state) => (typeof shares[state.id] === 'number' ? (shares[state.id] ?? 0) : 0))
}

/** A profile of shares; the order is that of the states. */
export function profileOf(shares: readonly number[], states: readonly StateFile[]): ProfileFile {
  return Object.fromEntries(states.map((state, i) => [state.id, shares[i] ?? 0]))
}

/** Shares in whole hundredths that add up to 1, as near to what is given as they can be; nothing is shared alike. */
export function addingUp(shares: readonly number[]): readonly number[] {
  const total = shares.reduce((sum, one) => sum + one, 0)
  const parts = shares.map((one) => (total > 0 ? (one / total) * HUNDRED : HUNDRED / shares.length))
  const whole = parts.map(Math.floor)
  const missing = HUNDRED - whole.reduce((sum, one) => sum + one, 0)
  const byRest = parts.map((part, i) => ({ i, rest: part - (whole[i] ?? 0) })).sort((a, b) => b.rest - a.rest)
  for (const { i } of byRest.slice(0, missing)) whole[i] = (whole[i] ?? 0) + 1
  return whole.map((one) => one / HUNDRED)
}

/** The shares when one of them is typed: nothing else that was typed changes by itself. */
export function withShare(shares: readonly number[], index: number, share: number): readonly number[] {
  return shares.map((one, i) => (i === index ? share : one))
}

/** What is left over of the whole, in hundredths to one decimal; below 0: there is too much. */
export function leftOver(shares: readonly number[]): number {
  const left = HUNDRED * (1 - shares.reduce((sum, one) => sum + one, 0))
  return Number(left.toFixed(1)) + 0 // no negative nothing
}

/** The first month in which most of the characters can be read, 1-12. */
export function fullestMonth({ characters = [] }: Partial<Pick<SheetFile, 'characters'>>): number {
  const readable = ALL_YEAR.map((month) => characters.filter((one) => one.months?.includes(month)).length)
  return readable.indexOf(Math.max(...readable)) + 1
}

/** A character that somebody is about to describe. */
export function newCharacter(id: string, taxa: readonly TaxonFile[]): CharacterFile {
  const states = [
    { id: 'one-way', name: 'one way' },
    { id: 'the-other-way', name: 'the other way' },
  ]
  return {
    id,
    name: '',
    organ: 'leaf',
    zone: 'hand',
    kind: 'states',
    states,
    profiles: Object.fromEntries(
      taxa
        .filter((taxon) => taxon.rank !== 'hybrid')
        .map((taxon) => [taxon.id, { 'one-way': 0.5, 'the-other-way': 0.5 }]),
    ),
    weight: 0.5,
    schools: {},
    months: ALL_YEAR,
    stages: {},
    materials: {},
    positions: {},
    replicates: 1,
    likeness: 0.9,
    cluster: null,
    minutes: 1,
    harm: 'none',
    hazard: [],
    sense: 'sight',
    absence: 'informative',
    howTo: '',
    pitfall: null,
  }
}

/** The same character read another way; profiles that do not fit it any more begin anew. */
export function asKind(character: CharacterFile, kind: string, taxa: readonly TaxonFile[]): CharacterFile {
  if (kind === character.kind) return character
  const { states: old, unit: _, measured: __, ...rest } = character
  const own = taxa.filter((taxon) => taxon.rank !== 'hybrid' || character.profiles[taxon.id])
  if (hasStates(kind)) {
    if (hasStates(character.kind)) return { ...character, kind }
    const blank = newCharacter(character.id, taxa)
    return { ...rest, kind, states: blank.states ?? [], profiles: blank.profiles, draw: null }
  }
  const unit = kind === 'length' ? { unit: 'mm' } : kind === 'angle' ? { unit: 'degrees' } : {}
  const profiles = hasStates(character.kind)
    ? Object.fromEntries(own.map((taxon) => [taxon.id, { range: [1, 2, 3, 4] }]))
    : character.profiles
  return { ...rest, ...unit, kind, profiles }
}

/** An id made of words, as sheets want them, that none of the others has. */
export function idOf(words: string, others: readonly string[]): string {
  const plain =
    words
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '') || 'new'
  let id = plain
  for (let n = 2; others.includes(id); n++) id = `${plain}-${n}`
  return id
}

/** One of a list replaced by what a function makes of it. */
export function replaced<T>(list: readonly T[], index: number, make: (one: T) => T): readonly T[] {
  return list.map((one, i) => (i === index ? make(one) : one))
}

/** A ruler to set limits on, with a third of room at both ends; one of counts is read in whole numbers. */
export function rulerOf(
  values: readonly number[],
  counts: boolean,
): { readonly from: number; readonly to: number; readonly step: number } {
  const low = values.length > 0 ? Math.min(...values) : 0
  const high = values.length > 0 ? Math.max(...values) : 10
  const span = high - low || Math.max(1, Math.abs(high))
  const step = counts ? 1 : 10 ** Math.floor(Math.log10(span / 60))
  const room = span / 3
  return {
    from: Math.max(0, Math.floor((low - room) / step) * step),
    to: Math.ceil((high + room) / step) * step,
    step,
  }
}
