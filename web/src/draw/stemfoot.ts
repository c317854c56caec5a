import { curve, lots, type Point, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'
import { TONE_NAMES, TONES, toned } from './tone'

const SPROUTS = ['none', 'few', 'thicket'] as const
const RIDGES = ['none', 'few', 'many'] as const

/** The foot of a stem; sprouts: from its foot; burrs; suckers: from the roots, apart from the stem. */
export function stemFoot(read: Reader): Picture {
  const sprouts = read.word('sprouts', SPROUTS)
  const suckers = read.flag('suckers')
  read.done()
  const sketch = new Sketch()
  const draw = lots(371)
  const stem = suckers ? 14 : 26
  sketch.fill(
    [
      [100 - stem, 0],
      [100 + stem, 0],
      [104 + stem, 140],
      [118 + stem, 176],
      [82 - stem, 176],
      [96 - stem, 140],
    ],
    'wood',
  )
  sketch.line(
    curve(
      [
        [100 - stem, 0],
        [97 - stem, 120],
        [82 - stem, 176],
      ],
      6,
    ),
    { width: 3, start: 0.9, end: 0.7 },
  )
  sketch.line(
    curve(
      [
        [100 + stem, 0],
        [103 + stem, 120],
        [118 + stem, 176],
      ],
      6,
    ),
    { width: 4.2, start: 0.9, end: 0.7 },
  )
  for (let i = 0; i < 9; i++) {
    const x = 100 + (2 * draw() - 1) * (stem - 6)
    const y = 120 * draw()
    sketch.line(
      [
        [x, y],
        [x + 1, y + 18],
      ],
      { width: 1.2, role: 'hatch' },
    )
  }
  sketch.line(curve(points('0,178 60,175 140,179 200,176'), 5), { width: 2.4 })
  if (suckers) {
    sketch.line(curve(points('92,178 60,188 30,184 4,192'), 6), { width: 4, start: 1, end: 0.5 })
    sketch.line(curve(points('110,178 140,190 172,184 198,192'), 6), { width: 4, start: 1, end: 0.5 })
    for (const x of [22, 44, 150, 172, 188]) shoot(sketch, [x, 182], 58 + 22 * draw(), draw)
  }
  if (sprouts !== 'none') {
    const dense = sprouts === 'thicket'
    if (dense) {
      for (const [x, y, r] of [
        [78, 120, 15],
        [112, 134, 18],
        [92, 154, 16],
        [124, 110, 12],
        [76, 148, 13],
      ] as const) {
        sketch.shape(ellipse([x, y], r, r * 0.86, 20), 'wood', 2.4)
        sketch.line(
          curve(
            [
              [x - r * 0.5, y],
              [x, y - r * 0.4],
              [x + r * 0.5, y],
            ],
            4,
          ),
          { width: 1.2 },
        )
      }
    } else sketch.shape(ellipse([112, 148], 12, 10, 18), 'wood', 2.2)
    for (let i = 0; i < (dense ? 17 : 4); i++) {
      const x = dense ? 38 + i * 7.6 : 66 + i * 23
      shoot(sketch, [x, 172], dense ? 62 + 34 * draw() : 46, draw)
    }
  }
  return sketch.picture()
}

function shoot(sketch: Sketch, [x, y]: Point, length: number, draw: () => number): void {
  const lean = 8 * (draw() - 0.5)
  sketch.line(
    curve(
      [
        [x, y],
        [x + lean * 0.4, y - length * 0.5],
        [x + lean, y - length],
      ],
      4,
    ),
    { width: 2.2, start: 1, end: 0.4 },
  )
  for (let i = 1; i < 4; i++) {
    const at: Point = [x + lean * (i / 3.4), y - length * (i / 3.6)]
    const side = i % 2 ? 1 : -1
    sketch.shape(
      [
        [at[0], at[1]],
        [at[0] + side * 7, at[1] - 7],
        [at[0] + side * 11, at[1] - 3],
        [at[0] + side * 6, at[1] + 1],
      ],
      'green',
      1.1,
    )
  }
}

/** A fresh cut through a stem; tone: the colour it takes. */
export function cut(read: Reader): Picture {
  const tone = read.word('tone', TONE_NAMES)
  read.done()
  const sketch = new Sketch()
  sketch.shape(points('22,104 22,150 44,178 100,190 156,178 178,150 178,104'), 'wood', 3)
  for (const x of [50, 84, 118, 150])
    sketch.line(
      [
        [x, 150],
        [x + 2, 178],
      ],
      { width: 1.4, role: 'hatch' },
    )
  sketch.shape(ellipse([100, 96], 80, 64), 'wood', 3)
  toned(sketch, ellipse([100, 96], 70, 55), TONES[tone], 13, 1.6)
  for (const r of [16, 32, 50]) sketch.contour(ellipse([100, 96], r, r * 0.78), 1.2)
  return sketch.picture()
}

/** A peeled twig; ridges: on its wood. */
export function peeled(read: Reader): Picture {
  const ridges = read.word('ridges', RIDGES)
  read.done()
  const sketch = new Sketch()
  sketch.shape(points('64,0 136,0 138,46 128,58 116,46 100,60 84,48 72,58 62,46'), 'brown', 2.4)
  sketch.fill(points('74,50 126,50 126,200 74,200'), 'cream')
  sketch.line(points('74,54 73,120 74,200'), { width: 2.6, start: 0.9, end: 0.9 })
  sketch.line(points('126,54 127,120 126,200'), { width: 3.8, start: 0.9, end: 0.9 })
  const draw = lots(381)
  const count = { none: 0, few: 5, many: 13 }[ridges]
  for (let i = 0; i < count; i++) {
    const x = 82 + ((i * 0.618) % 1) * 38
    const long = ridges === 'many' ? 50 + 70 * draw() : 24 + 12 * draw()
    const y = 66 + (122 - Math.min(long, 118)) * draw()
    const width = ridges === 'many' ? 4 : 3.8
    sketch.line(
      [
        [x, y],
        [x + 1, y + long / 2],
        [x, y + long],
      ],
      { width, start: 0.2, end: 0.2 },
    )
    sketch.line(
      [
        [x - 2, y + 4],
        [x - 1.4, y + long - 4],
      ],
      { width: 1.2, role: 'pale' },
    )
  }
  return sketch.picture()
}
