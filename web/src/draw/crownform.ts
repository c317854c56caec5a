import { cloud } from './cloud'
import { curve, lots, type Point, placed, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { TONE_NAMES, TONES, toned } from './tone'

const FORMS = [
  'round',
  'broken',
  'between',
  'through',
  'upswept',
  'feathery',
  'dome',
  'arching',
  'fan',
  'steep',
  'slender',
  'domed',
  'leaning',
  'narrow',
  'open',
  'pine',
] as const

type Form = (typeof FORMS)[number]

/** Boughs of a bare crown: where each begins on the stem, the share of the way it bends at, and its end. */
type Bough = readonly [from: Point, bend: Point, end: Point, width: number]

const BOUGHS: Readonly<Partial<Record<Form, { stem: string; width: number; boughs: readonly Bough[] }>>> = {
  broken: {
    stem: '98,194 102,150 96,126 104,112',
    width: 13,
    boughs: [
      [[104, 114], [138, 108], [132, 76], 8],
      [[132, 76], [158, 78], [176, 50], 6],
      [[132, 76], [122, 52], [140, 26], 5],
      [[102, 116], [66, 122], [64, 90], 8],
      [[64, 90], [36, 94], [22, 70], 6],
      [[64, 90], [78, 60], [56, 34], 5],
      [[104, 112], [88, 84], [100, 46], 6],
      [[150, 78], [182, 92], [186, 108], 4],
      [[44, 92], [20, 108], [14, 122], 4],
    ],
  },
  between: {
    stem: '98,194 101,150 98,110 102,74',
    width: 12,
    boughs: [
      [[100, 136], [140, 124], [166, 88], 6],
      [[100, 136], [58, 126], [36, 92], 6],
      [[100, 108], [136, 100], [150, 56], 6],
      [[100, 108], [66, 96], [52, 56], 6],
      [[102, 78], [120, 58], [112, 22], 5],
      [[102, 78], [82, 56], [88, 24], 5],
    ],
  },
  through: {
    stem: '98,194 100,120 100,14',
    width: 12,
    boughs: [0, 1, 2, 3, 4].flatMap((i): Bough[] => {
      const y = 140 - i * 25
      const reach = 66 - i * 9
      return [1, -1].map(
        (side): Bough => [
          [100, y],
          [100 + side * reach * 0.5, y - 26],
          [100 + side * reach, y - 54 + i * 4],
          5 - i * 0.5,
        ],
      )
    }),
  },
  upswept: {
    stem: '98,194 100,110 100,22',
    width: 10,
    boughs: [0, 1, 2, 3].flatMap((i): Bough[] => {
      const y = 146 - i * 30
      const reach = 70 - i * 12
      return [1, -1].map(
        (side): Bough => [
          [100, y],
          [100 + side * reach * 0.8, y - 4],
          [100 + side * reach, y - 44],
          6 - i * 0.6,
        ],
      )
    }),
  },
  fan: {
    stem: '98,194 100,150 100,120',
    width: 11,
    boughs: [-3, -2, -1, 0, 1, 2, 3].map(
      (i): Bough => [[100, 138 - Math.abs(i) * 2], [100 + i * 14, 92], [100 + i * 27, 30 + i * i * 3], 6],
    ),
  },
  steep: {
    stem: '98,194 100,100 100,8',
    width: 9,
    boughs: [0, 1, 2, 3, 4, 5, 6].flatMap((i): Bough[] => {
      const y = 164 - i * 20
      return [1, -1].map(
        (side): Bough => [
          [100, y],
          [100 + side * 15, y - 24],
          [100 + side * (24 - i * 1.6), y - 62 + i * 3],
          3.4,
        ],
      )
    }),
  },
  arching: {
    stem: '70,194 84,150 100,116 106,84',
    width: 15,
    boughs: [
      [[100, 118], [160, 68], [184, 134], 8],
      [[184, 134], [190, 146], [198, 132], 4],
      [[96, 124], [40, 76], [20, 140], 8],
      [[20, 140], [14, 152], [4, 138], 4],
      [[106, 90], [140, 24], [172, 78], 7],
      [[172, 78], [180, 90], [190, 74], 4],
      [[104, 92], [66, 26], [40, 74], 7],
      [[40, 74], [34, 84], [22, 70], 4],
      [[106, 84], [110, 44], [104, 16], 6],
    ],
  },
}

/** Outlines of crowns in leaf: the clouds that they are made of, each with its centre and its two reaches, and the stem. */
const CLOUDS: Readonly<Partial<Record<Form, { stem: string; width: number; clouds: string }>>> = {
  round: { stem: '98,194 100,110', width: 10, clouds: '100,92,66,66' },
  dome: { stem: '98,194 100,140', width: 10, clouds: '100,104,84,56 60,122,40,36 140,122,40,36' },
  feathery: { stem: '98,194 100,110', width: 9, clouds: '' },
  slender: { stem: '99,194 100,60', width: 6, clouds: '100,36,18,26 92,66,22,20 110,84,20,20 94,104,18,18' },
  domed: {
    stem: '97,194 100,110',
    width: 16,
    clouds: '100,46,38,34 58,72,40,32 144,72,40,32 34,106,32,26 168,106,32,26 80,104,40,30 124,108,42,30',
  },
  leaning: {
    stem: '66,194 88,150 120,116',
    width: 13,
    clouds: '136,72,50,34 172,98,26,24 92,100,30,24 60,124,28,18 128,116,36,22',
  },
  narrow: { stem: '98,194 100,130', width: 8, clouds: '100,92,30,84' },
  open: {
    stem: '98,194 100,120',
    width: 8,
    clouds: '60,64,26,18 112,40,28,18 148,76,28,18 48,106,26,16 98,84,20,14 138,118,30,16 84,128,22,13',
  },
  pine: {
    stem: '97,194 102,120 99,60',
    width: 10,
    clouds: '104,34,40,22 62,62,36,18 146,66,38,18 54,98,30,14 150,104,30,14 100,82,34,16',
  },
}

/** A tree from afar. form: how its stem, boughs and outline run; tone: of the whole crown, where that is what is read. */
export function crown(read: Reader): Picture {
  const form = read.word('form', FORMS)
  const tone = read.word('tone', TONE_NAMES)
  read.done()
  const sketch = new Sketch()
  const draw = lots(701)
  sketch.line(curve(points('10,195 90,193 190,196'), 4), { width: 1.8 })
  const bare = BOUGHS[form]
  const leafy = CLOUDS[form]
  if (bare) {
    if (tone !== 'plain') toned(sketch, cloud([100, 88], 76, 74, draw), TONES[tone], 13, 2)
    sketch.line(curve(points(bare.stem), 6), { width: bare.width, start: 1, end: 0.6 })
    for (const [from, bend, end, width] of bare.boughs) {
      const line = curve([from, bend, end], 6)
      sketch.line(line, { width, start: 1, end: 0.35 })
      for (const [i, { at, along }] of placesOn(line, 6).slice(2).entries()) {
        const angle = Math.atan2(along[0], -along[1]) + (i % 2 === 0 ? 0.7 : -0.7)
        const long = form === 'steep' ? 11 : 17
        sketch.line([at, placed([[0, -1]], at, long * (0.7 + 0.5 * draw()), angle)[0] ?? at], {
          width: form === 'upswept' ? 3.4 : 1.5,
          start: 1,
          end: form === 'upswept' ? 0.9 : 0.4,
        })
      }
    }
    if (form === 'broken')
      for (const [x, y] of points('176,48 140,24 22,68 56,32 100,44'))
        sketch.shape(cloud([x, y], 17, 11, draw), 'leaf', 1.6)
  } else if (leafy) {
    sketch.line(curve(points(leafy.stem), 6), { width: leafy.width, start: 1, end: 0.6 })
    if (form === 'feathery') feathery(sketch, draw)
    for (const one of leafy.clouds.split(' ').filter(Boolean)) {
      const [x = 100, y = 100, wide = 40, tall = 40] = one.split(',').map(Number)
      if (form !== 'round' && form !== 'dome' && form !== 'narrow')
        sketch.line(
          [
            [100, 160],
            [(100 + x) / 2, (150 + y) / 2],
            [x, y],
          ],
          { width: 3.4, start: 1, end: 0.5 },
        )
      const line = cloud([x, y], wide, tall, draw)
      if (tone === 'plain') {
        sketch.shape(line, 'fresh', 2.2)
        shade(sketch, [x, y], wide, tall, draw)
      } else toned(sketch, line, TONES[tone], 15, 2.2)
    }
  }
  return sketch.picture()
}

/** The side that turns from the light. */
function shade(sketch: Sketch, [x, y]: Point, wide: number, tall: number, draw: () => number): void {
  for (let i = 0; i < (wide * tall) / 110; i++) {
    const angle = -0.3 + 2 * draw()
    const reach = 0.55 + 0.35 * draw()
    const at: Point = [x + wide * reach * Math.cos(angle), y + tall * reach * Math.sin(angle)]
    sketch.line([at, [at[0] + 4, at[1] - 3], [at[0] + 7, at[1] - 1]], { width: 1.3 })
  }
}

function feathery(sketch: Sketch, draw: () => number): void {
  for (let i = 0; i < 11; i++) {
    const side = i % 2 === 0 ? 1 : -1
    const y = 150 - i * 10.5
    const reach = 70 * Math.sin(0.5 + (i / 10) * 2.1)
    const line = curve(
      [
        [100, y],
        [100 + side * reach * 0.5, y - 22],
        [100 + side * reach, y - 30],
      ],
      4,
    )
    sketch.line(line, { width: 3 - i * 0.12, start: 1, end: 0.3 })
    for (const { at } of placesOn(line, 7).slice(1))
      for (const lean of [-0.8, 0, 0.8])
        sketch.line(
          [
            at,
            [
              at[0] + 12 * Math.sin(lean * side) * (0.6 + draw()),
              at[1] - 11 * Math.cos(lean) * (0.5 + draw()),
            ],
          ],
          { width: 1, start: 1, end: 0.4 },
        )
  }
}
