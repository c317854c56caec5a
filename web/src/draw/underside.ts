import { curve, lots, type Point, points, stretch } from './geometry'
import { hairsOn } from './leaf'
import type { Reader } from './parameters'
import type { Picture, Role } from './picture'
import { ellipse, Sketch } from './sketch'

const TUFTS = ['none', 'few', 'clear'] as const
const MIDRIB = ['bald', 'fringe', 'scattered', 'veins', 'all-over'] as const
const STALK = ['bald', 'few', 'downy'] as const
const TONE = ['pale', 'green', 'bluish', 'whitish'] as const
const CROSS = ['plain', 'none', 'faint', 'raised'] as const
const FELT = ['none', 'thin', 'short', 'thick'] as const

/**
 * The lower half of a leaf from beneath, large: what hairs there are on the stalk, along the midrib, in the forks of the
 * veins and between them, and how the surface looks.
 *
 * tufts: in the vein forks; midrib: hairs along it and beyond; stalk: hairs on it; rust: whether hairs are rust-brown;
 * pairs: of side veins shown, 3 to 7; whitish: whether hairs are; tone: of the surface, a bluish one is dotted; cross: the finest veins, plain ones short; felt: that
 * hides the surface; finger: whether a fingertip strokes it.
 */
export function underside(read: Reader): Picture {
  const tufts = read.word('tufts', TUFTS)
  const midribHairs = read.word('midrib', MIDRIB)
  const stalk = read.word('stalk', STALK)
  const rust = read.flag('rust')
  const hair: Hair = read.flag('whitish') ? 'pale' : rust ? 'rust' : 'ink'
  const pairs = Math.round(read.number('pairs', 3, 7, 5))
  const tone = read.word('tone', TONE)
  const cross = read.word('cross', CROSS)
  const felt = read.word('felt', FELT)
  const finger = read.flag('finger')
  read.done()
  const sketch = new Sketch()
  surface(sketch, tone)
  const veins = sideVeins(pairs)
  for (const vein of veins) sketch.line(vein, { width: 2.4, start: 0.95, end: 0.25 })
  ladder(sketch, veins, cross)
  const midrib = curve(points('98,196 99,170 100,150 101,80 100,8'), 5)
  sketch.line(midrib, { width: 7, start: 0.9, end: 0.45 })
  sketch.line(stretch(midrib, 0.02, 0.96, 12), { width: 2.6, start: 0.9, end: 0.4, role: 'leaf' })
  if (felt !== 'none') feltOver(sketch, felt)
  hairsAlong(sketch, midribHairs, midrib, veins, hair)
  if (tufts !== 'none') {
    for (const [i, vein] of veins.entries()) {
      if (tufts === 'clear' || i < 6) tuft(sketch, vein, tufts === 'clear' ? 11 : 8, hair, i)
    }
  }
  if (stalk !== 'bald') {
    hairsOn(
      sketch,
      stretch(midrib, 0, 0.22),
      stalk === 'downy' ? 13 : 7,
      stalk === 'downy' ? 12 : 10,
      23,
      hair,
    )
  }
  if (finger) stroking(sketch)
  return sketch.picture()
}

type Hair = 'ink' | 'rust' | 'pale'

function surface(sketch: Sketch, tone: (typeof TONE)[number]): void {
  const edge = curve(points('100,156 60,150 26,120 14,78 22,34 40,6'), 6)
  const across = curve(points('40,6 70,12 98,4 130,13 160,6'), 4)
  const otherEdge = curve(points('160,6 178,34 186,78 174,120 140,150 100,156'), 6)
  const role: Role = { green: 'fresh', pale: 'leaf', bluish: 'bloom', whitish: 'pale' }[tone] as Role
  sketch.fill([...edge, ...across, ...otherEdge], role)
  if (tone === 'whitish') {
    for (const [x, y] of points('60,60 132,92 84,112 120,40'))
      sketch.fill(ellipse([x, y], 9, 6, 12), 'orange')
  }
  if (tone === 'bluish') {
    const draw = lots(391)
    for (let i = 0; i < 90; i++) {
      const angle = 2 * Math.PI * draw()
      const reach = Math.sqrt(draw())
      sketch.dot([100 + 78 * reach * Math.cos(angle), 80 + 66 * reach * Math.sin(angle)], 0.9, 'hatch')
    }
  }
  // where the blade turns over, its upper face is seen beside the lower one
  sketch.shape(curve(points('14,78 2,64 4,40 24,22 22,34 16,58 14,78'), 5), 'green', 2)
  sketch.line(edge, { width: 3, start: 0.8, end: 0.2 }).line(otherEdge, { width: 3, start: 0.2, end: 0.8 })
  sketch.line(across, { width: 1, role: 'hatch' }) // where the drawing breaks off
}

function sideVeins(pairs: number): Point[][] {
  return Array.from({ length: pairs }, (_, i) => {
    const y = 140 - (104 * i) / (pairs - 1 || 1)
    const reach = 68 - Math.max(0, 12 - 4 * i)
    const share = Math.min(1, (y - 14) / (34 + 2 * i)) // the topmost run off where the drawing breaks off
    return [-1, 1].map((side) =>
      curve(
        [
          [100, y],
          [100 + side * reach * share * 0.45, y - 17 * share],
          [100 + side * reach * share, y - (34 + 2 * i) * share],
        ],
        3,
      ),
    )
  }).flat()
}

/** The finest veins, across from one side vein to the next: hardly there, or a raised ladder with a shade beside each rung. */
function ladder(sketch: Sketch, veins: readonly Point[][], cross: (typeof CROSS)[number]): void {
  if (cross === 'none') return
  const rungs = cross === 'plain' ? [0.35, 0.55, 0.75] : [0.2, 0.36, 0.52, 0.68, 0.84]
  for (const vein of veins) {
    for (const share of rungs) {
      const [from] = stretch(vein, share, share, 2)
      if (!from) continue
      const lean = from[0] < 100 ? -3 : 3
      const to: Point = [from[0] + lean, from[1] + 23]
      if (cross === 'faint') sketch.line([from, to], { width: 1.6, start: 0.9, end: 0.7, role: 'hatch' })
      else if (cross === 'raised') {
        sketch.line([from, to], { width: 3.4, start: 0.9, end: 0.7 })
        sketch.line(
          [
            [from[0] + 2.6, from[1] + 2],
            [to[0] + 2.6, to[1] - 1],
          ],
          { width: 1, role: 'hatch' },
        )
      } else sketch.line([from, [from[0] + lean, from[1] + 11]], { width: 0.9, role: 'hatch' })
    }
  }
}

function hairsAlong(
  sketch: Sketch,
  where: (typeof MIDRIB)[number],
  midrib: readonly Point[],
  veins: readonly Point[][],
  hair: Hair,
): void {
  if (where === 'fringe') fringe(sketch, hair)
  if (where === 'scattered') {
    hairsOn(sketch, stretch(midrib, 0.3, 0.92), 11, 8, 21, hair)
    for (const vein of veins) hairsOn(sketch, stretch(vein, 0.15, 0.7, 5), 3, 6, 22, hair)
  }
  if (where === 'veins' || where === 'all-over') {
    hairsOn(sketch, stretch(midrib, 0.28, 0.95), 13, 9, 24, hair)
    for (const vein of veins) hairsOn(sketch, stretch(vein, 0.1, 0.9, 5), 5, 7, 25, hair)
  }
  if (where === 'all-over') {
    const draw = lots(401)
    for (let i = 0; i < 40; i++) {
      const angle = 2 * Math.PI * draw()
      const reach = Math.sqrt(draw())
      const [x, y] = [100 + 76 * reach * Math.cos(angle), 82 + 62 * reach * Math.sin(angle)]
      sketch.line(
        [
          [x, y],
          [x + 5, y - 8],
        ],
        { width: 2, start: 1, end: 0.3, role: hair },
      )
    }
  }
}

/** Felt: a few curls, short ones with the surface between, or thick ones that hide it. */
function feltOver(sketch: Sketch, felt: 'thin' | 'short' | 'thick'): void {
  const draw = lots(411)
  const [count, size] = { thin: [16, 6], short: [80, 5.4], thick: [48, 9.8] }[felt] as [number, number]
  for (let i = 0; i < count; i++) {
    const angle = i * 2.39996
    const reach = Math.sqrt((i + 0.5) / count)
    const [x, y] = [100 + 80 * reach * Math.cos(angle), 80 + 68 * reach * Math.sin(angle)]
    if (felt === 'short')
      sketch.line(
        [
          [x, y],
          [x + size, y - size * (0.6 + draw())],
        ],
        { width: 1.9 },
      )
    else {
      const s = size * (0.8 + 0.5 * draw())
      if (felt === 'thick') sketch.dot([x, y], s * 1.25, 'pale')
      sketch.line(
        [
          [x - s, y + 1],
          [x - s * 0.2, y - s * 0.8],
          [x + s * 0.7, y - s * 0.1],
          [x, y + s * 0.5],
        ],
        {
          width: 1.3,
        },
      )
    }
  }
}

/** A beard in the fork of a vein and the midrib. */
function tuft(sketch: Sketch, vein: readonly Point[], hairs: number, role: Hair, seed: number): void {
  const draw = lots(31 + seed)
  const [root] = stretch(vein, 0, 0, 2)
  if (!root) return
  const side = (vein.at(-1)?.[0] ?? 0) < 100 ? -1 : 1
  if (role === 'pale') {
    const at: Point = [root[0] + side * 10, root[1] - 10]
    sketch.shape(ellipse(at, 11, 10, 8), 'pale', 1.8)
  }
  for (let i = 0; i < hairs; i++) {
    const angle = -1.35 + 1.05 * draw()
    const length = 8 + 8 * draw()
    const foot: Point = [root[0] + side * (3 + 3 * draw()), root[1] - 4 - 3 * draw()]
    sketch.line(
      [
        foot,
        [foot[0] + side * Math.cos(angle) * length * 0.6, foot[1] + Math.sin(angle) * length * 0.5],
        [foot[0] + side * Math.cos(angle) * length, foot[1] + Math.sin(angle) * length * 0.8],
      ],
      { width: 2.2, start: 1, end: 0.3, role },
    )
  }
}

/** A dense band of hairs along both sides of the lower midrib, longest at its foot. */
function fringe(sketch: Sketch, role: Hair): void {
  const draw = lots(41)
  for (let i = 0; i < 52; i++) {
    const y = 150 - (i * 110) / 52
    const length = (19 - (i * 9) / 52) * (0.75 + 0.5 * draw())
    const side = i % 2 === 0 ? 1 : -1
    const foot: Point = [100 + side * 3, y]
    if (role === 'pale')
      sketch.line([foot, [foot[0] + side * length, y - 8]], { width: 3.6, start: 1, end: 0.5 })
    sketch.line([foot, [foot[0] + side * length * 0.6, y - 4], [foot[0] + side * length, y - 11 * draw()]], {
      width: 1.6,
      start: 1,
      end: 0.35,
      role,
    })
  }
}

/** A fingertip that comes from the lower right. */
function stroking(sketch: Sketch): void {
  const shape = curve(points('200,176 176,146 152,120 132,112 118,122 126,142 150,170 172,200'), 5)
  sketch.shape([...shape, [200, 200]], 'paper', 2.6)
  sketch.line(curve(points('122,120 131,115 142,118'), 4), { width: 2 })
  sketch.line(curve(points('120,126 130,130 140,122 142,116'), 4), { width: 1.4 })
}
