import {
  CROWN_CLASSES,
  type CrownClass,
  DAMAGES,
  HABITATS,
  type Habitat,
  type LifeStage,
  ORIGINS,
  STAGES,
  STEM_FORMS,
  type TreeOrigin,
} from '../../api/codes'
import { limits } from '../../api/limits'
import type { Group, NamedTaxon, Vigour } from '../../api/types'
import { type Named, named } from './taxonWords'

/** A tree as far as a line tells it; azimuth and distance are from the plot's centre. */
export type LineTree = {
  tag?: number
  azimuthDegrees?: number
  distanceMetres?: number
  diameterMillimetres?: number
  heightDecimetres?: number
  stage?: LifeStage
  origin?: TreeOrigin
  habitat?: Habitat[]
  conditionNotes?: string
  vigour?: Vigour
  favoured?: boolean
  groupId?: string
  plainTaxon?: string
  /** tag of the stem whose clone it belongs to; its group is that stem's where the line names none */
  cloneOfTag?: number
}

/** A piece of the line and what it was taken for, in words. */
export type Taken = { readonly text: string; readonly as: string }

export type ParsedLine = {
  readonly tree: LineTree & Required<Pick<LineTree, 'stage' | 'origin'>>
  readonly taken: readonly Taken[]
  /** why the line cannot be stored yet; empty: it can */
  readonly problems: readonly string[]
}

export type Vocabulary = {
  readonly taxa: readonly NamedTaxon[]
  readonly groups: readonly Group[]
}

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`
/** A question mark at the end of a word, wherever that stands; not one inside a note. */
const DOUBT = /^((?:[^"?/]|\/(?!\/))*)\?/
const UNASKED = { stage: limits.TreeBody.stage.usual, origin: limits.TreeBody.origin.usual } as const

const DIEBACK = limits.VigourBody.dieback
const { many: MOST_LEADERS } = limits.VigourBody.leaders

type Rule = { readonly pattern: RegExp; readonly take: (match: RegExpExecArray, tree: LineTree) => string }

/** Pieces that say by themselves what they are, wherever they stand in the line. */
const LABELLED: readonly Rule[] = [
  { pattern: /^"([^"]*)"?/, take: (m, tree) => note(tree, m[1] ?? '') },
  { pattern: /^\/\/(.*)$/, take: (m, tree) => note(tree, m[1] ?? '') },
  {
    pattern: /^(?:=|stem of|clone of)\s*#?(\d+)\b/i,
    take: (m, tree) => {
      tree.cloneOfTag = Number(m[1])
      return `a stem of the clone of tree ${m[1]}`
    },
  },
  { pattern: /^(?:#|tag|tree|t)\s*(\d+)\b/i, take: (m, tree) => setTag(tree, Number(m[1])) },
  {
    pattern: new RegExp(
      `^(?:az(?:imuth)?\\.?|bearing)\\s*:?\\s*${NUMBER}\\s*(?:°|deg(?:rees)?)?(?![\\w.])`,
      'i',
    ),
    take: (m, tree) => setAzimuth(tree, number(m[1])),
  },
  {
    pattern: new RegExp(`^${NUMBER}\\s*(?:°|deg(?:rees)?\\b)`, 'i'),
    take: (m, tree) => setAzimuth(tree, number(m[1])),
  },
  {
    pattern: new RegExp(`^(?:h|height)\\s*:?\\s*${NUMBER}\\s*(dm|m)?\\b`, 'i'),
    take: (m, tree) => {
      tree.heightDecimetres = Math.round(number(m[1]) * (m[2]?.toLowerCase() === 'dm' ? 1 : 10))
      return `height ${tree.heightDecimetres / 10} m`
    },
  },
  {
    pattern: /^l(?:eaders?)?\s*:?\s*(\d+(?:\/\d+)*)(?![\w/.])/i,
    take: (m, tree) => {
      const leaders = (m[1] ?? '').split('/').map(Number)
      put(tree, { leaders })
      return `leaders ${leaders.join(', ')} mm, the youngest first`
    },
  },
  // no tree that is measured is so thin: a small whole number after d is the crown's dieback
  {
    pattern: new RegExp(
      `^d(?:ieback)?\\s*:?\\s*([${DIEBACK.least}-${DIEBACK.most}])(?![\\w.,]|\\s*[cm]m\\b)`,
      'i',
    ),
    take: (m, tree) => {
      put(tree, { dieback: Number(m[1]) })
      return `crown dieback ${m[1]}`
    },
  },
  {
    pattern: new RegExp(`^(?:d|dbh|dia(?:meter)?)\\s*:?\\s*${NUMBER}\\s*(mm|cm)?\\b`, 'i'),
    take: (m, tree) => setDiameter(tree, number(m[1]), m[2]),
  },
  {
    pattern: new RegExp(`^(?:dist(?:ance)?|r)\\s*:?\\s*${NUMBER}\\s*m?\\b`, 'i'),
    take: (m, tree) => setDistance(tree, number(m[1])),
  },
  {
    pattern: new RegExp(`^${NUMBER}\\s*(mm|cm)\\b`, 'i'),
    take: (m, tree) => setDiameter(tree, number(m[1]), m[2]),
  },
  // "7.2 m" is metres; after a whole number the m stands for mature
  { pattern: /^(\d+[.,]\d+)\s+m\b/i, take: (m, tree) => setDistance(tree, number(m[1])) },
  { pattern: new RegExp(`^${NUMBER}m\\b`, 'i'), take: (m, tree) => setDistance(tree, number(m[1])) },
]

/** What bare numbers are, in this order, as far as it was not labelled. */
const IN_ORDER: readonly {
  readonly key: keyof LineTree
  readonly set: (tree: LineTree, value: number) => string
}[] = [
  { key: 'tag', set: setTag },
  { key: 'azimuthDegrees', set: setAzimuth },
  { key: 'distanceMetres', set: setDistance },
  { key: 'diameterMillimetres', set: (tree, value) => setDiameter(tree, value, 'mm') },
]

/** Reads a line of quick entry; pieces may come in any order, and what was left unsaid is told. */
export function parseLine(line: string, vocabulary: Vocabulary): ParsedLine {
  const tree: LineTree = {}
  const taken: Taken[] = []
  const problems: string[] = []
  const contested = DOUBT.test(line)
  let rest = line.replace(DOUBT, '$1').trimStart()
  const bare: string[] = []
  const names: string[] = []
  while (rest !== '') {
    const separator = /^[\s,;|]+/.exec(rest)
    if (separator) {
      rest = rest.slice(separator[0].length)
      continue
    }
    const labelled = LABELLED.map((rule) => ({ rule, match: rule.pattern.exec(rest) })).find(
      (one) => one.match,
    )
    if (labelled?.match) {
      taken.push({ text: labelled.match[0].trim(), as: labelled.rule.take(labelled.match, tree) })
      rest = rest.slice(labelled.match[0].length)
      continue
    }
    const piece = /^[^\s,;|]+/.exec(rest)?.[0] ?? rest
    rest = rest.slice(piece.length)
    // a comma inside a number is a decimal comma, not the end of the piece
    const decimal = /^\d+$/.test(piece) ? /^,\d+(?=[\s;|]|$)/.exec(rest) : null
    if (decimal && /^\d{1,3}$/.test(decimal[0].slice(1))) {
      rest = rest.slice(decimal[0].length)
      bare.push(piece + decimal[0])
    } else if (/^\d+(?:\.\d+)?$/.test(piece)) bare.push(piece)
    else names.push(piece)
  }
  takeBare(bare, tree, taken, problems)
  const spoken = takeWords(names, tree, taken)
  takeName(spoken.join(' '), contested, tree, vocabulary, taken, problems)
  return {
    tree: { ...UNASKED, ...tree },
    taken,
    problems: [...problems, ...impossible(tree), ...missing(tree)],
  }
}

const { tag, azimuthDegrees, diameterMillimetres, heightDecimetres } = limits.TreeBody

/** Measures that the server will not take, told while the line is still being typed. */
const LIMITS = [
  { key: 'tag', ...tag, words: (value: number) => `tag ${value}: ${tag.least} to ${tag.most}` },
  {
    key: 'azimuthDegrees',
    ...azimuthDegrees,
    words: (value: number) => `azimuth ${value}°: a circle has ${azimuthDegrees.most}`,
  },
  {
    key: 'diameterMillimetres',
    ...diameterMillimetres,
    words: (value: number) =>
      `${value} mm thick: ${diameterMillimetres.least} to ${diameterMillimetres.most} mm, no tree here is thicker`,
  },
  {
    key: 'heightDecimetres',
    ...heightDecimetres,
    words: (value: number) =>
      `${value / 10} m tall: ${heightDecimetres.least / 10} to ${heightDecimetres.most / 10} m`,
  },
] as const

function impossible(tree: LineTree): string[] {
  const years = tree.vigour?.leaders?.length ?? 0
  const tooMany = years > MOST_LEADERS ? [`${years} leaders: at most ${MOST_LEADERS} years`] : []
  const wrong = LIMITS.flatMap(({ key, least, most, words }) => {
    const value = tree[key]
    return value !== undefined && !(value >= least && value <= most) ? [words(value)] : []
  })
  return [...wrong, ...tooMany]
}

function takeBare(bare: readonly string[], tree: LineTree, taken: Taken[], problems: string[]): void {
  const open = IN_ORDER.filter((one) => tree[one.key] === undefined)
  bare.forEach((text, i) => {
    const slot = open[i]
    if (slot) taken.push({ text, as: slot.set(tree, number(text)) })
    else
      problems.push(`${text} is one number too many: tag, azimuth, distance and diameter are there already`)
  })
}

/** Takes the words of stage, origin and ground out; the words that are left name the tree. */
function takeWords(words: readonly string[], tree: LineTree, taken: Taken[]): string[] {
  const left: string[] = []
  for (const word of words) {
    const stage = oneOf(STAGES, word, 3) ?? (word.toLowerCase() === 'm' ? ('mature' as const) : undefined)
    const origin =
      oneOf(ORIGINS, word, 3) ?? ({ w: 'wild', pl: 'planted', u: 'unknown' } as const)[word.toLowerCase()]
    const habitat = HABITATS.find((one) => one === word.toLowerCase())
    if (stage && !tree.stage) {
      tree.stage = stage
      taken.push({ text: word, as: stage })
    } else if (origin && !tree.origin) {
      tree.origin = origin
      taken.push({ text: word, as: origin === 'unknown' ? 'origin unknown' : origin })
    } else if (habitat) {
      tree.habitat = [...(tree.habitat ?? []), habitat]
      taken.push({ text: word, as: `on ${habitat} ground of its own` })
    } else if (!takeVigour(word.toLowerCase(), tree, taken)) left.push(word)
  }
  return left
}

/** Takes a word of how the tree does. */
function takeVigour(word: string, tree: LineTree, taken: Taken[]): boolean {
  const crown = crownOf(word)
  const form = STEM_FORMS.find((one) => one === word)
  const damage = DAMAGES.find((one) => one === word)
  const favour = word === 'favour' || word === 'favoured'
  if (crown) put(tree, { crown })
  else if (form) put(tree, { form })
  else if (damage) put(tree, { damages: [...(tree.vigour?.damages ?? []), damage] })
  else if (word === 'dead') put(tree, { dead: true })
  else if (favour) tree.favoured = true
  else return false
  const as = crown ? `crown ${crown}` : damage ? `damage: ${damage}` : favour ? 'a stem to favour' : word
  taken.push({ text: word, as })
  return true
}

/** A crown class, by its word or as crews shorten it. */
function crownOf(word: string): CrownClass | undefined {
  return oneOf(CROWN_CLASSES, word, 3) ?? (word === 'sub' ? 'suppressed' : undefined)
}

function put(tree: LineTree, part: Partial<Vigour>): void {
  tree.vigour = { dead: false, ...tree.vigour, ...part }
}

/** Lengths of leaders as they are written, "240/180/60"; undefined: that is not how. */
export function leadersOf(text: string): number[] | undefined {
  const parts = text.trim().split('/')
  const fits = parts.length <= MOST_LEADERS && parts.every((part) => /^\s*\d+\s*$/.test(part))
  return fits ? parts.map(Number) : undefined
}

/** The word that is meant: all of it, or its first letters where they are enough. */
function oneOf<T extends string>(words: readonly T[], typed: string, least: number): T | undefined {
  const small = typed.toLowerCase()
  return words.find((word) => word === small || (small.length >= least && word.startsWith(small)))
}

function takeName(
  words: string,
  contested: boolean,
  tree: LineTree,
  { taxa, groups }: Vocabulary,
  taken: Taken[],
  problems: string[],
): void {
  if (words === '') return
  const meant = named(words, taxa, groups)
  const binomial = /^[A-Z][a-z]+ (?:× ?)?[a-z-]{3,}$/.test(words)
  const [one] = meant
  if (meant.length === 1 && one) taken.push({ text: words, as: take(one, contested, tree, groups) })
  else if (meant.length > 1) {
    const group = groupOfAll(meant)
    if (contested && group) {
      tree.groupId = group
      taken.push({ text: `${words} ?`, as: `contested among the ${shortNameOf(group, groups)}` })
    } else problems.push(`“${words}” may be ${meant.slice(0, 4).map(nameOf).join(', ')}: type more of it`)
  } else if (binomial && !contested) {
    tree.plainTaxon = words
    taken.push({ text: words, as: `${words}, a name that is not in our list` })
  } else problems.push(`“${words}” is neither a taxon, a group, nor a word that is known here`)
}

function take(meant: Named, contested: boolean, tree: LineTree, groups: readonly Group[]): string {
  if (meant.kind === 'group') {
    tree.groupId = meant.group.groupId
    return `one of the ${meant.group.shortName}, for the Bench`
  }
  const { groupId, commonName, scientificName } = meant.taxon
  if (contested && groupId && groups.some((one) => one.groupId === groupId)) {
    tree.groupId = groupId
    return `contested: ${commonName} or another of the ${meant.taxon.groupName ?? groupId}`
  }
  tree.plainTaxon = scientificName
  return `plainly ${commonName}`
}

function groupOfAll(meant: readonly Named[]): string | undefined {
  const groups = new Set(meant.map((one) => (one.kind === 'group' ? one.group.groupId : one.taxon.groupId)))
  const [only] = groups
  return groups.size === 1 && only ? only : undefined
}

function shortNameOf(groupId: string, groups: readonly Group[]): string {
  return groups.find((one) => one.groupId === groupId)?.shortName ?? groupId
}

function nameOf(meant: Named): string {
  return meant.kind === 'group' ? `the ${meant.group.shortName}` : meant.taxon.commonName
}

function missing(tree: LineTree): string[] {
  const lacking = IN_ORDER.filter((one) => tree[one.key] === undefined).map((one) => WORDS[one.key])
  const named = tree.groupId || tree.plainTaxon || tree.cloneOfTag !== undefined // a stem is what its clone is
  if (!named) lacking.push('what it is')
  return lacking.length === 0 ? [] : [`still wanted: ${lacking.join(', ')}`]
}

const WORDS: Readonly<Record<string, string>> = {
  tag: 'tag',
  azimuthDegrees: 'azimuth',
  distanceMetres: 'distance',
  diameterMillimetres: 'diameter',
}

function number(text: string | undefined): number {
  return Number((text ?? '').replace(',', '.'))
}

function note(tree: LineTree, text: string): string {
  tree.conditionNotes = text.trim()
  return `note: ${text.trim()}`
}

function setTag(tree: LineTree, value: number): string {
  tree.tag = value
  return `tag ${value}`
}

function setAzimuth(tree: LineTree, value: number): string {
  tree.azimuthDegrees = value === 360 ? 0 : value
  return `azimuth ${tree.azimuthDegrees}°`
}

function setDistance(tree: LineTree, value: number): string {
  tree.distanceMetres = value
  return `${value} m out`
}

function setDiameter(tree: LineTree, value: number, unit: string | undefined): string {
  tree.diameterMillimetres = Math.round(unit?.toLowerCase() === 'cm' ? value * 10 : value)
  return `diameter ${tree.diameterMillimetres} mm`
}
