import { curve, lots, type Point, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'
import { smallLeaf } from './smallleaf'

const CUPS = ['pressed', 'mossy', 'saucer', 'none'] as const
const STALKS = ['sitting', 'short', 'long'] as const
const GALLS = ['none', 'knopper', 'marble'] as const

/**
 * An acorn in its cup, upright. cup: a bowl with flat scales, one of long curled scales, or a flat saucer, or none; striped: dark lines
 * along the fresh nut; gall: what has grown on it.
 */
export function acorn(read: Reader): Picture {
  const cup = read.word('cup', CUPS)
  const striped = read.flag('striped')
  const gall = read.word('gall', GALLS)
  read.done()
  const sketch = new Sketch()
  if (cup !== 'none') sketch.line(curve(points('96,199 98,186 100,172'), 4), { width: 8, start: 1, end: 1 })
  if (gall === 'knopper') knopper(sketch)
  else if (gall === 'marble') {
    sketch.shape(ellipse([100, 84], 62, 62, 44), 'brown', 3)
    for (const [x, y] of points('72,70 120,58 130,100 84,118 104,88')) sketch.dot([x, y], 3)
  } else nutOf(sketch, striped, cup === 'saucer' ? 142 : 124)
  if (cup === 'none')
    sketch.shape(
      curve(points('58,124 78,138 100,142 122,138 142,124 126,120 100,118 74,120 58,124'), 4),
      'cream',
      2.6,
    )
  else cupOf(sketch, cup)
  return sketch.picture()
}

function nutOf(sketch: Sketch, striped: boolean, foot: number): void {
  const nut = curve(
    [
      [58, foot],
      [54, 84],
      [66, 40],
      [92, 20],
      [100, 8],
      [108, 20],
      [134, 40],
      [146, 84],
      [142, foot],
    ],
    6,
  )
  sketch.shape(nut, 'straw', 3)
  if (striped) {
    for (const x of [-34, -20, -6, 8, 22, 36]) {
      sketch.line(
        curve(
          [
            [100 + x * 0.2, 26],
            [100 + x * 0.95, 62],
            [100 + x * 1.12, foot - 2],
          ],
          5,
        ),
        { width: 4.4, start: 0.2, end: 0.9, role: 'brown' },
      )
    }
  } else
    sketch.fill(
      curve(
        [
          [66, 96],
          [68, 64],
          [82, 40],
          [80, 66],
          [76, 98],
          [66, 96],
        ],
        5,
      ),
      'pale',
    )
}

function cupOf(sketch: Sketch, cup: 'pressed' | 'mossy' | 'saucer'): void {
  const draw = lots(621)
  if (cup === 'saucer') {
    sketch.shape(
      curve(points('46,140 52,164 78,178 100,180 122,178 148,164 154,140 130,148 100,150 70,148 46,140'), 5),
      'brown',
      3,
    )
    for (const y of [156, 165])
      sketch.line(
        curve(
          [
            [58, y],
            [100, y + 8],
            [142, y],
          ],
          5,
        ),
        { width: 1.4 },
      )
    return
  }
  sketch.shape(
    curve(points('42,116 44,150 66,176 100,184 134,176 156,150 158,116 130,126 100,129 70,126 42,116'), 5),
    'brown',
    3,
  )
  if (cup === 'pressed') {
    for (let row = 0; row < 4; row++) {
      const y = 134 + row * 12
      const half = 54 - row * row * 3.4
      for (let i = 0; i < 6; i++) {
        const x = 100 - half + ((i + (row % 2 ? 0.2 : 0.7)) * 2 * half) / 6
        sketch.line(
          [
            [x - 7, y - 3],
            [x, y + 6],
            [x + 7, y - 3],
          ],
          { width: 1.7 },
        )
      }
    }
  } else {
    for (let i = 0; i < 34; i++) {
      const angle = Math.PI * (-0.08 + 1.16 * ((i * 0.618) % 1))
      const deep = 0.55 + 0.45 * draw()
      const foot: Point = [100 + 54 * deep * Math.cos(angle), 122 + 56 * deep * Math.sin(angle)]
      const out: Point = [foot[0] + 20 * Math.cos(angle), foot[1] + 16 * Math.sin(angle)]
      const curl: Point = [out[0] + 8 * Math.cos(angle - 1.1), out[1] + 8 * Math.sin(angle - 1.1)]
      sketch.line([foot, out, curl], { width: 5, start: 1, end: 0.4 })
      sketch.line([foot, out, curl], { width: 2.4, start: 1, end: 0.3, role: 'straw' })
    }
  }
}

/** A lump of ridges that has swallowed the nut. */
function knopper(sketch: Sketch): void {
  sketch.shape(
    curve(
      points('44,124 34,92 52,80 46,50 76,54 84,20 104,46 130,22 134,58 160,60 148,88 166,110 150,126'),
      4,
    ),
    'green',
    3,
  )
  for (const line of [
    '70,120 62,90 78,62 84,28',
    '100,122 96,88 104,50',
    '128,120 136,92 124,60 130,28',
    '56,112 70,98 54,84',
  ])
    sketch.line(curve(points(line), 4), { width: 3, start: 0.8, end: 0.4 })
  sketch.shape(ellipse([104, 44], 8, 5, 16), 'dark', 1.4)
}

/** The end of a shoot in spring with female flowers in a leaf's angle; stalk: that bears them. */
export function femaleFlowers(read: Reader): Picture {
  const stalk = read.word('stalk', STALKS)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('70,200 76,140 72,70 78,6'), 8), { width: 7, start: 1, end: 0.6 })
  smallLeaf(sketch, [75, 150], -1.1, 62, 0)
  smallLeaf(sketch, [73, 90], -0.9, 58, 0)
  smallLeaf(sketch, [74, 130], 1.75, 60, 0)
  const [from, angle]: [Point, number] = [[76, 118], 0.95]
  const reach = { sitting: 0, short: 34, long: 112 }[stalk]
  const along = (share: number): Point => [
    from[0] + Math.sin(angle) * reach * share,
    from[1] - Math.cos(angle) * reach * share,
  ]
  if (reach > 0) sketch.line(curve([from, along(0.5), along(1)], 5), { width: 3.4, start: 1, end: 0.7 })
  const places: readonly Point[] =
    stalk === 'long'
      ? [along(0.45), along(0.74), along(1)]
      : stalk === 'short'
        ? [along(0.7), along(1.1), [along(1)[0] - 2, along(1)[1] - 12]]
        : points('84,122 90,108 82,98')
  for (const [x, y] of places) {
    sketch.shape(
      curve(
        [
          [x - 10, y + 5],
          [x - 8, y - 9],
          [x + 8, y - 9],
          [x + 10, y + 5],
          [x, y + 11],
          [x - 10, y + 5],
        ],
        4,
      ),
      'green',
      2,
    )
    for (const lean of [-6, 0, 6])
      sketch.line(
        [
          [x + lean * 0.4, y - 7],
          [x + lean * 0.8, y - 13],
          [x + lean * 1.5, y - 18],
        ],
        { width: 3, start: 1, end: 0.6, role: 'red' },
      )
  }
  return sketch.picture()
}

/** Last year's wood below this year's leaves; waiting: whether small acorns wait on it. */
export function smallAcorns(read: Reader): Picture {
  const waiting = read.flag('waiting')
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('20,196 66,148 104,108 138,56'), 8), { width: 10, start: 1, end: 0.5 })
  sketch.line(
    [
      [104, 92],
      [114, 98],
      [122, 104],
    ],
    { width: 3 },
  )
  for (const [at, angle] of [
    [[124, 80], 1.3],
    [[130, 68], -0.7],
    [[138, 56], 0.35],
  ] as const)
    smallLeaf(sketch, at, angle, 56, 1)
  for (const [x, y, side] of [
    [62, 150, 1],
    [84, 124, -1],
    [98, 108, 1],
  ] as const) {
    const at: Point = [x + side * 13, y + side * 10]
    if (waiting) {
      sketch.line([[x, y], at], { width: 5, start: 1, end: 1 })
      sketch.shape(ellipse([at[0] + side * 5, at[1] + side * 3], 12, 12, 20), 'brown', 2.4)
      sketch.shape(ellipse([at[0] + side * 9, at[1] + side * 5], 6, 5.5, 14), 'straw', 1.6)
    } else
      sketch.line(
        [
          [x + side * 3, y],
          [x + side * 8, y + side * 3],
          [x + side * 9, y + side * 8],
        ],
        { width: 3.4, start: 0.9, end: 0.9 },
      )
  }
  return sketch.picture()
}
