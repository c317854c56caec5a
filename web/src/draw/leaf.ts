import { beside, curve, lots, type Place, type Point, placed, placesOn, pointOf, points } from './geometry'
import { MARGINS, type Margin, toothed } from './margin'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

export const BASES = ['rounded', 'wedge', 'tapered', 'straight', 'heart', 'unequal'] as const
export const TIPS = ['pointed', 'drawn-out', 'short', 'blunt', 'notched', 'beaked', 'twisted'] as const
const GLOSS = ['none', 'matt', 'slight', 'glossy'] as const

/** The shape of a blade; lengths in blade lengths, the base at 0,0 and the tip at 0,-1. */
export type Blade = {
  /** Length over width, 0.6 to 5. */
  readonly ratio: number
  /** Where it is widest, from 0.1 (near the base) to 0.9. */
  readonly widest: number
  /** By how much its left half is narrower than its right one, 0 (none) to 1 (half as broad). */
  readonly asymmetry?: number
  readonly base: (typeof BASES)[number]
  readonly tip: (typeof TIPS)[number]
  readonly margin: Margin
  /** Teeth, or waves, on each side, 3 to 60. */
  readonly teeth: number
}

/** Reads the parameters of a blade. */
export function bladeOf(read: Reader): Blade {
  return {
    ratio: read.number('ratio', 0.6, 5, 1.6),
    widest: read.number('widest', 0.1, 0.9, 0.4),
    asymmetry: read.number('asymmetry', 0, 1, 0),
    base: read.word('base', BASES),
    tip: read.word('tip', TIPS),
    margin: read.word('margin', MARGINS),
    teeth: read.number('teeth', 3, 60, 14),
  }
}

// for each base and tip: share of the half width, and share of the way to the widest point or from there to the tip
const BASE_CURVES: Readonly<Record<Blade['base'], readonly Point[]>> = {
  wedge: points('0,0 0.36,0.36 0.72,0.7'),
  tapered: points('0,0 0.3,0.16 0.76,0.54'),
  rounded: points('0,0 0.42,0.03 0.86,0.42'),
  straight: points('0,0 0.5,-0.03 0.88,0.1 0.99,0.6'),
  heart: points('0,0 0.2,-0.16 0.52,-0.24 0.88,0.12'),
  unequal: points('0,0 0.42,0.03 0.86,0.42'),
}
const BEAK: readonly Point[] = points('0.92,0.4 0.62,0.72 0.22,0.87 0.09,0.95 0,1.04')
const TIP_CURVES: Readonly<Record<Blade['tip'], readonly Point[]>> = {
  pointed: points('0.83,0.34 0.42,0.72 0,1'),
  'drawn-out': points('0.7,0.27 0.33,0.55 0.1,0.8 0,1'),
  short: points('0.92,0.32 0.62,0.68 0.2,0.92 0,1'),
  blunt: points('0.95,0.34 0.76,0.7 0.4,0.94 0,1'),
  notched: points('0.99,0.3 0.96,0.72 0.66,1.03 0.3,1.02 0,0.84'),
  beaked: BEAK,
  twisted: BEAK,
}

/** One half of a blade's edge without teeth, from base to tip, to the right. */
export function halfEdge(blade: Blade, side: 1 | -1): Point[] {
  const lopsided = side < 0 ? 1 - 0.5 * (blade.asymmetry ?? 0) : 1
  const half = (0.5 / blade.ratio) * lopsided
  const base = blade.base === 'unequal' && side < 0 ? BASE_CURVES.heart : BASE_CURVES[blade.base]
  return curve(
    [
      ...base.map(([x, t]): Point => [side * x * half, -t * blade.widest]),
      [side * half, -blade.widest],
      ...TIP_CURVES[blade.tip].map(
        ([x, t]): Point => [
          side * x * half + (blade.tip === 'twisted' ? half * bend(t) : 0),
          -(blade.widest + t * (1 - blade.widest)),
        ],
      ),
    ],
    10,
  )
}

/** How far a twisted tip bends aside, in half widths, at a share t of the way from the widest point. */
function bend(t: number): number {
  return 0.9 * Math.max(0, (t - 0.78) / 0.26) ** 1.4
}

/** A blade's edge all round, with its teeth: up the right side and down the left. */
export function edgeOf(blade: Blade, seed: number): Point[] {
  const right = toothed(halfEdge(blade, 1), blade.margin, blade.teeth, 1, seed)
  const left = toothed(halfEdge(blade, -1), blade.margin, blade.teeth, -1, seed + 1)
  return [...right, ...left.reverse()]
}

/**
 * A whole leaf.
 *
 * veins: pairs of side veins, 2 to 30; arch: how far they bend to the tip, 0 (straight into the edge) to 1 (along it);
 * stalk: its length in blade lengths, 0 to 1; gloss: how the upper face shines. The blade's parameters are those of Blade.
 */
export function leaf(read: Reader): Picture {
  const blade = bladeOf(read)
  const veins = Math.round(read.number('veins', 2, 30, 7))
  const arch = read.number('arch', 0, 1, 0.15)
  const stalk = read.number('stalk', 0, 1, 0.25)
  const gloss = read.word('gloss', GLOSS)
  read.done()
  const scale = Math.min(188 / (1 + stalk), 180 * blade.ratio)
  const origin: Point = [100, 6 + scale]
  const onto = (line: readonly Point[]) => placed(line, origin, scale)
  const edge = onto(edgeOf(blade, 7))
  const midrib = onto(
    curve(
      [
        [0, stalk],
        [-0.012, stalk / 2],
        [0, 0],
        [0.008, -0.5],
        [0, -0.985],
      ],
      8,
    ),
  )
  const sketch = new Sketch().shape(edge, 'leaf', 2.6)
  if (gloss !== 'none') shine(sketch, gloss, blade, onto)
  for (const side of [1, -1] as const) {
    for (const vein of sideVeins(halfEdge(blade, side), veins, arch, side)) {
      sketch.line(onto(vein), { width: veins > 11 ? 1 : 1.5, start: 0.9, end: 0.25 })
    }
  }
  return sketch.line(midrib, { width: 3.6, start: 0.9, end: 0.2 }).picture()
}

/** The side veins of one half of a blade, each from the midrib towards the edge. */
export function sideVeins(edge: readonly Point[], count: number, arch: number, side: 1 | -1): Point[][] {
  const places = placesOn(edge, 121)
  return Array.from({ length: count }, (_, i) => {
    const from = -(0.02 + (0.8 * (i + (side > 0 ? 0 : 0.25))) / count)
    const to = places[Math.round(22 + (86 * (i + 0.4)) / count)]?.at ?? pointOf(edge, edge.length - 1)
    const end: Point = [to[0] * (0.97 - 0.12 * arch), to[1] - 0.05 * arch]
    const bend: Point = [end[0] * 0.55, from + (end[1] - from) * (0.5 - 0.3 * arch)]
    return curve([[0, from], bend, end], 3)
  })
}

/** Light on the upper face: hard-edged windows of sky, a faint sheen, or an even dull tone. */
function shine(
  sketch: Sketch,
  gloss: (typeof GLOSS)[number],
  blade: Blade,
  onto: (points: readonly Point[]) => Point[],
): void {
  const edge = placesOn(halfEdge(blade, 1), 200).map((one) => one.at)
  const room = (y: number) => edge.find((point) => point[1] <= y)?.[0] ?? 0
  const draw = lots(11)
  if (gloss === 'glossy') {
    // between the veins of the lit half the sky is mirrored; the other half is dark beside it
    for (let i = 0; i < 4; i++) {
      const y = -0.24 - 0.15 * i
      const at = (share: number, up: number): Point => [room(y - up) * share, y - up]
      sketch.shape(
        onto([at(0.14, 0), at(0.84 - 0.06 * i, 0.1), at(0.84 - 0.06 * i, 0.18), at(0.14, 0.09)]),
        'paper',
        1.2,
      )
    }
    for (let i = 0; i < 34; i++) {
      const y = -0.16 - 0.02 * i
      sketch.line(
        onto([
          [-room(y) * 0.1, y],
          [-room(y) * (0.8 + 0.12 * draw()), y - 0.06],
        ]),
        { width: 2.2, role: 'hatch' },
      )
    }
  } else if (gloss === 'slight') {
    for (let i = 0; i < 15; i++) {
      const y = -0.2 - 0.04 * i
      sketch.line(
        onto([
          [-room(y) * 0.2, y],
          [-room(y) * (0.55 + 0.2 * draw()), y - 0.05],
        ]),
        { width: 4.2, role: 'hatch' },
      )
    }
  } else {
    for (let i = 0; i < 76; i++) {
      const y = -0.06 - 0.86 * draw()
      sketch.dot(pointOf(onto([[room(y) * 0.85 * (2 * draw() - 1), y]]), 0), 1.2, 'hatch')
    }
  }
}

/** Short hairs that stand off a line to both sides. */
export function hairsOn(
  sketch: Sketch,
  line: readonly Point[],
  count: number,
  length: number,
  seed: number,
  role: 'ink' | 'rust' | 'pale' = 'ink',
): void {
  const draw = lots(seed)
  const places: Place[] = placesOn(line, Math.max(2, count))
  for (const place of places) {
    for (const side of [1, -1]) {
      const reach = length * (0.7 + 0.6 * draw())
      const lean = (draw() - 0.3) * length * 0.9
      sketch.line(
        [
          beside(place, 0.5 * side),
          beside(place, side * reach * 0.6, lean * 0.4),
          beside(place, side * reach, lean),
        ],
        {
          width: 1.25,
          start: 1,
          end: 0.3,
          role,
        },
      )
    }
  }
}
