import { curve, type Point, placed, points } from './geometry'
import { type Blade, edgeOf } from './leaf'
import type { Sketch } from './sketch'

const BLADE: Blade = {
  ratio: 1.9,
  widest: 0.5,
  base: 'tapered',
  tip: 'pointed',
  margin: 'entire',
  teeth: 10,
}
const STALK = 0.14 // of the blade's length

/**
 * A small plain leaf on a short stalk, as part of a larger picture.
 * @param at where its stalk begins
 * @param angle radians from straight up, clockwise
 * @param length of the blade, in units
 * @param pairs of side veins, 0 to 3
 */
export function smallLeaf(sketch: Sketch, at: Point, angle: number, length: number, pairs = 3): void {
  const [foot = at] = placed([[0, -STALK]], at, length, angle)
  const onto = (line: readonly Point[]) => placed(line, foot, length, angle)
  sketch.shape(onto(edgeOf(BLADE, 5).filter((_, i) => i % 4 === 0)), 'leaf', 2)
  for (let i = 0; i < pairs; i++) {
    const y = -0.24 - 0.19 * i
    for (const side of [-1, 1]) {
      const vein: readonly Point[] = [
        [0, y],
        [side * 0.1, y - 0.09],
        [side * 0.18, y - 0.2],
      ]
      sketch.line(onto(curve(vein, 2)), { width: 1, start: 0.9, end: 0.3 })
    }
  }
  sketch.line([at, ...onto(points('0,0 0,-0.5 0,-0.95'))], { width: 2.3, start: 1, end: 0.3 })
}
