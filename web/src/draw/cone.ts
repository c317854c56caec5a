import { curve, lots, type Point, placed, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { TONE_NAMES, TONES, toned } from './tone'

const BRACTS = ['hidden', 'showing', 'lost'] as const
const EDGES = ['straight', 'turned', 'rolled'] as const
const STALKS = ['stalked', 'short', 'sessile'] as const

/** An upright ripe cone; bracts: whether they show between its scales, or that only the bare axis is left. */
export function cone(read: Reader): Picture {
  const bracts = read.word('bracts', BRACTS)
  read.done()
  const sketch = new Sketch()
  if (bracts === 'lost') {
    sketch.line(points('100,190 100,100 100,14'), { width: 6, start: 1, end: 0.3 })
    sketch.line(curve(points('30,192 100,186 170,192'), 5), { width: 2 })
    for (const [x, y] of points('46,180 74,186 130,184 158,178')) {
      sketch.shape(
        curve(
          [
            [x - 12, y],
            [x, y - 9],
            [x + 12, y],
            [x, y + 5],
            [x - 12, y],
          ],
          4,
        ),
        'wood',
        1.8,
      )
    }
    return sketch.picture()
  }
  const outline = curve(points('100,8 130,28 138,96 130,160 100,182 70,160 62,96 70,28 100,8'), 7)
  sketch.line(points('100,198 100,180'), { width: 9, start: 1, end: 1 })
  sketch.shape(outline, 'wood', 2.8)
  const draw = lots(351)
  for (let row = 0; row < 9; row++) {
    const y = 26 + row * 17.5
    const half = 36 * Math.sin(Math.PI * Math.min(1, (y + 4) / 190)) ** 0.5
    for (let i = 0; i < 4; i++) {
      const x = 100 - half + ((i + (row % 2 ? 0.5 : 0)) * 2 * half) / 4 + half / 4
      if (x > 100 + half) continue
      sketch.line(
        curve(
          [
            [x - 9, y - 4],
            [x, y + 5],
            [x + 9, y - 4],
          ],
          4,
        ),
        { width: 1.9 },
      )
      if (bracts === 'showing') {
        const lean = (x - 100) * 0.12 + 1.5 * (draw() - 0.5)
        sketch.shape(
          [
            [x - 4, y + 3],
            [x - 1 + lean, y + 17],
            [x + 4, y + 3],
          ],
          'orange',
          1.5,
        )
      }
    }
  }
  return sketch.picture()
}

/** A cone whose scales stand open, from beside; edges: of its scales. */
export function coneScales(read: Reader): Picture {
  const edges = read.word('edges', EDGES)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('96,202 99,186 100,172'), 2), { width: 8, start: 1, end: 1 })
  sketch.fill(curve(points('100,26 134,58 146,112 128,166 100,182 72,166 54,112 66,58 100,26'), 6), 'dark')
  for (let row = 0; row < 5; row++) {
    const y = 50 + row * 29
    const half = [24, 46, 56, 54, 40][row] ?? 40
    for (const side of [-1, 1]) {
      // at the flanks each scale is seen edge on, and how its rim turns
      const x = (v: number) => 100 + side * v
      const rim: readonly Point[] =
        edges === 'straight'
          ? [
              [x(half * 0.5), y + 10],
              [x(half + 4), y - 2],
              [x(half + 7), y - 16],
              [x(half - 2), y - 19],
            ]
          : edges === 'turned'
            ? [
                [x(half * 0.5), y + 10],
                [x(half + 6), y],
                [x(half + 16), y - 11],
                [x(half + 18), y - 17],
              ]
            : [
                [x(half * 0.5), y + 10],
                [x(half + 8), y - 3],
                [x(half + 21), y - 4],
                [x(half + 23), y + 8],
                [x(half + 14), y + 9],
              ]
      const line = curve(rim, 3)
      sketch
        .line(line, { width: 10, start: 0.9, end: 0.7 })
        .line(line, { width: 6, start: 0.9, end: 0.6, role: 'brown' })
    }
    const count = row === 0 ? 1 : row % 2 === 0 ? 3 : 2
    for (let i = 0; i < count; i++) {
      const at: Point = [100 + (i - (count - 1) / 2) * half * 0.72, y]
      const w = Math.max(12, half * 0.33)
      sketch.shape(
        curve(
          [
            [at[0] - w * 0.6, y + 13],
            [at[0] - w, y - 6],
            [at[0], y - 17],
            [at[0] + w, y - 6],
            [at[0] + w * 0.6, y + 13],
          ],
          4,
        ),
        'brown',
        2,
      )
      if (edges === 'rolled')
        sketch.shape(
          curve(
            [
              [at[0] - w, y - 6],
              [at[0], y - 17],
              [at[0] + w, y - 6],
              [at[0], y - 3],
              [at[0] - w, y - 6],
            ],
            4,
          ),
          'cream',
          2,
        )
      if (edges === 'turned')
        sketch.line(
          curve(
            [
              [at[0] - w * 0.8, y - 9],
              [at[0], y - 15],
              [at[0] + w * 0.8, y - 9],
            ],
            4,
          ),
          { width: 3, role: 'cream' },
        )
    }
  }
  return sketch.picture()
}

/** A cluster of small woody cones; stalks: of the side cones. */
export function coneCluster(read: Reader): Picture {
  const stalks = read.word('stalks', STALKS)
  read.done()
  const sketch = new Sketch()
  const axis = curve(points('6,188 60,150 108,112 148,72'), 8)
  sketch.line(axis, { width: 6, start: 1, end: 0.7 })
  for (const [i, [foot, angle]] of (
    [
      [[46, 160], -0.5],
      [[84, 132], 1.9],
      [[100, 118], -0.35],
    ] as const
  ).entries()) {
    const reach = { stalked: 42, short: i === 1 ? 22 : 12, sessile: 0 }[stalks]
    const at: Point = [foot[0] + reach * Math.sin(angle), foot[1] - reach * Math.cos(angle)]
    if (reach > 0)
      sketch.line([[foot[0], foot[1]], [(foot[0] + at[0]) / 2, (foot[1] + at[1]) / 2], at], {
        width: 4,
        start: 1,
        end: 1,
      })
    smallCone(sketch, at, angle)
  }
  smallCone(sketch, [148, 72], 0.78)
  return sketch.picture()
}

/** A small open cone from where its stalk ends, in a direction. */
export function smallCone(sketch: Sketch, foot: Point, angle: number, length = 54): void {
  const onto = (line: readonly Point[]) => placed(line, foot, length, angle)
  sketch.shape(
    onto(
      curve(points('0,0.02 0.3,-0.12 0.38,-0.5 0.26,-0.88 0,-1 -0.26,-0.88 -0.38,-0.5 -0.3,-0.12 0,0.02'), 3),
    ),
    'brown',
    2.4,
  )
  for (const [up, half] of [
    [-0.22, 0.32],
    [-0.42, 0.38],
    [-0.62, 0.36],
    [-0.81, 0.28],
  ] as const) {
    sketch.line(
      onto(
        curve(
          [
            [-half, up],
            [-half / 2, up + 0.11],
            [0, up],
            [half / 2, up + 0.11],
            [half, up],
          ],
          3,
        ),
      ),
      { width: 2.6, start: 0.9, end: 0.9, role: 'dark' },
    )
  }
}

/** A flowering cone in spring on its short shoot; tone: its colour. */
export function coneFlower(read: Reader): Picture {
  const tone = read.word('tone', TONE_NAMES)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('14,180 100,170 186,182'), 6), { width: 9, start: 0.8, end: 0.8 })
  sketch.shape(points('86,172 90,148 110,148 114,172'), 'wood', 2.2)
  for (const angle of [-1.2, -0.9, 0.9, 1.2]) {
    sketch.line(
      [
        [100, 152],
        [100 + 46 * Math.sin(angle), 152 - 46 * Math.cos(angle)],
      ],
      { width: 4, start: 0.7, end: 0.5 },
    )
  }
  toned(
    sketch,
    curve(points('100,18 128,50 132,104 116,146 84,146 68,104 72,50 100,18'), 7),
    TONES[tone],
    12,
    2.8,
  )
  for (let row = 0; row < 5; row++) {
    const y = 48 + row * 21
    for (let i = -1; i < 2; i++) {
      const x = 100 + i * 19 + (row % 2 ? 9 : 0)
      if (x > 126) continue
      sketch.line(
        curve(
          [
            [x - 9, y],
            [x, y + 10],
            [x + 9, y],
          ],
          4,
        ),
        { width: 2 },
      )
      sketch.line(
        [
          [x, y + 6],
          [x, y + 16],
        ],
        { width: 1.4 },
      )
    }
  }
  return sketch.picture()
}
