import { curve, type Point, placed, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'
import { smallLeaf } from './smallleaf'

const BREEZE = ['patter', 'some', 'still'] as const

/** Leaves on long stalks in a breath of wind; leaves: how many of them move. */
export function breeze(read: Reader): Picture {
  const leaves = read.word('leaves', BREEZE)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('-4,20 60,34 130,40 200,30'), 8), { width: 7, start: 1, end: 0.6 })
  for (const [i, x] of [22, 66, 110, 152].entries()) {
    const moves = leaves === 'patter' || (leaves === 'some' && i % 2 === 1)
    const y = 30 + Math.sin(x / 40) * 4
    const [bx, by] = moves ? [x + 12, y + 52] : [x, y + 58 + (i % 2) * 16]
    sketch.line(
      curve(
        [
          [x, y],
          [x + (moves ? 2 : 0), y + 26],
          [bx, by],
        ],
        4,
      ),
      { width: 2.4, start: 1, end: 0.9 },
    )
    smallLeafDown(sketch, [bx, by], moves ? -0.5 : 0)
    if (moves) {
      for (const [dx, turn] of [
        [-22, 1],
        [16, -1],
      ] as const) {
        const cx = bx + dx + 8
        sketch.line(
          curve(
            [
              [cx, by + 8],
              [cx - turn * 7, by + 26],
              [cx - turn * 2, by + 44],
            ],
            4,
          ),
          { width: 2.2, start: 0.6, end: 0.6 },
        )
        sketch.line(
          curve(
            [
              [cx + turn * -8, by + 14],
              [cx - turn * 14, by + 27],
              [cx - turn * 10, by + 38],
            ],
            4,
          ),
          { width: 1.5, start: 0.6, end: 0.6 },
        )
      }
    }
  }
  if (leaves !== 'still')
    for (const y of leaves === 'patter' ? [150, 168, 184] : [172])
      sketch.line(
        curve(
          [
            [12, y],
            [70, y - 8],
            [120, y + 4],
            [176, y - 6],
          ],
          6,
        ),
        { width: 2, role: 'hatch' },
      )
  return sketch.picture()
}

function smallLeafDown(sketch: Sketch, [x, y]: Point, lean: number): void {
  const onto = (line: readonly Point[]) => placed(line, [x, y], 46, Math.PI + lean)
  sketch.shape(
    onto(curve(points('0,0 0.36,-0.06 0.5,-0.4 0.3,-0.82 0,-1 -0.3,-0.82 -0.5,-0.4 -0.36,-0.06 0,0'), 3)),
    'fresh',
    2,
  )
  sketch.line(onto(points('0,0 0,-0.5 0,-0.9')), { width: 1.6, start: 1, end: 0.3 })
}

/** A shoot whose leaves hang; limp: whether they are only wilted and hang by their blades. */
export function drooping(read: Reader): Picture {
  const hang = read.flag('hang')
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('0,70 70,54 140,50 200,60'), 8), { width: 7, start: 1, end: 0.6 })
  for (const [i, x] of [24, 58, 92, 110].entries()) {
    const at: Point = [x, 60 - (i === 1 || i === 2 ? 6 : 0)]
    smallLeaf(sketch, at, hang ? Math.PI + (i % 2 ? 0.12 : -0.12) : i % 2 ? 2 : 0.6, hang ? 96 : 62, 3)
    if (!hang) sketch.shape(ellipse(at, 3, 3, 8), 'wood', 1)
  }
  return sketch.picture()
}
