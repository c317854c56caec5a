import { curve, lots, type Point, placed, placesOn, points } from './geometry'
import { halfEdge } from './leaf'
import type { Reader } from './parameters'
import type { Picture, Role } from './picture'
import { Sketch } from './sketch'

export const LOBE_TIPS = ['round', 'pointed', 'bristled'] as const
const FEET = ['rounded', 'taper', 'ears'] as const

/** A blade with lobes along both sides of its midrib; lengths in blade lengths, the base at 0,0 and the tip at 0,-1. */
export type Lobes = {
  /** Length over width. */
  readonly ratio: number
  /** Where it is widest, from the base. */
  readonly widest: number
  /** Lobes on each side, without that at the tip. */
  readonly pairs: number
  /** Of the bays, share of the half width. */
  readonly depth: number
  readonly tips: (typeof LOBE_TIPS)[number]
  readonly foot: (typeof FEET)[number]
}

type Side = {
  readonly edge: readonly Point[]
  readonly tips: readonly Point[]
  readonly bays: readonly Point[]
}

const FIRST_BAY = 0.1 // where the lobes begin, in blade lengths from the base

/** The right side of a lobed blade: its edge from base to tip, the tips of its lobes and the floors of its bays. */
export function lobedSide({ ratio, widest, pairs, depth, tips, foot }: Lobes): Side {
  const rim = placesOn(
    halfEdge(
      {
        ratio,
        widest,
        base: foot === 'taper' ? 'tapered' : 'rounded',
        tip: 'blunt',
        margin: 'entire',
        teeth: 3,
      },
      1,
    ),
    160,
  ).map((one) => one.at)
  const room = (up: number) => rim.find(([, y]) => y <= -up)?.[0] ?? 0
  const lastBay = 0.86 - 0.26 / pairs
  const bay = (i: number): Point => {
    const up = FIRST_BAY + (lastBay - FIRST_BAY) * (i / pairs)
    return [Math.max(0.022, room(up) * (1 - depth)), -up]
  }
  const edge: Point[] = [...base(foot)]
  const ends: Point[] = []
  for (let i = 0; i < pairs; i++) {
    const [from, to] = [i === 0 ? (edge.at(-1) ?? bay(0)) : bay(i), bay(i + 1)]
    const tall = from[1] - to[1]
    const lean = 0.02 + 0.05 * depth
    const up = -(from[1] + to[1]) / 2 + lean
    const out = room(up) * (i === 0 && pairs > 2 ? 0.8 : 1)
    if (tips === 'round') {
      ends.push([out, -up])
      edge.push(
        ...curve(
          [
            from,
            [from[0] + (out - from[0]) * 0.8, -up + tall * 0.36],
            [out, -up - tall * 0.02],
            [to[0] + (out - to[0]) * 0.72, -up - tall * 0.36],
            to,
          ],
          5,
        ).slice(1, -1),
      )
    } else {
      const tip: Point = [out, -up - tall * 0.2]
      ends.push(tip)
      edge.push(
        ...curve([from, [from[0] + (out - from[0]) * 0.62, -up + tall * 0.26], tip], 4).slice(1),
        ...(tips === 'bristled' ? barb(tip, to, tall) : []),
        ...curve([tip, [to[0] + (out - to[0]) * 0.34, to[1] + tall * 0.1], to], 4).slice(
          tips === 'bristled' ? 3 : 1,
          -1,
        ),
      )
    }
    edge.push(to)
  }
  const last = edge.at(-1) ?? bay(pairs)
  const broad = Math.max(room(lastBay + 0.05), last[0])
  edge.push(
    ...(tips === 'round'
      ? curve([last, [broad * 0.98, -lastBay - 0.06], [broad * 0.6, -0.965], [0, -1]], 5)
      : curve([last, [broad * 0.62, -lastBay - 0.05], [broad * 0.3, -0.92], [0, -1]], 5)
    ).slice(1),
  )
  return { edge, tips: ends, bays: Array.from({ length: pairs }, (_, i) => bay(i + 1)) }
}

/** A second, smaller point on the upper flank of a lobe. */
function barb(tip: Point, to: Point, tall: number): Point[] {
  const at: Point = [tip[0] + (to[0] - tip[0]) * 0.4, tip[1] - tall * 0.02]
  return [
    [at[0] + 0.015, at[1] + tall * 0.08],
    [at[0] + 0.02, at[1] - tall * 0.16],
  ]
}

function base(foot: (typeof FEET)[number]): Point[] {
  if (foot === 'ears') return curve(points('0,-0.01 0.02,0.022 0.055,0.02 0.06,-0.02 0.03,-0.05'), 4)
  return foot === 'taper' ? points('0,0 0.02,-0.05') : points('0,0 0.045,-0.015')
}

/** The other side of a leaf. */
export function mirrored(line: readonly Point[]): Point[] {
  return line.map(([x, y]): Point => [-x, y])
}

/** Draws a lobed leaf with its veins; onto: where points of the blade go. */
export function drawLobed(
  sketch: Sketch,
  lobes: Lobes,
  onto: (line: readonly Point[]) => Point[],
  {
    role = 'leaf',
    stalk = 0.12,
    bayVeins = 0,
    width = 2.4,
  }: { role?: Role; stalk?: number; bayVeins?: number; width?: number } = {},
): void {
  const { edge, tips, bays } = lobedSide(lobes)
  sketch.shape(onto([...edge, ...mirrored(edge).reverse()]), role, width)
  for (const flip of [(line: readonly Point[]) => [...line], mirrored]) {
    tips.forEach((tip, i) => {
      const from: Point = [0, tip[1] * 0.72 + 0.03 + 0.06 * (i / tips.length)]
      const bend: Point = [tip[0] * 0.5, (from[1] + tip[1]) / 2 + 0.012]
      const end: Point = [tip[0] * 0.93, tip[1] + 0.008]
      sketch.line(onto(flip(curve([from, bend, end], 4))), { width: width * 0.6, start: 1, end: 0.3 })
      if (lobes.tips === 'bristled') {
        sketch.line(onto(flip([tip, [tip[0] + 0.03, tip[1] - 0.024], [tip[0] + 0.07, tip[1] - 0.06]])), {
          width: width * 0.7,
          start: 1,
          end: 0.4,
        })
      }
    })
    bays.slice(0, bayVeins).forEach((bay) => {
      sketch.line(onto(flip(curve([[0, bay[1] * 0.78], [bay[0] * 0.5, bay[1] * 0.88 - 0.006], bay], 4))), {
        width: width * 0.6,
        start: 1,
        end: 0.6,
      })
    })
  }
  sketch.line(
    onto(
      curve(
        [
          [0, stalk],
          [-0.006, stalk / 2],
          [0, 0],
          [0.005, -0.5],
          [0, -0.97],
        ],
        5,
      ),
    ),
    {
      width: width * 1.5,
      start: 1,
      end: 0.25,
    },
  )
  if (lobes.tips === 'bristled') {
    sketch.line(
      onto([
        [0, -0.99],
        [0, -1.02],
        [0, -1.05],
      ]),
      { width: width * 0.7, start: 1, end: 0.4 },
    )
  }
}

/** Reads what a lobed blade is drawn with. */
function lobesOf(read: Reader): Lobes {
  return {
    ratio: read.number('ratio', 0.9, 3, 1.6),
    widest: read.number('widest', 0.25, 0.75, 0.58),
    pairs: Math.round(read.number('pairs', 2, 9, 4)),
    depth: read.number('depth', 0.05, 0.9, 0.45),
    tips: read.word('lobeTips', LOBE_TIPS),
    foot: read.word('foot', FEET),
  }
}

/**
 * A leaf with lobes along both sides of its midrib.
 *
 * pairs: of lobes, 2 to 9; depth: of the bays, share of the half width; lobeTips: round, pointed, or drawn out into a thread;
 * foot: of the blade, with ears rolled back beside the stalk where asked for; stalk: in blade lengths; bayVeins: pairs of side
 * veins that run to a bay; white: whether it is felted beneath and lies on its face.
 */
export function pinnateLeaf(read: Reader): Picture {
  const lobes = lobesOf(read)
  const stalk = read.number('stalk', 0, 0.6, 0.12)
  const bayVeins = Math.round(read.number('bayVeins', 0, 5, 0))
  const white = read.flag('white')
  read.done()
  const scale = Math.min(186 / (1.03 + stalk), 176 * lobes.ratio)
  const sketch = new Sketch()
  drawLobed(sketch, lobes, (line) => placed(line, [100, 8 + scale], scale), {
    role: white ? 'pale' : 'leaf',
    stalk,
    bayVeins,
  })
  if (white) curls(sketch, 70, 60, 78, 1)
  return sketch.picture()
}

/** The foot of a lobed blade on its stalk, large; foot: how the blade ends. */
export function leafFoot(read: Reader): Picture {
  const foot = read.word('foot', FEET)
  const stalk = read.number('stalk', 0.05, 1, 0.4)
  read.done()
  const sketch = new Sketch()
  const y = 192 - stalk * 64
  const right: readonly Point[] = {
    taper: curve(
      [
        [104, y + 8],
        [112, y - 22],
        [136, y - 60],
        [172, y - 84],
        [158, y - 104],
        [186, y - 140],
      ],
      5,
    ),
    rounded: curve(
      [
        [105, y],
        [136, y - 6],
        [168, y - 32],
        [176, y - 66],
        [152, y - 88],
        [186, y - 140],
      ],
      5,
    ),
    ears: curve(
      [
        [105, y - 12],
        [150, y - 24],
        [172, y - 48],
        [170, y - 76],
        [150, y - 92],
        [186, y - 140],
      ],
      5,
    ),
  }[foot].filter(([, at]) => at > -12)
  sketch.fill([...right, ...right.map(([x, at]): Point => [200 - x, at]).reverse()], 'leaf')
  for (const side of [1, -1]) {
    for (const at of [y - 34, y - 86]) {
      sketch.line(
        curve(
          [
            [100, at],
            [100 + side * 30, at - 22],
            [100 + side * 62, at - 34],
          ],
          4,
        ),
        {
          width: 2.6,
          start: 1,
          end: 0.3,
        },
      )
    }
    sketch.line(
      right.map(([x, at]): Point => [100 + side * (x - 100), at]),
      { width: 3.4, start: 0.9, end: 0.6 },
    )
  }
  sketch.line(
    [
      [100, 202],
      [99, y + 10],
      [100, y - 60],
      [100, 0],
    ],
    { width: 9, start: 1, end: 0.5 },
  )
  if (foot === 'ears') {
    for (const side of [1, -1]) {
      const at = (dx: number, dy: number): Point => [100 + side * dx, y + dy]
      sketch.shape(
        curve([at(3, -10), at(20, -18), at(36, -6), at(31, 14), at(13, 13), at(4, 0), at(3, -10)], 5),
        'leaf',
        3,
      )
      sketch.line(curve([at(30, 8), at(26, -6), at(12, -4), at(13, 5)], 4), { width: 2.4 })
    }
  }
  return sketch.picture()
}

/** Curled hairs that lie thick on a face. */
export function curls(sketch: Sketch, count: number, wide: number, tall: number, size: number): void {
  const draw = lots(611)
  for (let i = 0; i < count; i++) {
    const angle = i * 2.39996
    const reach = Math.sqrt((i + 0.5) / count)
    const [x, y] = [100 + wide * 0.62 * reach * Math.cos(angle), 92 + tall * 0.78 * reach * Math.sin(angle)]
    const s = size * (3.6 + 2 * draw())
    sketch.line(
      [
        [x - s, y + 1],
        [x - s * 0.2, y - s * 0.8],
        [x + s * 0.7, y],
        [x, y + s * 0.5],
      ],
      { width: 1.1 },
    )
  }
}
