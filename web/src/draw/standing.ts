import { cloud } from './cloud'
import { curve, lots, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

const PLACES = ['old-water', 'rows', 'other'] as const
const RISING = ['single', 'swept', 'several'] as const

/** Where a tree stands; place: by old water, pollarded or alone; in rows of one age; or on waste ground. */
export function stand(read: Reader): Picture {
  const place = read.word('place', PLACES)
  read.done()
  const sketch = new Sketch()
  const draw = lots(711)
  if (place === 'old-water') {
    sketch.shape(curve(points('0,164 60,150 140,152 200,160 200,200 0,200 0,164'), 1), 'water', 2.4)
    for (const y of [172, 184])
      sketch.line(
        curve(
          [
            [20, y],
            [60, y - 3],
            [104, y + 2],
            [150, y - 2],
          ],
          5,
        ),
        { width: 1.4 },
      )
    sketch.line(curve(points('0,152 60,148 200,152'), 5), { width: 2.4 })
    sketch.fill(points('80,152 86,96 76,84 122,82 114,98 122,152'), 'ink')
    for (let i = 0; i < 19; i++) {
      const angle = -1.25 + (2.5 * i) / 18
      sketch.line(
        curve(
          [
            [100 + 18 * Math.sin(angle), 86],
            [100 + 40 * Math.sin(angle), 58],
            [100 + 72 * Math.sin(angle), 62 - 50 * Math.cos(angle)],
          ],
          3,
        ),
        { width: 2.8, start: 1, end: 0.4 },
      )
    }
    for (const x of [14, 24, 34, 170, 182])
      sketch.line(
        [
          [x, 158],
          [x + 2, 142],
          [x + 5, 128],
        ],
        { width: 2, start: 1, end: 0.3 },
      )
  } else if (place === 'rows') {
    sketch.line(curve(points('0,176 100,172 200,178'), 4), { width: 2.2 })
    for (const [row, size] of [0.55, 0.75, 1].entries()) {
      for (let i = -2; i < 3; i++) {
        const x = 100 + i * (36 + 3 * row)
        const y = 130 + row * 24
        sketch.line(
          [
            [x, y],
            [x, y - 50 * size],
          ],
          { width: 5 * size, start: 1, end: 0.8 },
        )
        sketch.shape(cloud([x, y - 72 * size], 13 * size, 44 * size, draw), 'fresh', 1.6)
      }
    }
  } else {
    sketch.line(curve(points('0,168 70,160 120,170 200,158'), 5), { width: 2.4 })
    sketch.shape(points('128,158 128,108 152,88 178,108 178,158'), 'paper', 2.4)
    sketch.line(
      [
        [64, 164],
        [66, 110],
      ],
      { width: 7, start: 1, end: 0.8 },
    )
    sketch.shape(cloud([66, 76], 40, 42, draw), 'fresh', 2.2)
    for (const [x, r] of [
      [18, 16],
      [106, 13],
      [122, 17],
      [190, 14],
    ] as const)
      sketch.shape(cloud([x, 160], r, r * 0.8, draw), 'sage', 1.8)
    for (let x = 8; x < 200; x += 13)
      sketch.line(
        [
          [x, 190],
          [x + 3 * (draw() - 0.5), 178],
        ],
        { width: 1.5, start: 1, end: 0.3 },
      )
  }
  return sketch.picture()
}

/** How a conifer rises; form: one straight stem, one bent like a sabre at its foot, or several from the ground. */
export function risingStem(read: Reader): Picture {
  const form = read.word('form', RISING)
  read.done()
  const sketch = new Sketch()
  const draw = lots(721)
  sketch.line(curve(points('6,193 90,191 194,194'), 4), { width: 2 })
  const lines: Readonly<Record<(typeof RISING)[number], readonly string[]>> = {
    single: ['100,194 100,120 100,20'],
    swept: ['40,192 66,186 92,168 104,130 108,24'],
    several: [
      '92,194 66,160 44,96',
      '98,194 86,140 82,60',
      '106,194 118,140 122,66',
      '112,194 140,166 164,104',
      '88,194 52,180 24,150',
      '114,194 154,184 176,158',
    ],
  }
  for (const line of lines[form]) {
    const stem = curve(points(line), 8)
    sketch.line(stem, { width: form === 'several' ? 7 : 13, start: 1, end: 0.35 })
    for (const { at } of placesOn(stem, form === 'several' ? 4 : 9).slice(form === 'several' ? 2 : 3)) {
      for (const side of [-1, 1]) {
        const reach = (form === 'several' ? 16 : 34) * (0.7 + 0.5 * draw())
        sketch.line([at, [at[0] + side * reach, at[1] - 6]], { width: 2, start: 1, end: 0.5 })
        sketch.shape(
          cloud([at[0] + side * reach, at[1] - 9], form === 'several' ? 11 : 16, 7, draw),
          'green',
          1.4,
        )
      }
    }
    const tip = stem.at(-1) ?? [100, 20]
    sketch.shape(cloud([tip[0], tip[1] - 4], form === 'several' ? 12 : 15, 12, draw), 'green', 1.6)
  }
  return sketch.picture()
}
