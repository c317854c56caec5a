import { beside, curve, type Point, placed, placesOn } from './geometry'
import { lobedSide } from './lobedblade'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

const TEETH = ['tip', 'upper', 'all'] as const
const SINUS = ['pointed', 'rounded'] as const
const VEIN = ['straight', 'outward', 'inward'] as const

/**
 * A leaf of a hawthorn. depth: of its bays, share of the half width, 0.05 to 0.95; sinus: the floor of a bay; lobes: in all, 3 to
 * 9; teeth: where on the lobes; vein: how the lowest side vein bends.
 */
export function lobedLeaf(read: Reader): Picture {
  const depth = read.number('depth', 0.05, 0.95, 0.5)
  const sinus = read.word('sinus', SINUS)
  const lobes = Math.round(read.number('lobes', 3, 9, 5))
  const teeth = read.word('teeth', TEETH)
  const vein = read.word('vein', VEIN)
  read.done()
  const pairs = Math.floor(lobes / 2)
  const sketch = new Sketch()
  const onto = (line: readonly Point[]) => placed(line, [100, 158], 150)
  const side = lobedSide({
    ratio: 0.98 + 0.1 * pairs,
    widest: 0.44 - 0.03 * pairs,
    pairs,
    depth,
    tips: sinus === 'rounded' ? 'round' : 'pointed',
    foot: 'taper',
  })
  const right = withTeeth(side.edge, side.bays, teeth)
  sketch.shape(onto([...right, ...right.map(([x, y]): Point => [-x, y]).reverse()]), 'leaf', 2.6)
  side.tips.forEach((tip, i) => {
    const line =
      i === 0
        ? lowestVein(tip, vein)
        : [
            [0, tip[1] * 0.66 - 0.01] as Point,
            [tip[0] * 0.5, tip[1] * 0.84] as Point,
            [tip[0] * 0.92, tip[1] + 0.01] as Point,
          ]
    for (const s of [1, -1]) {
      sketch.line(
        onto(
          curve(
            line.map(([x, y]): Point => [s * x, y]),
            6,
          ),
        ),
        { width: i === 0 ? 4.4 : 1.5, start: 0.9, end: 0.4 },
      )
    }
  })
  return sketch
    .line(
      onto(
        curve(
          [
            [0, 0.26],
            [-0.01, 0.1],
            [0, 0],
            [0, -0.95],
          ],
          6,
        ),
      ),
      { width: 3.6, start: 0.9, end: 0.25 },
    )
    .picture()
}

/** From the midrib to the tip of the lowest lobe: straight, with its end bent away from the leaf's tip, or towards it. */
function lowestVein(tip: Point, vein: (typeof VEIN)[number]): Point[] {
  const from: Point = [0, -0.05]
  const along = (t: number, off: number): Point => {
    const [dx, dy] = [tip[0] * 0.95 - from[0], tip[1] - from[1]]
    const length = Math.sqrt(dx * dx + dy * dy)
    return [from[0] + dx * t + (dy / length) * off, from[1] + dy * t - (dx / length) * off]
  }
  if (vein === 'straight') return [from, along(0.5, 0), along(1, 0)]
  const bow = vein === 'outward' ? 0.11 : -0.1
  return [from, along(0.3, bow * 0.75), along(0.6, bow), along(0.85, bow * 0.62), along(1, -bow * 0.12)]
}

/** Small teeth on the edge between the bays: near the tips of the lobes, in their outer half, or all along. */
function withTeeth(edge: readonly Point[], bays: readonly Point[], teeth: (typeof TEETH)[number]): Point[] {
  const [from, until] = { tip: [0.4, 0.6], upper: [0.24, 0.76], all: [0.06, 0.94] }[teeth] as [number, number]
  const marks = [
    0,
    ...bays.map((bay) => edge.findIndex(([x, y]) => x === bay[0] && y === bay[1])),
    edge.length - 1,
  ].filter((i) => i >= 0)
  const out: Point[] = []
  for (let i = 0; i + 1 < marks.length; i++) {
    const lobe = edge.slice(marks[i], (marks[i + 1] ?? edge.length) + 1)
    const places = placesOn(lobe, 49)
    for (const [k, place] of places.entries()) {
      const share = k / 48
      if (share < from || share > until) {
        if (k % 4 === 0) out.push(place.at)
      } else if (k % 4 === 0) out.push(place.at)
      else if (k % 4 === 2) out.push(beside(place, -0.022, 0.012))
    }
    out.push(places.at(-1)?.at ?? [0, -1])
  }
  return out
}
