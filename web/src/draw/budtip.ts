import { curve, lots, type Point, placed, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'
import { TONE_NAMES, TONES } from './tone'

const WHISKERS = ['none', 'end', 'all'] as const
const SETS = ['pairs', 'threes', 'singly'] as const
const THORNS = ['pair', 'one', 'branched'] as const
const FRUITS = ['pod', 'nut', 'husk'] as const

function scalyBud(
  sketch: Sketch,
  at: Point,
  angle: number,
  length: number,
  role: 'brown' | 'rust' = 'brown',
): void {
  const onto = (line: string) => placed(curve(points(line), 4), at, length, angle)
  sketch.shape(onto('-0.2,0 -0.33,-0.34 -0.2,-0.78 0,-1 0.2,-0.78 0.33,-0.34 0.2,0'), role, 2)
  for (const line of [
    '-0.3,-0.3 0,-0.5 0.3,-0.3',
    '-0.24,-0.54 0,-0.74 0.24,-0.54',
    '-0.3,-0.1 0,-0.28 0.3,-0.1',
  ])
    sketch.line(onto(line), { width: 1.4 })
}

/** The tip of a twig with its buds. whiskers: thread-like stipules round the end bud, or round the side buds too; crowd: whether buds crowd at the tip. */
export function budTip(read: Reader): Picture {
  const whiskers = read.word('whiskers', WHISKERS)
  const crowd = read.flag('crowd')
  read.done()
  const sketch = new Sketch()
  const axis = curve(points('76,204 86,150 96,104 100,88'), 8)
  sketch
    .line(axis, { width: 18, start: 1, end: 0.8 })
    .line(axis, { width: 12.5, start: 1, end: 0.8, role: 'wood' })
  const side: readonly (readonly [Point, number])[] = [
    [[98, 150], 0.8],
    [[74, 176], -0.8],
  ]
  for (const [at, angle] of side) scalyBud(sketch, at, angle, 40)
  if (crowd) {
    for (const angle of [-1, 1, -0.62, 0.62]) scalyBud(sketch, [100 + angle * 7, 92], angle, 42)
  }
  const threads = (at: Point, length: number, count: number) => {
    for (let i = 0; i < count; i++) {
      const angle = -1.1 + (2.2 * i) / (count - 1)
      const line = placed(points('0,0 0.05,-0.5 0.14,-0.86 0.06,-1.1'), at, length, angle)
      sketch.line(curve(line, 4), { width: 2.6, start: 1, end: 0.4 })
    }
  }
  if (whiskers !== 'none') threads([100, 82], 70, 8)
  if (whiskers === 'all')
    for (const [at] of side) threads([at[0] + (at[0] > 90 ? 14 : -14), at[1] - 14], 44, 5)
  scalyBud(sketch, [100, 92], 0, 62)
  return sketch.picture()
}

/** The end of a winter twig; set: how its buds stand; tone: their colour; mealy: whether they look dusted. */
export function joints(read: Reader): Picture {
  const set = read.word('set', SETS)
  const tone = TONES[read.word('tone', TONE_NAMES)]
  const mealy = read.flag('mealy')
  read.done()
  const sketch = new Sketch()
  const axis = curve(points('98,204 100,140 100,70'), 6)
  sketch
    .line(axis, { width: 22, start: 1, end: 0.9 })
    .line(axis, { width: 16, start: 1, end: 0.9, role: 'wood' })
  const draw = lots(751)
  const bud = (at: Point, angle: number, length: number, broad = 1) => {
    const onto = (line: string) =>
      placed(
        curve(points(line), 4).map(([x, y]): Point => [x * broad, y]),
        at,
        length,
        angle,
      )
    sketch.shape(
      onto('-0.26,0.04 -0.42,-0.3 -0.3,-0.72 0,-1 0.3,-0.72 0.42,-0.3 0.26,0.04'),
      tone.role === 'wood' ? 'brown' : tone.role,
      2.4,
    )
    for (const line of ['0,0.02 -0.08,-0.4 0,-0.94', '-0.36,-0.2 -0.16,-0.56 -0.06,-0.9'])
      sketch.line(onto(line), { width: 1.6, role: tone.role === 'dark' ? 'pale' : 'ink' })
    if (mealy)
      for (let i = 0; i < 9; i++)
        sketch.dot(placed([[(draw() - 0.5) * 0.6, -0.1 - 0.7 * draw()]], at, length, angle)[0] ?? at, 1.5)
  }
  for (const [i, y] of [168, 116].entries()) {
    for (const side of set === 'singly' ? [i === 0 ? 1 : -1] : [-1, 1]) {
      sketch.shape(
        curve(
          [
            [100 + side * 8, y + 16],
            [100 + side * 17, y + 8],
            [100 + side * 15, y - 2],
            [100 + side * 6, y + 2],
            [100 + side * 8, y + 16],
          ],
          3,
        ),
        'cream',
        1.8,
      )
      bud([100 + side * 13, y], side * 0.75, 32)
    }
    if (set === 'threes') {
      sketch.shape(ellipse([100, y + 14], 8, 5, 14), 'cream', 1.8)
      bud([100, y + 8], 0, 36)
    }
  }
  for (const side of set === 'threes' ? [-1, 1, 0] : set === 'singly' ? [] : [-1, 1])
    bud([100 + side * 13, 74], side * 0.5, 34)
  bud([100, 76], 0, 62, 1.1)
  return sketch.picture()
}

/** A twig with thorns; thorns: paired at a leaf's foot, one above it, or branched on the stem. */
export function thorns(read: Reader): Picture {
  const how = read.word('thorns', THORNS)
  read.done()
  const sketch = new Sketch()
  const axis = curve(points('90,204 98,130 96,60 102,-4'), 8)
  sketch
    .line(axis, { width: 24, start: 1, end: 0.8 })
    .line(axis, { width: 18, start: 1, end: 0.8, role: 'wood' })
  for (const y of [148, 74]) {
    if (how === 'pair') {
      for (const side of [-1, 1])
        sketch.shape(
          [
            [97 + side * 7, y - 8],
            [97 + side * 40, y - 16],
            [97 + side * 8, y + 8],
          ],
          'dark',
          1.8,
        )
      sketch.shape(ellipse([97, y + 6], 8, 7, 16), 'cream', 1.8)
    } else if (how === 'one') {
      const side = y > 100 ? 1 : -1
      sketch.shape(
        [
          [97 + side * 8, y - 8],
          [97 + side * 62, y - 24],
          [97 + side * 8, y + 4],
        ],
        'dark',
        1.8,
      )
      sketch.shape(ellipse([97 + side * 7, y + 12], 7, 6, 16), 'cream', 1.8)
    } else {
      const side = y > 100 ? 1 : -1
      for (const line of [
        [
          [97 + side * 6, y],
          [97 + side * 44, y - 22],
          [97 + side * 82, y - 54],
        ],
        [
          [97 + side * 40, y - 20],
          [97 + side * 62, y - 18],
          [97 + side * 88, y - 8],
        ],
        [
          [97 + side * 30, y - 14],
          [97 + side * 36, y - 40],
          [97 + side * 34, y - 62],
        ],
      ] as const)
        sketch.line(
          line.map(([a, b]): Point => [a, b]),
          { width: 8, start: 1, end: 0.1, role: 'ink' },
        )
    }
  }
  return sketch.picture()
}

/** A fruit on its stalk; form: a flat pod, a nut in leafy bracts, or a nut in a fleshy husk that splits. */
export function dryFruit(read: Reader): Picture {
  const form = read.word('form', FRUITS)
  const long = read.flag('long')
  read.done()
  const sketch = new Sketch()
  if (form === 'pod') {
    const tall = long ? 1 : 0.62
    const onto = (line: string) => curve(points(line), 6).map(([x, y]): Point => [x, 14 + (y - 14) * tall])
    sketch.line(points('92,-4 96,6 100,18'), { width: 5, start: 1, end: 1 })
    sketch.shape(onto('100,14 128,50 122,120 112,176 100,194 86,172 76,118 76,52 100,14'), 'brown', 3)
    for (const y of [54, 86, 118, 150])
      sketch.shape(ellipse([100, 14 + (y - 14) * tall], 13, 13 * tall, 18), 'wood', 1.8)
    return sketch.picture()
  }
  const [rx, ry] = long ? [42, 64] : [52, 52]
  sketch.line(points('100,202 100,176 100,160'), { width: 8, start: 1, end: 1 })
  if (form === 'nut') {
    for (const [lean, size] of [
      [-0.7, 96],
      [0.7, 96],
      [-0.3, 108],
      [0.3, 108],
    ] as const)
      sketch.shape(
        placed(
          curve(
            points('-0.12,0 -0.4,-0.5 -0.3,-0.9 -0.12,-0.76 0,-1 0.12,-0.76 0.3,-0.9 0.4,-0.5 0.12,0'),
            3,
          ),
          [100, 160],
          size,
          lean,
        ),
        'leaf',
        2.2,
      )
    sketch.shape(ellipse([100, 150 - ry], rx, ry, 36), 'orange', 3)
    sketch.line(
      curve(
        [
          [100 - rx * 0.8, 164 - ry * 0.6],
          [100, 154 - ry * 0.2],
          [100 + rx * 0.8, 164 - ry * 0.6],
        ],
        5,
      ),
      { width: 2 },
    )
  } else {
    sketch.shape(ellipse([100, 150 - ry], rx + 22, ry + 20, 40), 'green', 3)
    sketch.shape(
      curve(
        [
          [100, 140 - 2 * ry],
          [100 + rx * 0.7, 150 - ry],
          [100, 156],
          [100 - rx * 0.7, 150 - ry],
          [100, 140 - 2 * ry],
        ],
        6,
      ),
      'straw',
      2.4,
    )
    for (const x of [-0.3, 0, 0.3])
      sketch.line(
        curve(
          [
            [100, 150 - 2 * ry],
            [100 + rx * x * 1.3, 150 - ry],
            [100, 150],
          ],
          5,
        ),
        { width: 1.8 },
      )
  }
  return sketch.picture()
}
