import type { Character } from '../../api/types'
import type { Picture, Span } from '../../draw/picture'

const OFF = 0.03 // by which a figure's proportions may differ from the number and still be measured on
/** mm that the longer part of a ratio has on a specimen. */
export const AT_HAND = 22

/** How a number can be shown: as something to count, to measure with a ruler of that scale, or only in words. */
export type ShownAs =
  | { readonly how: 'count' }
  | { readonly how: 'ruler'; readonly millimetresAUnit: number }
  | { readonly how: 'words' }

type Kind = Pick<Character, 'kind'> & {
  readonly parts: readonly { readonly counts: boolean }[]
}

const IN_WORDS: ShownAs = { how: 'words' }
const lengthOf = ({ from, to }: Span) => Math.hypot(to[0] - from[0], to[1] - from[1])

/** How a figure that is drawn to a value shows it; never otherwise than it is. */
export function shownAs({ kind, parts }: Kind, value: number, { spans = [], counted }: Picture): ShownAs {
  if (kind === 'count') return counted === value ? { how: 'count' } : IN_WORDS
  const first = spans.find((one) => one.part === 0)
  if (!first || lengthOf(first) === 0) return IN_WORDS
  if (kind === 'length') return { how: 'ruler', millimetresAUnit: value / lengthOf(first) }
  const second = spans.find((one) => one.part === 1)
  if (parts.length !== 2 || !second || parts.some((part) => part.counts)) return IN_WORDS
  const shown = lengthOf(first) / lengthOf(second)
  if (!(Math.abs(shown - value) <= OFF * value)) return IN_WORDS
  return { how: 'ruler', millimetresAUnit: AT_HAND / Math.max(lengthOf(first), lengthOf(second)) }
}
