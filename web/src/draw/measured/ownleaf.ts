import { type Point, placed } from '../geometry'
import { type Blade, edgeOf, halfEdge, sideVeins } from '../leaf'
import { drawLobed, type Lobes } from '../lobedblade'
import type { Sketch } from '../sketch'

/** Whose leaf is measured: in each group one's own. */
export const LEAVES = [
  'plain',
  'alder',
  'cherry',
  'buckthorn',
  'hawthorn',
  'lime',
  'sallow',
  'oak',
  'poplar',
  'aspen',
  'whitebeam',
] as const
export type OwnLeaf = (typeof LEAVES)[number]

type Plain = Blade & { readonly veins: number; readonly arch: number }

const BLADES: Readonly<Record<Exclude<OwnLeaf, 'oak' | 'hawthorn'>, Plain>> = {
  plain: {
    ratio: 1.6,
    widest: 0.45,
    base: 'rounded',
    tip: 'pointed',
    margin: 'entire',
    teeth: 10,
    veins: 6,
    arch: 0.3,
  },
  alder: {
    ratio: 1.15,
    widest: 0.55,
    base: 'rounded',
    tip: 'blunt',
    margin: 'single',
    teeth: 12,
    veins: 6,
    arch: 0.1,
  },
  cherry: {
    ratio: 2.1,
    widest: 0.52,
    base: 'tapered',
    tip: 'pointed',
    margin: 'fine',
    teeth: 22,
    veins: 8,
    arch: 0.6,
  },
  buckthorn: {
    ratio: 1.5,
    widest: 0.5,
    base: 'rounded',
    tip: 'short',
    margin: 'incurved',
    teeth: 16,
    veins: 4,
    arch: 0.9,
  },
  lime: {
    ratio: 1.05,
    widest: 0.38,
    asymmetry: 0.25,
    base: 'unequal',
    tip: 'drawn-out',
    margin: 'single',
    teeth: 20,
    veins: 7,
    arch: 0.3,
  },
  sallow: {
    ratio: 1.9,
    widest: 0.55,
    base: 'rounded',
    tip: 'short',
    margin: 'wavy',
    teeth: 8,
    veins: 8,
    arch: 0.5,
  },
  poplar: {
    ratio: 1.1,
    widest: 0.28,
    base: 'straight',
    tip: 'drawn-out',
    margin: 'fine',
    teeth: 20,
    veins: 6,
    arch: 0.3,
  },
  aspen: {
    ratio: 1.02,
    widest: 0.46,
    base: 'rounded',
    tip: 'short',
    margin: 'blunt',
    teeth: 8,
    veins: 4,
    arch: 0.4,
  },
  whitebeam: {
    ratio: 1.4,
    widest: 0.48,
    base: 'tapered',
    tip: 'short',
    margin: 'double',
    teeth: 10,
    veins: 10,
    arch: 0,
  },
}

/** Lobed leaves of their own, as far as such leaves go. */
export const LOBED: Readonly<Record<'oak' | 'hawthorn', Lobes>> = {
  oak: { ratio: 1.65, widest: 0.6, pairs: 4, depth: 0.42, tips: 'round', foot: 'rounded' },
  hawthorn: { ratio: 1.1, widest: 0.5, pairs: 2, depth: 0.55, tips: 'pointed', foot: 'taper' },
}

/** The length over width of a leaf of that kind. */
export function ratioOf(leaf: OwnLeaf): number {
  return leaf === 'oak' || leaf === 'hawthorn' ? LOBED[leaf].ratio : BLADES[leaf].ratio
}

/** What of a leaf is not as it is by kind. */
type Otherwise = {
  readonly ratio?: number
  readonly widest?: number
  readonly veins?: number
  readonly teeth?: number
  readonly stalk?: number
}

/**
 * A leaf from the stalk's top upwards.
 * @param foot where blade and stalk meet
 * @param length of the blade, in units
 * @returns the ends of the side veins on the right
 */
export function ownLeaf(
  sketch: Sketch,
  leaf: OwnLeaf,
  foot: Point,
  length: number,
  other: Otherwise = {},
): Point[] {
  const stalk = (other.stalk ?? 22) / length
  const onto = (line: readonly Point[]) => placed(line, foot, length)
  if (leaf === 'oak' || leaf === 'hawthorn') {
    const lobes = LOBED[leaf]
    drawLobed(
      sketch,
      { ...lobes, ratio: other.ratio ?? lobes.ratio, widest: other.widest ?? lobes.widest },
      onto,
      { stalk },
    )
    return []
  }
  const own = BLADES[leaf]
  const blade = {
    ...own,
    ratio: other.ratio ?? own.ratio,
    widest: other.widest ?? own.widest,
    teeth: other.teeth ?? own.teeth,
  }
  sketch.shape(onto(edgeOf(blade, 3).filter((_, i) => blade.margin !== 'entire' || i % 2 === 0)), 'leaf', 2.4)
  const veins = other.veins ?? own.veins
  for (const side of [1, -1] as const) {
    for (const vein of sideVeins(halfEdge(blade, side), veins, own.arch, side))
      sketch.line(onto(veins > 14 ? vein.filter((_, i) => i % 3 === 0) : vein), {
        width: veins > 11 ? 1 : 1.3,
        start: 0.9,
        end: 0.3,
      })
  }
  sketch.line(
    onto([
      [0, stalk],
      [0, 0],
      [0, -0.96],
    ]),
    { width: 3, start: 0.9, end: 0.3 },
  )
  return sideVeins(halfEdge(blade, 1), veins, own.arch, 1).flatMap((vein) => onto(vein.slice(-1)))
}
