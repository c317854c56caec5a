import type { Character } from '../../api/types'
import type { PhotoTaken, Tap, Tapped } from '../../reckoner/questions'
import type { Line, Marked } from './PhotoStage'

/** What may tell how large things are. */
export const SCALES = [
  { value: 'none', text: 'nothing' },
  { value: 'ruler', text: 'a ruler' },
  { value: 'card', text: 'the scale card' },
] as const
export type ScaleKind = (typeof SCALES)[number]['value']
/** How many taps tell it. */
export const TAPS: Readonly<Record<ScaleKind, number>> = { none: 0, ruler: 2, card: 4 }
/** The words that begin a check of it. */
export const CHECKED_BY: Readonly<Record<ScaleKind, string>> = {
  none: '',
  ruler: 'Check it by the ruler laid across',
  card: 'Check it by the bar on the card',
}
/** What was measured on one leaf. */
export type Leaf = { readonly taps: readonly (readonly Tapped[])[]; readonly taken: PhotoTaken }

/** What is asked for next. */
export function asking(
  kind: ScaleKind,
  tapped: number,
  hasScale: boolean,
  asked: Character['tapped'][number] | undefined,
  made: number,
): string {
  if (tapped < TAPS[kind])
    return kind === 'card'
      ? `Tap the card’s crosses: ${tapped} of 4. Where one is not in the picture, take it again with all four.`
      : `Tap two places on the ruler: ${tapped} of 2.`
  if (!hasScale) return 'How many millimetres lie between the two taps?'
  if (!asked) return ''
  return asked.most === 1 || made < asked.fewest ? `Tap: ${asked.words}.` : `${asked.words}: ${made}.`
}

/** What is asked for while the scale is checked. */
export function checking(kind: ScaleKind, made: number): string {
  return kind === 'card'
    ? `Tap both ends of the card’s bar: ${made} of 2.`
    : `Tap two places on the ruler that lies across: ${made} of 2.`
}

/** Every point on the photo, with what it is. */
export function pointsOf(
  character: Character,
  scale: readonly Tap[],
  check: readonly Tap[],
  taps: readonly (readonly Tap[])[],
  done: readonly Leaf['taps'][],
): readonly Marked[] {
  return [
    ...done.flatMap((leaf, n) =>
      leaf.flat().map((at, i) => ({ id: `done ${n} ${i}`, at, words: 'measured', kind: 'done' as const })),
    ),
    ...scale.map((at, i) => ({
      id: `scale ${i}`,
      at,
      words: `Scale, point ${i + 1}`,
      kind: 'scale' as const,
    })),
    ...check.map((at, i) => ({
      id: `check ${i}`,
      at,
      words: `Check of the scale, point ${i + 1}`,
      kind: 'scale' as const,
    })),
    ...taps.flatMap((part, k) =>
      part.map((at, i) => ({
        id: `${k} ${i}`,
        at,
        words: `${character.tapped[k]?.words}, point ${i + 1}`,
        kind: 'part' as const,
      })),
    ),
  ]
}

/** The lines between them, and the guide. */
export function linesOf(
  kind: ScaleKind,
  scale: readonly Tap[],
  check: readonly Tap[],
  taps: readonly (readonly Tap[])[],
  done: readonly Leaf['taps'][],
  taken: PhotoTaken | undefined,
): readonly Line[] {
  return [
    ...done.flatMap((leaf) => leaf.map((through) => ({ through, kind: 'done' as const }))),
    ...(kind === 'ruler' ? [{ through: scale, kind: 'scale' as const }] : []),
    { through: check, kind: 'scale' as const },
    ...(taken?.guide ? [{ through: taken.guide, kind: 'guide' as const }] : []),
    ...taps.map((through) => ({ through, kind: 'part' as const })),
  ].filter((line) => line.through.length > 1)
}
