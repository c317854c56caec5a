import { curve, lots, type Point, stretch } from './geometry'
import { hairsOn } from './leaf'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

const TUFTS = ['none', 'few', 'clear'] as const
const MIDRIB = ['bald', 'fringe', 'scattered'] as const
const STALK = ['bald', 'few', 'downy'] as const

/**
 * The lower half of a leaf from beneath, large: what hairs there are on the stalk, along the midrib and in the forks of
 * the veins.
 *
 * tufts: in the vein forks; rust: whether the hairs are rust-brown; pairs: of side veins shown, 3 to 7.
 */
export function underside(read: Reader): Picture {
  const tufts = read.word('tufts', TUFTS)
  const midribHairs = read.word('midrib', MIDRIB)
  const stalk = read.word('stalk', STALK)
  const rust = read.flag('rust')
  const pairs = Math.round(read.number('pairs', 3, 7, 5))
  read.done()
  const role = rust ? 'rust' : 'ink'
  const edge = curve(
    [
      [100, 156],
      [60, 150],
      [26, 120],
      [14, 78],
      [22, 34],
      [40, 6],
    ],
    8,
  )
  const across = curve(
    [
      [40, 6],
      [70, 12],
      [98, 4],
      [130, 13],
      [160, 6],
    ],
    5,
  )
  const otherEdge = curve(
    [
      [160, 6],
      [178, 34],
      [186, 78],
      [174, 120],
      [140, 150],
      [100, 156],
    ],
    8,
  )
  const midrib = curve(
    [
      [98, 196],
      [99, 170],
      [100, 150],
      [101, 80],
      [100, 8],
    ],
    8,
  )
  const sketch = new Sketch().fill([...edge, ...across, ...otherEdge], 'leaf')
  sketch.line(edge, { width: 3, start: 0.8, end: 0.2 }).line(otherEdge, { width: 3, start: 0.2, end: 0.8 })
  sketch.line(across, { width: 1, role: 'hatch' }) // where the drawing breaks off
  const veins = sideVeins(pairs)
  for (const vein of veins) {
    sketch.line(vein, { width: 2.4, start: 0.95, end: 0.25 })
    netOf(sketch, vein)
  }
  sketch.line(midrib, { width: 7, start: 0.9, end: 0.45 })
  sketch.line(stretch(midrib, 0.02, 0.96, 20), { width: 2.6, start: 0.9, end: 0.4, role: 'leaf' })
  if (midribHairs === 'fringe') fringe(sketch, role)
  if (midribHairs === 'scattered') {
    hairsOn(sketch, stretch(midrib, 0.3, 0.92), 11, 8, 21, role)
    for (const vein of veins) hairsOn(sketch, stretch(vein, 0.15, 0.7, 5), 3, 6, 22, role)
  }
  if (tufts !== 'none') {
    for (const [i, vein] of veins.entries()) {
      if (tufts === 'clear' || i < 2) tuft(sketch, vein, tufts === 'clear' ? 11 : 5, role, i)
    }
  }
  if (stalk !== 'bald')
    hairsOn(
      sketch,
      stretch(midrib, 0, 0.22),
      stalk === 'downy' ? 13 : 5,
      stalk === 'downy' ? 10 : 7,
      23,
      role,
    )
  return sketch.picture()
}

function sideVeins(pairs: number): Point[][] {
  return Array.from({ length: pairs }, (_, i) => {
    const y = 140 - (104 * i) / (pairs - 1 || 1)
    const reach = 68 - Math.max(0, 12 - 4 * i)
    return [-1, 1].map((side) =>
      curve(
        [
          [100, y],
          [100 + side * reach * 0.45, y - 17],
          [100 + side * reach, y - 34 - 2 * i],
        ],
        4,
      ),
    )
  }).flat()
}

/** Fine veins that leave a side vein. */
function netOf(sketch: Sketch, vein: readonly Point[]): void {
  for (const share of [0.35, 0.55, 0.75]) {
    const [from] = stretch(vein, share, share, 2)
    if (from)
      sketch.line([from, [from[0] + (from[0] < 100 ? -3 : 3), from[1] + 11]], { width: 0.9, role: 'hatch' })
  }
}

/** A beard in the fork of a vein and the midrib. */
function tuft(
  sketch: Sketch,
  vein: readonly Point[],
  hairs: number,
  role: 'ink' | 'rust',
  seed: number,
): void {
  const draw = lots(31 + seed)
  const [root] = stretch(vein, 0, 0, 2)
  if (!root) return
  const side = (vein.at(-1)?.[0] ?? 0) < 100 ? -1 : 1
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
      { width: 1.5, start: 1, end: 0.3, role },
    )
  }
}

/** A dense band of hairs along both sides of the lower midrib, longest at its foot. */
function fringe(sketch: Sketch, role: 'ink' | 'rust'): void {
  const draw = lots(41)
  for (let i = 0; i < 56; i++) {
    const y = 150 - (i * 110) / 56
    const length = (19 - (i * 9) / 56) * (0.75 + 0.5 * draw())
    const side = i % 2 === 0 ? 1 : -1
    const foot: Point = [100 + side * 3, y]
    sketch.line([foot, [foot[0] + side * length * 0.6, y - 4], [foot[0] + side * length, y - 11 * draw()]], {
      width: 1.6,
      start: 1,
      end: 0.35,
      role,
    })
  }
}
