import { curve, type Point, placed, placesOn, pointOf } from './geometry'
import { curls, mirrored } from './lobedblade'
import type { Reader } from './parameters'
import type { Picture, Role } from './picture'
import { Sketch } from './sketch'

const FACES = ['upper', 'green', 'grey', 'white'] as const

/**
 * A leaf cut like a hand. lobes: 3 or 5; depth: of the bays, 0 (a heart with coarse teeth) to 0.8; face: the upper one, or the
 * lower one, green, thinly or thickly felted.
 */
export function palmateLeaf(read: Reader): Picture {
  const lobes = Math.round(read.number('lobes', 3, 7, 5))
  const depth = read.number('depth', 0, 0.8, 0.45)
  const face = read.word('face', FACES)
  const stalk = read.number('stalk', 0.1, 0.8, 0.35)
  read.done()
  const sketch = new Sketch()
  const scale = 176 / (1 + stalk * 0.6)
  const onto = (line: readonly Point[]) => placed(line, [100, 8 + scale], scale)
  const tips = handTips(lobes)
  const edge: Point[] = [[0, 0]]
  tips.forEach((tip, i) => {
    const next = tips[i + 1]
    const before = i === 0 ? pointOf(edge, 0) : (edge.at(-1) ?? tip)
    const bulge: Point = [(before[0] + tip[0]) / 2 + 0.05, (before[1] + tip[1]) / 2 + (i === 0 ? 0.12 : 0.03)]
    edge.push(...jagged(curve([before, bulge, tip], 8)))
    if (next) {
      const mid: Point = [(tip[0] + next[0]) / 2, (tip[1] + next[1]) / 2]
      const floor: Point = [mid[0] * (1.08 - 0.95 * depth), mid[1] + (-0.3 - mid[1]) * (0.75 * depth)]
      const shoulder: Point = [(tip[0] + floor[0]) / 2 + 0.02, (tip[1] + floor[1]) / 2 - 0.03]
      edge.push(...jagged(curve([tip, shoulder, floor], 6)))
    }
  })
  const role: Role = { upper: 'leaf', green: 'fresh', grey: 'grey', white: 'pale' }[face] as Role
  sketch.shape(onto([...edge, ...mirrored(edge).reverse()]), role, 2.6)
  if (face === 'white') curls(sketch, 90, 74, 70, 1)
  if (face === 'grey') curls(sketch, 34, 70, 66, 0.7)
  for (const tip of tips) {
    for (const side of [1, -1]) {
      sketch.line(
        onto(
          curve(
            [
              [0, 0],
              [side * tip[0] * 0.45, tip[1] * 0.5 - 0.02],
              [side * tip[0] * 0.92, tip[1] * 0.95],
            ],
            5,
          ),
        ),
        {
          width: 2.6,
          start: 1,
          end: 0.3,
        },
      )
    }
  }
  return sketch
    .line(
      onto([
        [0.03, stalk * 0.6],
        [0.012, stalk * 0.3],
        [0, 0],
      ]),
      { width: 5, start: 1, end: 0.8 },
    )
    .picture()
}

/** The tips of the lobes of a hand, from the lowest on the right to that in the middle. */
function handTips(lobes: number): Point[] {
  const side = Math.floor(lobes / 2)
  return [
    ...Array.from({ length: side }, (_, i): Point => {
      const angle = (side === 1 ? 1 : 1.75 - (1.25 * i) / side) - 0.12 * i
      return [0.56 * Math.sin(angle) * (0.86 + 0.1 * i), -0.34 - 0.52 * Math.cos(angle) * (0.9 + 0.06 * i)]
    }),
    [0, -1],
  ]
}

/** Coarse blunt teeth along an edge. */
function jagged(line: readonly Point[]): Point[] {
  return placesOn(line, 7).map(({ at, along }, i) => {
    const out = i % 2 === 1 ? 0.018 : 0
    return [at[0] - along[1] * out, at[1] + along[0] * out]
  })
}
