import type { Character } from '../../api/types'
import type { Tapped } from '../../reckoner/questions'
import type { Leaf, ScaleKind } from './photoMarks'

/** What tells how large things are on a photo, as it was tapped and typed. */
export type Scaled = {
  readonly kind: ScaleKind
  readonly scale: readonly Tapped[]
  readonly millimetres: string
  /** the taps of a check; undefined: none was asked for */
  readonly check: readonly Tapped[] | undefined
  readonly across: string
}

/** What was tapped on one leaf, by the words that asked for it. */
type Parts = Readonly<Record<string, readonly Tapped[]>>

/** The leaves that characters were measured on which ask for some of the same. */
type Pass = { readonly characters: readonly string[]; readonly leaves: readonly Parts[] }

/** A photo of a tree that was measured on, so that the next character can be too, with nothing tapped twice. */
export type PhotoInHand = { readonly file: File; readonly scaled: Scaled; readonly passes: readonly Pass[] }

/** The taps of a leaf, by the parts of a character in their order. */
type Taps = Leaf['taps']

/** What a character finds on a photo. */
export type Begun = {
  /** of which pass; -1: nothing that it asks for was tapped before */
  readonly pass: number
  /** leaves that it was measured on already */
  readonly done: readonly Taps[]
  /** leaves on which a part of it was tapped for another character, in the order in which they are taken up */
  readonly open: readonly { readonly leaf: number; readonly taps: Taps }[]
}

let inHand: { readonly observer: string; readonly tree: string; readonly photo: PhotoInHand } | undefined

/** The photo of a tree that an observer last measured on, and nobody else sees; gone after a reload, as the file is. */
export function photoInHand(observer: string, tree: string): PhotoInHand | undefined {
  return inHand?.observer === observer && inHand.tree === tree ? inHand.photo : undefined
}

export function takeInHand(observer: string, tree: string, photo: PhotoInHand): void {
  inHand = { observer, tree, photo }
}

/** What was tapped before and is asked for again. */
export function begun(character: Character, photo: PhotoInHand | undefined): Begun {
  const passes = photo?.passes ?? []
  const has = (leaf: Parts) => tapsOf(character, leaf).some((taps) => taps.length > 0)
  const pass = passes.findLastIndex((one) => one.leaves.some(has))
  const { characters = [], leaves = [] } = passes[pass] ?? {}
  const isDone = (taps: Taps) =>
    characters.includes(character.id) && character.tapped.every((_, i) => isEnough(character, taps, i))
  const all = leaves.map((leaf, i) => ({ leaf: i, taps: tapsOf(character, leaf) }))
  return {
    pass,
    done: all.filter(({ taps }) => isDone(taps)).map(({ taps }) => taps),
    open: all.filter(({ taps }) => !isDone(taps)),
  }
}

/** The first part of a leaf that is still to be tapped; undefined: none is. */
export function partAsked(character: Character, taps: Taps): number | undefined {
  const first = character.tapped.findIndex(
    (_, i) => (taps[i] ?? []).length === 0 || !isEnough(character, taps, i),
  )
  return first < 0 ? undefined : first
}

/** The photo with one more character measured on it, from what that found there. */
export function withLeaves(
  { file, scaled, passes }: PhotoInHand,
  character: Character,
  { pass, open }: Begun,
  made: readonly Leaf[],
): PhotoInHand {
  const { characters = [], leaves: before = [] } = passes[pass] ?? {}
  const leaves = [...before]
  made.forEach(({ taps }, k) => {
    const at = open[k]?.leaf ?? leaves.length
    const parts = Object.fromEntries(character.tapped.map(({ words }, i) => [words, taps[i] ?? []]))
    leaves[at] = { ...leaves[at], ...parts }
  })
  const next = { characters: [...new Set([...characters, character.id])], leaves }
  return {
    file,
    scaled,
    passes: pass < 0 ? [...passes, next] : passes.map((one, i) => (i === pass ? next : one)),
  }
}

function tapsOf({ tapped }: Character, leaf: Parts): Taps {
  return tapped.map(({ words, fewest, most }) => {
    const before = leaf[words] ?? []
    return before.length >= fewest && before.length <= most ? before : []
  })
}

function isEnough({ tapped }: Character, taps: Taps, part: number): boolean {
  return (taps[part] ?? []).length >= (tapped[part]?.fewest ?? 0)
}
