import { curve, lots, type Point, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'
import { smallLeaf } from './smallleaf'

const DOTS = ['few', 'some', 'many'] as const
const OF = ['flowers', 'fruits'] as const
const PARTS = ['two', 'mixed', 'more'] as const
const TRACES = ['three', 'mixed', 'five'] as const
const COUNTS: Readonly<Record<(typeof PARTS)[number], readonly number[]>> = {
  two: [2, 2, 2, 2],
  mixed: [2, 3, 3, 2],
  more: [3, 4, 5, 4],
}
const QUARTERS: readonly Point[] = points('52,52 148,52 52,148 148,148')

/** A small apple with its dry star; dots: pale pores on its skin. */
export function pome(read: Reader): Picture {
  const dots = read.word('dots', DOTS)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('92,-2 96,14 100,30'), 4), { width: 6, start: 1, end: 1 })
  sketch.shape(ellipse([100, 104], 76, 78, 48), 'red', 3)
  const count = { few: 3, some: 16, many: 64 }[dots]
  for (let i = 0; i < count; i++) {
    const angle = i * 2.39996
    const reach = Math.sqrt((i + 0.5) / count)
    sketch.dot(
      [100 + 66 * reach * Math.cos(angle), 98 + 64 * reach * Math.sin(angle)],
      dots === 'many' ? 3.4 : 4,
      'cream',
    )
  }
  sketch.shape(
    points('74,172 86,164 84,150 100,160 116,150 114,164 126,172 112,178 108,188 100,180 92,188 88,178'),
    'dark',
    2,
  )
  return sketch.picture()
}

/** Four flowers or four cut fruits of one tree; parts: how many styles or chambers each has. */
export function inFours(read: Reader): Picture {
  const of = read.word('of', OF)
  const counts = COUNTS[read.word('parts', PARTS)]
  read.done()
  const sketch = new Sketch()
  for (const [i, at] of QUARTERS.entries()) {
    const count = counts[i] ?? 2
    if (of === 'flowers') flower(sketch, at, count)
    else cutFruit(sketch, at, count)
  }
  return sketch.picture()
}

function flower(sketch: Sketch, at: Point, count: number): void {
  for (let k = 0; k < 5; k++) {
    const angle = (k * 2 * Math.PI) / 5
    sketch.shape(
      ellipse([at[0] + 26 * Math.sin(angle), at[1] - 26 * Math.cos(angle)], 18, 18, 18),
      'paper',
      1.6,
    )
  }
  sketch.shape(ellipse(at, 21, 21, 20), 'fresh', 1.6)
  for (let k = 0; k < count; k++) {
    const angle = (k * 2 * Math.PI) / count - 0.4
    const end: Point = [at[0] + 12 * Math.sin(angle), at[1] - 12 * Math.cos(angle)]
    sketch.line([at, end], { width: 3.4, start: 1, end: 1 }).dot(end, 4.6)
  }
}

function cutFruit(sketch: Sketch, at: Point, count: number): void {
  sketch.shape(ellipse(at, 44, 43, 22), 'red', 2.6).shape(ellipse(at, 38, 37, 22), 'cream', 1.4)
  for (let k = 0; k < count; k++) {
    const angle = (k * 2 * Math.PI) / count - 0.4
    const middle: Point = [at[0] + 18 * Math.sin(angle), at[1] - 18 * Math.cos(angle)]
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)]
    const cell = Array.from({ length: 11 }, (_, n): Point => {
      const turn = (n * 2 * Math.PI) / 11
      const [u, v] = [(count > 3 ? 7 : 10) * Math.cos(turn), 14 * Math.sin(turn)]
      return [middle[0] + u * cos + v * sin, middle[1] + u * sin - v * cos]
    })
    sketch.shape(cell, 'wood', 2)
    sketch.shape(ellipse(middle, 4, 5, 8), 'dark', 1)
  }
}

/** Fruits or flowers in a broad branched head above leaves. */
export function fruitHead(read: Reader): Picture {
  const bare = read.flag('bare')
  read.done()
  const sketch = new Sketch()
  sketch.line(points('100,200 99,160 100,128'), { width: 7, start: 1, end: 0.8 })
  for (const side of [-1, 1]) smallLeaf(sketch, [100, 160], side * 1.35, 74, 2)
  const draw = lots(691)
  for (let i = 0; i < 15; i++) {
    const x = 18 + i * 11.8
    const y = 56 + 22 * Math.abs((i - 7) / 7) ** 2 + (i % 2) * 18 * draw()
    sketch.line(
      curve(
        [
          [100, 128],
          [100 + (x - 100) * 0.5, 96],
          [x, y + 8],
        ],
        4,
      ),
      { width: 2, start: 1, end: 0.7 },
    )
    if (!bare) {
      sketch.shape(ellipse([x, y], 9.5, 9.5, 18), 'red', 1.8)
      sketch.line(
        [
          [x - 3.4, y - 7.4],
          [x, y - 4.6],
          [x + 3.4, y - 7.4],
        ],
        { width: 2.2 },
      )
    }
  }
  return sketch.picture()
}

/** Leaf scars of one twig, large; traces: how many dots each shows. */
export function leafScar(read: Reader): Picture {
  const traces = read.word('traces', TRACES)
  read.done()
  const sketch = new Sketch()
  sketch.fill(points('38,0 162,0 162,200 38,200'), 'wood')
  sketch
    .line(points('38,0 38,200'), { width: 3, start: 1, end: 1 })
    .line(points('162,0 162,200'), { width: 4.4, start: 1, end: 1 })
  for (const [i, y] of [64, 164].entries()) {
    const count = traces === 'three' ? 3 : traces === 'five' ? 5 : i === 0 ? 3 : 5
    sketch.shape(
      curve(
        [
          [78, y - 20],
          [84, y - 52],
          [100, y - 66],
          [116, y - 52],
          [122, y - 20],
          [78, y - 20],
        ],
        4,
      ),
      'brown',
      2.4,
    )
    sketch.shape(
      curve(
        [
          [50, y - 14],
          [76, y - 8],
          [100, y - 6],
          [124, y - 8],
          [150, y - 14],
          [134, y + 14],
          [100, y + 26],
          [66, y + 14],
          [50, y - 14],
        ],
        4,
      ),
      'cream',
      2.6,
    )
    for (let k = 0; k < count; k++) {
      const share = (2 * k) / (count - 1) - 1
      sketch.dot([100 + share * 34, y + 12 - 10 * share * share], count === 5 ? 5 : 6.4)
    }
  }
  return sketch.picture()
}
