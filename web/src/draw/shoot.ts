import { curve, type Point, placed, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { smallLeaf } from './smallleaf'

const STAGE = ['closed', 'breaking', 'full'] as const

/** The end of a shoot in spring; stage: buds shut, leaves half out, or leaves open and flat. */
export function shoot(read: Reader): Picture {
  const stage = read.word('stage', STAGE)
  read.done()
  const sketch = new Sketch()
  const axis = curve(points('96,200 104,140 98,84 101,52'), 8)
  sketch.line(axis, { width: 8, start: 1, end: 0.55 })
  const nodes: readonly (readonly [Point, 1 | -1])[] = [
    [[101, 158], 1],
    [[103, 124], -1],
    [[100, 92], 1],
  ]
  for (const [at, side] of nodes) {
    if (stage === 'closed') smallBud(sketch, at, side * 0.5, 26)
    else if (stage === 'breaking') opening(sketch, at, side * 0.62)
    else smallLeaf(sketch, at, side * 1.15, 74)
  }
  if (stage === 'closed') smallBud(sketch, [101, 56], 0, 36)
  else if (stage === 'breaking') opening(sketch, [101, 58], 0)
  else {
    smallLeaf(sketch, [100, 60], -0.75, 62)
    smallLeaf(sketch, [101, 58], 0.35, 56)
  }
  return sketch.picture()
}

function smallBud(sketch: Sketch, at: Point, angle: number, length: number): void {
  const shape = curve(points('0,0 0.22,-0.3 0.17,-0.68 0,-1 -0.17,-0.68 -0.22,-0.3 0,0'), 5)
  sketch.shape(placed(shape, at, length, angle), 'wood', 2)
  sketch.line(placed(curve(points('-0.2,-0.36 0,-0.54 0.17,-0.4'), 4), at, length, angle), { width: 1.3 })
  sketch.line(placed(curve(points('-0.1,-0.66 0.03,-0.8 0.12,-0.7'), 4), at, length, angle), { width: 1.1 })
}

/** Scales thrown back and small leaves still folded. */
function opening(sketch: Sketch, at: Point, angle: number): void {
  for (const lean of [-0.42, 0.42, 0]) {
    const shape = curve(points('0,0 0.16,-0.35 0.13,-0.78 0,-1.05 -0.13,-0.78 -0.16,-0.35 0,0'), 3)
    const turned = placed(shape, at, lean === 0 ? 48 : 42, angle + lean)
    sketch.shape(turned, 'leaf', 2)
    sketch.line(placed(points('0,-0.05 0,-0.5 0,-0.95'), at, lean === 0 ? 48 : 42, angle + lean), {
      width: 1.4,
    })
  }
  for (const side of [-1, 1]) {
    const scale = curve(
      [
        [0, 0.02],
        [0.24 * side, -0.1],
        [0.34 * side, -0.36],
        [0.14 * side, -0.24],
        [0, 0.02],
      ],
      3,
    )
    sketch.shape(placed(scale, at, 44, angle), 'wood', 1.6)
  }
}
