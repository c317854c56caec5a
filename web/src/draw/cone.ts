import { curve, lots, type Point, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'
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

/** An open cone from beside; edges: of its scales. */
export function coneScales(read: Reader): Picture {
  const edges = read.word('edges', EDGES)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('96,198 99,184 100,172'), 2), { width: 7, start: 1, end: 1 })
  const scale = ([x, y]: Point, w: number, h: number, side: number) => {
    const shape = curve(
      [
        [x - w, y + h * 0.5],
        [x - w * 0.9, y - h * 0.5],
        [x, y - h],
        [x + w * 0.9, y - h * 0.5],
        [x + w, y + h * 0.5],
      ],
      2,
    )
    sketch.shape(shape, 'wood', 2)
    if (edges === 'rolled') {
      sketch.shape(
        curve(
          [
            [x - w * 0.95, y - h * 0.5],
            [x, y - h * 1.12],
            [x + w * 0.95, y - h * 0.5],
            [x + w * 0.8, y - h * 0.16],
            [x, y - h * 0.62],
            [x - w * 0.8, y - h * 0.16],
            [x - w * 0.95, y - h * 0.5],
          ],
          2,
        ),
        'pale',
        2,
      )
    } else if (edges === 'turned' && side >= 0) {
      sketch.shape(
        curve(
          [
            [x - w * 0.4, y - h * 0.88],
            [x + w * 0.3, y - h * 1.02],
            [x + w * 0.8, y - h * 0.5],
            [x + w * 0.2, y - h * 0.6],
            [x - w * 0.4, y - h * 0.88],
          ],
          2,
        ),
        'pale',
        1.5,
      )
    }
    sketch.line(
      [
        [x, y + h * 0.4],
        [x, y - h * 0.3],
      ],
      { width: 1, role: 'hatch' },
    )
  }
  for (let row = 0; row < 5; row++) {
    const y = 40 + row * 30
    const half = [26, 46, 54, 50, 36][row] ?? 40
    const count = [2, 3, 3, 3, 3][row] ?? 3
    for (let i = 0; i < count; i++) {
      const x = 100 + half * ((2 * i) / (count - 1) - 1) * 0.8
      scale([x, y], half / count + 9, 19, i % 2 === 0 ? 1 : -1)
    }
    if (edges === 'rolled') {
      for (const side of [-1, 1]) {
        const x = 100 + side * (half + 6)
        sketch.line(
          curve(
            [
              [x - side * 10, y + 6],
              [x, y - 8],
              [x + side * 9, y - 2],
              [x + side * 7, y + 6],
            ],
            2,
          ),
          { width: 3 },
        )
      }
    } else if (edges === 'straight') {
      for (const side of [-1, 1]) {
        const x = 100 + side * (half + 2)
        sketch.line(
          curve(
            [
              [x - side * 8, y + 10],
              [x + side * 1, y - 2],
              [x - side * 3, y - 15],
            ],
            2,
          ),
          { width: 2.6 },
        )
      }
    }
  }
  return sketch.picture()
}

/** A cluster of small woody cones; stalks: of the side cones. */
export function coneCluster(read: Reader): Picture {
  const stalks = read.word('stalks', STALKS)
  read.done()
  const sketch = new Sketch()
  const axis = curve(points('10,22 60,40 104,78 126,120'), 8)
  sketch.line(axis, { width: 5, start: 1, end: 0.7 })
  const cones: readonly (readonly [Point, Point, number])[] = [
    [[62, 41], [44, 112], 1],
    [[88, 62], [150, 58], 1],
    [[104, 78], [92, 150], 0.5],
    [[126, 120], [136, 158], 1],
  ]
  for (const [i, [foot, away, mixed]] of cones.entries()) {
    const share =
      i === 3 ? 0.6 : stalks === 'stalked' ? 1 : stalks === 'short' ? (mixed < 1 ? 0.62 : 0.42) : 0.3
    const at: Point = [foot[0] + (away[0] - foot[0]) * share, foot[1] + (away[1] - foot[1]) * share]
    if (i === 3 || stalks !== 'sessile') sketch.line([foot, at], { width: 3.6, start: 1, end: 1 })
    smallCone(sketch, at)
  }
  return sketch.picture()
}

function smallCone(sketch: Sketch, [x, y]: Point): void {
  sketch.shape(ellipse([x, y], 19, 25), 'brown', 2.4)
  for (let row = -2; row < 3; row++) {
    const half = 17 * Math.sqrt(1 - (row / 2.9) ** 2)
    sketch.line(
      curve(
        [
          [x - half, y + row * 9 - 2],
          [x - half / 2, y + row * 9 + 3],
          [x, y + row * 9 - 2],
          [x + half / 2, y + row * 9 + 3],
          [x + half, y + row * 9 - 2],
        ],
        3,
      ),
      { width: 2 },
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
