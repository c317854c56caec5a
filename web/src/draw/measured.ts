import { beside, curve, distance, type Point, placed, placesOn } from './geometry'
import { edgeOf, halfEdge, sideVeins } from './leaf'
import { toothed } from './margin'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'

/** What can be measured or counted. */
export const MEASURED = [
  'leaf-length',
  'leaf-width',
  'leaf-ratio',
  'leaf-stalk',
  'first-tooth',
  'tip-width',
  'teeth-between',
  'vein-pairs',
  'lobe-depth',
  'lobe-count',
  'needle-length',
  'needle-width',
  'needle-mix',
  'pore-rows',
  'bud-length',
  'scale-ratio',
  'cone-length',
  'cone-ratio',
  'cone-scales',
  'cones',
  'fruit-length',
  'fruit-ratio',
  'stones',
  'flowers',
  'wing-ratio',
  'tiers',
  'ridge',
] as const
export type Measured = (typeof MEASURED)[number]

/** A value on the ruler: as it is, and its share of the way from the least to the most that any candidate has, in [0, 1]. */
export type Value = { readonly raw: number; readonly share: number }

type Figure = (sketch: Sketch, value: Value) => void

/**
 * The part with the dimension line drawn on it, so that one sees what to measure, as large as the value says.
 *
 * what: is measured or counted.
 */
export function measured(read: Reader, value: Value): Picture {
  const what = read.word('what', MEASURED)
  read.done()
  const sketch = new Sketch()
  FIGURES[what](sketch, { raw: value.raw, share: Math.min(1.1, Math.max(-0.05, value.share)) })
  return sketch.picture()
}

/** A dimension line from one point to another, with arrows and ticks at its ends. */
function dimension(sketch: Sketch, from: Point, to: Point): void {
  const length = distance(to[0] - from[0], to[1] - from[1]) || 1
  const along: Point = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
  const pen = { width: 2.6, start: 1, end: 1, role: 'measure' } as const
  sketch.line([from, to], pen)
  for (const [at, dir] of [
    [from, 1],
    [to, -1],
  ] as const) {
    const place = { at, along }
    sketch.line([beside(place, 7), beside(place, -7)], pen)
    if (length > 22) {
      sketch.fill([at, beside(place, 4, dir * 9), beside(place, -4, dir * 9)], 'measure')
    }
  }
}

/** A plain leaf from the stalk's foot at 100,y upwards; its size in units. */
function blade(sketch: Sketch, y: number, length: number, ratio: number, veins = 6, stalk = 22): void {
  const shape = { ratio, widest: 0.45, base: 'rounded', tip: 'pointed', margin: 'entire', teeth: 10 } as const
  const onto = (points: readonly Point[]) => placed(points, [100, y], length)
  sketch.shape(onto(edgeOf(shape, 3).filter((_, i) => i % 2 === 0)), 'leaf', 2.4)
  for (const side of [1, -1] as const) {
    for (const vein of sideVeins(halfEdge(shape, side), veins, 0.3, side))
      sketch.line(onto(vein), { width: 1.3, start: 0.9, end: 0.3 })
  }
  sketch.line(
    [
      [100, y + stalk],
      [100, y],
      [100, y - length * 0.96],
    ],
    { width: 3, start: 0.9, end: 0.3 },
  )
}

function leafLength(sketch: Sketch, { share }: Value): void {
  const length = 56 + 106 * share
  blade(sketch, 178, length, 1.6)
  dimension(sketch, [172, 178], [172, 178 - length])
}

function leafWidth(sketch: Sketch, { share }: Value): void {
  const width = 34 + 96 * share
  blade(sketch, 168, 140, 140 / width)
  dimension(sketch, [100 - width / 2, 105], [100 + width / 2, 105])
}

function leafRatio(sketch: Sketch, { raw }: Value): void {
  const ratio = Math.min(5, Math.max(0.7, raw))
  const length = Math.min(140, 130 * ratio)
  blade(sketch, 164, length, ratio)
  dimension(sketch, [184, 164], [184, 164 - length])
  dimension(sketch, [100 - length / ratio / 2, 188], [100 + length / ratio / 2, 188])
}

function leafStalk(sketch: Sketch, { share }: Value): void {
  const stalk = 16 + 70 * share
  blade(sketch, 190 - stalk, 110, 1.6, 6, stalk)
  dimension(sketch, [124, 190], [124, 190 - stalk])
}

/** A toothed leaf's lower part with the part from the stalk to the first tooth. */
function firstTooth(sketch: Sketch, { share }: Value): void {
  const bare = 24 + 62 * share
  const edge = curve(
    [
      [100, 176],
      [100 + bare * 0.5, 166],
      [100 + bare, 150],
    ],
    5,
  )
  const rim = toothed(
    [
      [100 + bare, 150],
      [178, 108],
      [170, 50],
      [150, 8],
    ],
    'single',
    6,
    1,
    5,
  )
  const left: readonly Point[] = [
    [50, 8],
    [30, 50],
    [22, 108],
    [56, 158],
  ]
  sketch.shape([...edge, ...rim, [100, 4], ...left], 'leaf', 2.6)
  for (const y of [140, 104, 68]) {
    for (const side of [-1, 1])
      sketch.line(
        curve(
          [
            [100, y],
            [100 + side * 34, y - 20],
            [100 + side * 62, y - 34],
          ],
          4,
        ),
        { width: 1.6 },
      )
  }
  sketch.line(
    [
      [100, 198],
      [100, 176],
      [100, 8],
    ],
    { width: 4.4, start: 1, end: 0.5 },
  )
  dimension(sketch, [100, 184], [100 + bare, 160])
}

/** The leaf's tip with its width a quarter of the way down. */
function tipWidth(sketch: Sketch, { share }: Value): void {
  const half = 10 + 26 * share
  const right: readonly Point[] = [
    [100, 6],
    [100 + half * 0.5, 34],
    [100 + half, 62],
    [100 + 36 + half * 0.6, 110],
    [176, 160],
    [150, 186],
    [100, 192],
  ]
  const outline = [...curve(right, 6), ...curve(right.map(([x, y]): Point => [200 - x, y]).reverse(), 6)]
  sketch.shape(outline, 'leaf', 2.6)
  for (const y of [170, 134, 98, 66]) {
    for (const side of [-1, 1])
      sketch.line(
        curve(
          [
            [100, y],
            [100 + side * (y * 0.16), y - 14],
            [100 + side * (y * 0.32), y - 22],
          ],
          4,
        ),
        { width: 1.6 },
      )
  }
  sketch.line(
    [
      [100, 198],
      [100, 90],
      [100, 12],
    ],
    { width: 4, start: 1, end: 0.3 },
  )
  dimension(sketch, [100 - half, 62], [100 + half, 62])
}

/** Teeth between the ends of two side veins, numbered by dots. */
function teethBetween(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(9, Math.max(0, Math.round(raw)))
  const points: Point[] = [
    [112, 196],
    [128, 176],
    [116, 168],
  ]
  for (let i = 0; i < count; i++) {
    const y = 164 - ((i + 0.3) * 124) / Math.max(1, count)
    const step = 124 / Math.max(1, count)
    points.push([116, y], [127, y - step * 0.6], [116, y - step * 0.8])
  }
  points.push([116, 40], [130, 22], [114, 12])
  sketch.fill([...points, [6, 12], [6, 196]], 'leaf')
  sketch.line(points, { width: 3.4, start: 0.9, end: 0.9 })
  sketch
    .line(
      curve(
        [
          [6, 206],
          [60, 196],
          [126, 176],
        ],
        5,
      ),
      { width: 3.4 },
    )
    .line(
      curve(
        [
          [6, 60],
          [60, 44],
          [128, 22],
        ],
        5,
      ),
      { width: 3.4 },
    )
  for (let i = 0; i < count; i++) sketch.dot([140, 164 - ((i + 0.9) * 124) / count], 4, 'measure')
  dimension(sketch, [160, 176], [160, 22])
}

function veinPairs(sketch: Sketch, { raw }: Value): void {
  const pairs = Math.min(30, Math.max(1, Math.round(raw)))
  blade(sketch, 178, 160, 1.45, pairs)
  const shape = {
    ratio: 1.45,
    widest: 0.45,
    base: 'rounded',
    tip: 'pointed',
    margin: 'entire',
    teeth: 10,
  } as const
  for (const vein of sideVeins(halfEdge(shape, 1), pairs, 0.3, 1)) {
    const end = placed(vein.slice(-1), [100, 178], 160)[0]
    if (end) sketch.dot([end[0] + 8, end[1] - 2], Math.min(4, 60 / pairs), 'measure')
  }
}

function lobe(sketch: Sketch, depth: number): void {
  const notch = 100 + 70 * (1 - depth)
  const right: readonly Point[] = [
    [100, 186],
    [128, 160],
    [170, 116],
    [notch, 92],
    [158, 58],
    [124, 40],
    [100, 12],
  ]
  const outline = [...right, ...right.map(([x, y]): Point => [200 - x, y]).reverse()]
  sketch.shape(outline, 'leaf', 2.6)
  for (const side of [-1, 1]) {
    sketch
      .line(
        [
          [100, 156],
          [100 + side * 64, 118],
        ],
        { width: 2 },
      )
      .line(
        [
          [100, 106],
          [100 + side * 52, 62],
        ],
        { width: 2 },
      )
  }
  sketch.line(
    [
      [100, 200],
      [100, 100],
      [100, 18],
    ],
    { width: 4, start: 1, end: 0.3 },
  )
}

function lobeDepth(sketch: Sketch, { raw }: Value): void {
  const depth = Math.min(0.95, Math.max(0.03, raw))
  lobe(sketch, depth)
  dimension(sketch, [100 + 70 * (1 - depth), 92], [170, 92])
  dimension(sketch, [100, 196], [170, 196])
}

function lobeCount(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(9, Math.max(1, Math.round(raw)))
  const pairs = (count - 1) / 2
  const right: Point[] = [[100, 188]]
  for (let i = 0; i < pairs; i++) {
    const y = 150 - (i * 116) / (pairs + 0.6)
    right.push([100 + 70 - i * 9, y], [100 + 34 - i * 4, y - 20])
  }
  right.push([116, 40], [100, 12])
  sketch.shape([...right, ...right.map(([x, y]): Point => [200 - x, y]).reverse()], 'leaf', 2.6)
  sketch.line(
    [
      [100, 200],
      [100, 100],
      [100, 18],
    ],
    { width: 4, start: 1, end: 0.3 },
  )
  for (let i = 0; i < pairs; i++) {
    const y = 150 - (i * 116) / (pairs + 0.6)
    for (const side of [-1, 1]) sketch.dot([100 + side * (80 - i * 9), y], 4.5, 'measure')
  }
  sketch.dot([100, 4.5], 4.5, 'measure')
}

function needleBlade(sketch: Sketch, [x, y]: Point, length: number, width: number): void {
  sketch.shape(
    curve(
      [
        [x, y],
        [x + width / 2, y - 10],
        [x + width / 2, y - length + 12],
        [x, y - length],
        [x - width / 2, y - length + 12],
        [x - width / 2, y - 10],
        [x, y],
      ],
      4,
    ),
    'green',
    2.2,
  )
  sketch.line(
    [
      [x, y - 4],
      [x, y - length + 8],
    ],
    { width: 1.3 },
  )
}

function needleLength(sketch: Sketch, { share }: Value): void {
  const length = 46 + 130 * share
  needleBlade(sketch, [86, 190], length, 17)
  dimension(sketch, [128, 190], [128, 190 - length])
}

function needleWidth(sketch: Sketch, { share }: Value): void {
  const width = 22 + 80 * share
  sketch.shape(
    [
      [100 - width / 2, 10],
      [100 + width / 2, 10],
      [100 + width / 2, 190],
      [100 - width / 2, 190],
    ],
    'green',
    2.6,
  )
  sketch.line(
    [
      [100, 14],
      [100, 186],
    ],
    { width: 2.4, start: 1, end: 1 },
  )
  dimension(sketch, [100 - width / 2, 100], [100 + width / 2, 100])
}

function needleMix(sketch: Sketch, { raw }: Value): void {
  const short = 150 / Math.min(4, Math.max(1, raw))
  sketch.line(
    [
      [4, 192],
      [196, 192],
    ],
    { width: 9, start: 1, end: 1 },
  )
  for (const [x, length] of [
    [36, 118],
    [68, 150],
    [110, short],
    [142, 132],
  ] as const)
    needleBlade(sketch, [x, 190], length, 12)
  dimension(sketch, [84, 190], [84, 40])
  dimension(sketch, [124, 190], [124, 190 - short])
}

function poreRows(sketch: Sketch, { raw }: Value): void {
  const rows = Math.min(9, Math.max(0, Math.round(raw)))
  sketch.shape(
    [
      [30, 6],
      [170, 6],
      [170, 194],
      [30, 194],
    ],
    'green',
    2.6,
  )
  sketch.fill(
    [
      [56, 6],
      [144, 6],
      [144, 194],
      [56, 194],
    ],
    'bloom',
  )
  for (let i = 0; i < rows; i++) {
    const x = 100 + ((i + 0.5) / rows - 0.5) * 84
    for (let y = 30; y < 190; y += 17) sketch.dot([x, y], 3.4, 'ink').dot([x, y], 1.6, 'pale')
    sketch.dot([x, 14], 4, 'measure')
  }
}

function budShape(sketch: Sketch, bottom: number, length: number, width: number): void {
  sketch.fill(
    [
      [100 - width * 0.3, 200],
      [100 - width * 0.3, bottom],
      [100 + width * 0.3, bottom],
      [100 + width * 0.3, 200],
    ],
    'wood',
  )
  sketch
    .line(
      [
        [100 - width * 0.3, 200],
        [100 - width * 0.3, bottom],
      ],
      { width: 2.2 },
    )
    .line(
      [
        [100 + width * 0.3, 200],
        [100 + width * 0.3, bottom],
      ],
      { width: 3 },
    )
  sketch.shape(
    curve(
      [
        [100, bottom - length],
        [100 + width / 2, bottom - length * 0.5],
        [100 + width * 0.36, bottom],
        [100 - width * 0.36, bottom],
        [100 - width / 2, bottom - length * 0.5],
        [100, bottom - length],
      ],
      6,
    ),
    'wood',
    2.6,
  )
}

function budLength(sketch: Sketch, { share }: Value): void {
  const length = 42 + 116 * share
  budShape(sketch, 180, length, 34 + length * 0.2)
  dimension(sketch, [154, 180], [154, 180 - length])
}

function scaleRatio(sketch: Sketch, { raw }: Value): void {
  const part = Math.min(1, Math.max(0.05, raw))
  budShape(sketch, 176, 150, 66)
  sketch.shape(
    curve(
      [
        [72, 172],
        [70, 176 - 75 * part],
        [90, 176 - 150 * part],
        [106, 176 - 70 * part],
        [104, 176],
        [72, 172],
      ],
      5,
    ),
    'orange',
    2.4,
  )
  dimension(sketch, [164, 176], [164, 26])
  dimension(sketch, [44, 176], [44, 176 - 150 * part])
}

function coneShape(sketch: Sketch, bottom: number, length: number, width: number, rows: number): void {
  sketch.line(
    [
      [100, Math.min(199, bottom + 16)],
      [100, bottom - 4],
    ],
    { width: 7, start: 1, end: 1 },
  )
  sketch.shape(ellipse([100, bottom - length / 2], width / 2, length / 2, 44), 'brown', 2.6)
  for (let i = 0; i < rows; i++) {
    const t = (i + 0.7) / rows
    const half = (width / 2) * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)) * 0.96
    const y = bottom - length * (1 - t)
    const scallops = Array.from(
      { length: 7 },
      (_, k): Point => [100 - half + (2 * half * k) / 6, y + (k % 2 ? 5 : -2)],
    )
    sketch.line(curve(scallops, 3), { width: 2 })
  }
}

function coneLength(sketch: Sketch, { share }: Value): void {
  const length = 50 + 118 * share
  coneShape(sketch, 184, length, 44 + length * 0.24, 6)
  dimension(sketch, [166, 184], [166, 184 - length])
}

function coneRatio(sketch: Sketch, { raw }: Value): void {
  const ratio = Math.min(3, Math.max(0.6, raw))
  const length = Math.min(150, 104 * ratio)
  const width = length / ratio
  coneShape(sketch, 168, length, width, 6)
  dimension(sketch, [100 + width / 2 + 16, 168], [100 + width / 2 + 16, 168 - length])
  dimension(sketch, [100 - width / 2, 190], [100 + width / 2, 190])
}

function coneScales(sketch: Sketch, { share }: Value): void {
  const rows = Math.round(3 + 6 * share)
  coneShape(sketch, 178, 156, 96, rows)
  for (let i = 0; i < rows; i++) sketch.dot([162, 22 + (156 * (i + 0.7)) / rows], 4, 'measure')
}

function cones(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(8, Math.max(1, Math.round(raw)))
  const axis = curve(
    [
      [6, 20],
      [70, 34],
      [130, 52],
      [190, 60],
    ],
    8,
  )
  sketch.line(axis, { width: 5, start: 1, end: 0.7 })
  for (const [i, place] of placesOn(axis, count + 2)
    .slice(1, -1)
    .entries()) {
    const at: Point = [place.at[0], place.at[1] + 52 + (i % 2) * 40]
    sketch.line([place.at, at], { width: 3 })
    sketch.shape(ellipse([at[0], at[1] + 18], Math.min(17, 90 / count), 22, 24), 'brown', 2.2)
    sketch.dot([at[0], at[1] + 50], 4, 'measure')
  }
}

function fruitLength(sketch: Sketch, { share }: Value): void {
  const length = 52 + 100 * share
  sketch.line(
    [
      [100, 198],
      [100, 178],
    ],
    { width: 5, start: 1, end: 1 },
  )
  sketch.shape(ellipse([100, 180 - length / 2], length * 0.43, length / 2, 44), 'wood', 2.6)
  dimension(sketch, [170, 180], [170, 180 - length])
}

function fruitRatio(sketch: Sketch, { raw }: Value): void {
  const ratio = Math.min(2, Math.max(0.5, raw))
  const length = Math.min(140, 118 * Math.sqrt(ratio))
  const width = length / ratio
  sketch.line(
    [
      [100, 198],
      [100, 164],
    ],
    { width: 5, start: 1, end: 1 },
  )
  sketch.shape(ellipse([100, 166 - length / 2], width / 2, length / 2, 44), 'red', 2.6)
  sketch.shape(
    [
      [88, 170 - length],
      [94, 160 - length],
      [100, 168 - length],
      [106, 160 - length],
      [112, 170 - length],
    ],
    'wood',
    2,
  )
  dimension(sketch, [100 + width / 2 + 16, 166], [100 + width / 2 + 16, 166 - length])
  dimension(sketch, [100 - width / 2, 186], [100 + width / 2, 186])
}

function stones(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(5, Math.max(1, Math.round(raw)))
  sketch.shape(ellipse([100, 100], 84, 84, 48), 'red', 2.8)
  sketch.shape(ellipse([100, 100], 74, 74, 48), 'cream', 1.4)
  for (let i = 0; i < count; i++) {
    const angle = (i * 2 * Math.PI) / count - Math.PI / 2
    const reach = count === 1 ? 0 : 36
    const at: Point = [100 + reach * Math.cos(angle), 100 + reach * Math.sin(angle)]
    sketch.shape(ellipse(at, 24, 24, 24), 'wood', 2.4).dot(at, 5, 'measure')
  }
}

function flowers(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(26, Math.max(1, Math.round(raw)))
  sketch.line(
    [
      [100, 198],
      [100, 132],
    ],
    { width: 5, start: 1, end: 0.8 },
  )
  for (let i = 0; i < count; i++) {
    const angle = i * 2.39996
    const reach = 74 * Math.sqrt((i + 0.4) / Math.max(6, count))
    const at: Point = [100 + reach * Math.cos(angle), 78 + reach * 0.86 * Math.sin(angle)]
    sketch.line([[100, 134], at], { width: 1.2 })
  }
  for (let i = 0; i < count; i++) {
    const angle = i * 2.39996
    const reach = 74 * Math.sqrt((i + 0.4) / Math.max(6, count))
    const at: Point = [100 + reach * Math.cos(angle), 78 + reach * 0.86 * Math.sin(angle)]
    sketch.shape(ellipse(at, 10, 10, 12), 'paper', 1.6).dot(at, 3, 'measure')
  }
}

function wingRatio(sketch: Sketch, { raw }: Value): void {
  const wing = 30 * Math.min(2.6, Math.max(0.3, raw))
  for (const side of [-1, 1]) {
    const x = (v: number) => 100 + side * v
    sketch.shape(
      curve(
        [
          [x(12), 56],
          [x(15 + wing * 0.7), 44],
          [x(15 + wing), 92],
          [x(15 + wing * 0.7), 136],
          [x(12), 128],
        ],
        5,
      ),
      'cream',
      2,
    )
    for (const y of [66, 92, 118])
      sketch.line(
        [
          [x(14), y],
          [x(12 + wing * 0.8), y - 4],
        ],
        { width: 0.9, role: 'hatch' },
      )
  }
  sketch.shape(ellipse([100, 94], 15, 46, 30), 'wood', 2.6)
  sketch
    .line(
      [
        [96, 48],
        [92, 34],
      ],
      { width: 2 },
    )
    .line(
      [
        [104, 48],
        [108, 34],
      ],
      { width: 2 },
    )
  dimension(sketch, [115, 158], [115 + wing, 158])
  dimension(sketch, [85, 178], [115, 178])
}

function tiers(sketch: Sketch, { share }: Value): void {
  const gap = 34 + 78 * share
  sketch.fill(
    [
      [93, 200],
      [97, 6],
      [103, 6],
      [107, 200],
    ],
    'ink',
  )
  for (const y of [174, 174 - gap]) {
    for (const side of [-1, 1]) {
      sketch.line(
        curve(
          [
            [100, y],
            [100 + side * 36, y + 3],
            [100 + side * 64, y - 6],
          ],
          4,
        ),
        { width: 5, start: 1, end: 0.4 },
      )
      for (const x of [26, 44])
        sketch.line(
          [
            [100 + side * x, y + 1],
            [100 + side * (x + 8), y - 9],
          ],
          { width: 2 },
        )
    }
  }
  dimension(sketch, [182, 174], [182, 174 - gap])
}

function ridge(sketch: Sketch, { share }: Value): void {
  const length = 22 + 132 * share
  sketch.fill(
    [
      [66, 4],
      [134, 4],
      [134, 196],
      [66, 196],
    ],
    'cream',
  )
  sketch
    .line(
      [
        [66, 4],
        [66, 196],
      ],
      { width: 2.6, start: 1, end: 1 },
    )
    .line(
      [
        [134, 4],
        [134, 196],
      ],
      { width: 4, start: 1, end: 1 },
    )
  sketch.line(
    [
      [100, 100 - length / 2],
      [101, 100],
      [100, 100 + length / 2],
    ],
    { width: 7, start: 0.2, end: 0.2 },
  )
  for (const [x, y] of [
    [80, 40],
    [118, 130],
    [84, 150],
  ] as const)
    sketch.line(
      [
        [x, y],
        [x, y + 18],
      ],
      { width: 4, start: 0.2, end: 0.2 },
    )
  dimension(sketch, [162, 100 - length / 2], [162, 100 + length / 2])
}

const FIGURES: Readonly<Record<Measured, Figure>> = {
  'leaf-length': leafLength,
  'leaf-width': leafWidth,
  'leaf-ratio': leafRatio,
  'leaf-stalk': leafStalk,
  'first-tooth': firstTooth,
  'tip-width': tipWidth,
  'teeth-between': teethBetween,
  'vein-pairs': veinPairs,
  'lobe-depth': lobeDepth,
  'lobe-count': lobeCount,
  'needle-length': needleLength,
  'needle-width': needleWidth,
  'needle-mix': needleMix,
  'pore-rows': poreRows,
  'bud-length': budLength,
  'scale-ratio': scaleRatio,
  'cone-length': coneLength,
  'cone-ratio': coneRatio,
  'cone-scales': coneScales,
  cones,
  'fruit-length': fruitLength,
  'fruit-ratio': fruitRatio,
  stones,
  flowers,
  'wing-ratio': wingRatio,
  tiers,
  ridge,
}
