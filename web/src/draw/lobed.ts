import { beside, curve, type Point, placed, placesOn, pointOf, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

const TEETH = ['tip', 'upper', 'all'] as const
const SINUS = ['pointed', 'rounded'] as const
const VEIN = ['straight', 'outward', 'inward'] as const

/**
 * A lobed leaf. depth: of its notches, share of the half width, 0.05 to 0.95; sinus: the floor of a notch; lobes: in all, 3
 * to 9; teeth: where on the lobes; vein: how the lowest side vein bends.
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
  const onto = (line: readonly Point[]) => placed(line, [100, 158], 146)
  const right = side(pairs, depth, sinus, teeth)
  const left = right.map(([x, y]): Point => [-x, y]).reverse()
  sketch.shape(onto([...right, ...left]), 'leaf', 2.6)
  for (let i = 0; i < pairs; i++) {
    const tip = lobeTip(i, pairs)
    for (const s of [1, -1]) {
      const from: Point = [0, tip[1] * 0.62 + 0.02]
      const lowest = i === 0
      const bend: Point =
        !lowest || vein === 'straight'
          ? [s * tip[0] * 0.5, (from[1] + tip[1]) / 2]
          : vein === 'outward'
            ? [s * tip[0] * 0.5, (from[1] + tip[1]) / 2 - 0.15]
            : [s * tip[0] * 0.6, (from[1] + tip[1]) / 2 + 0.1]
      const end: Point =
        lowest && vein === 'outward'
          ? [s * tip[0] * 0.96, tip[1] + 0.05]
          : lowest && vein === 'inward'
            ? [s * tip[0] * 0.88, tip[1] - 0.03]
            : [s * tip[0] * 0.94, tip[1] + 0.01]
      sketch.line(onto(curve([from, bend, end], 6)), { width: lowest ? 3.2 : 1.5, start: 0.9, end: 0.35 })
    }
  }
  return sketch
    .line(onto(curve(points('0,0.26 -0.01,0.1 0,0 0,-0.95'), 6)), { width: 3.6, start: 0.9, end: 0.25 })
    .picture()
}

/** The tip of a lobe on the right side, counted from the base. */
function lobeTip(i: number, pairs: number): Point {
  const y = (pairs === 1 ? 0.56 : 0.46 - 0.02 * pairs) + (0.52 / pairs) * i
  return [0.47 - 0.1 * (i / pairs), -y]
}

function side(
  pairs: number,
  depth: number,
  sinus: (typeof SINUS)[number],
  teeth: (typeof TEETH)[number],
): Point[] {
  const points: Point[] = []
  let from: Point = [0, 0]
  for (let i = 0; i <= pairs; i++) {
    const last = i === pairs
    const tip: Point = last ? [0, -1] : lobeTip(i, pairs)
    const flank: readonly Point[] =
      i === 0
        ? [from, [0.1, -0.06], [tip[0] * 0.66, tip[1] * 0.55], [tip[0] * 0.98, tip[1] + 0.1], tip]
        : [
            from,
            [Math.max(from[0] + 0.04, tip[0] * 0.8), (from[1] + tip[1]) / 2 + 0.02],
            [last ? 0.17 : tip[0] * 1.02, tip[1] + 0.07],
            tip,
          ]
    points.push(...withTeeth(curve(flank, 6), teeth))
    if (!last) {
      const next = i + 1 === pairs ? -0.93 : lobeTip(i + 1, pairs)[1]
      const deep: Point = [tip[0] * (1 - depth * 0.86), tip[1] + (next - tip[1]) * 0.16]
      const floor: readonly Point[] =
        sinus === 'rounded'
          ? [[deep[0] + 0.03, deep[1] + 0.045], deep, [deep[0] + 0.03, deep[1] - 0.06]]
          : [deep]
      points.push(...curve([tip, [(tip[0] + deep[0]) / 2 + 0.02, tip[1] - 0.035], ...floor], 4).slice(1))
      from = pointOf(floor, floor.length - 1)
    }
  }
  return points
}

/** Small teeth on the outer edge of a lobe: near its tip, in its outer half, or all along. */
function withTeeth(edge: readonly Point[], teeth: (typeof TEETH)[number]): Point[] {
  const [count, from] = { tip: [2, 0.82], upper: [5, 0.48], all: [9, 0.04] }[teeth] as [number, number]
  const places = placesOn(edge, 101)
  const points: Point[] = places
    .slice(0, Math.round(from * 100))
    .filter((_, i) => i % 8 === 0)
    .map((one) => one.at)
  for (let i = 0; i < count; i++) {
    const at = (part: number) => places[Math.round((from + ((0.98 - from) * (i + part)) / count) * 100)]
    const [valley, apex] = [at(0), at(0.78)]
    if (valley) points.push(valley.at)
    if (apex) points.push(beside(apex, -0.03, 0.012))
  }
  const end = edge.at(-1)
  if (end) points.push(end)
  return points
}
