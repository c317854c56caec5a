import { beside, curve, type Point, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { AXIS, drawTwig } from './twig'

const OF = ['twig', 'needles', 'bud'] as const
const SCENT = ['none', 'almond', 'rank', 'orange', 'resin', 'faint', 'balsam'] as const

/**
 * What was scratched or crushed and what rises from it; of: a scratched twig, crushed needles or a crushed bud; scent: of bitter almond,
 * rank, of orange, of resin, of balsam, faint, or nothing to speak of.
 */
export function smell(read: Reader): Picture {
  const of = read.word('of', OF)
  const scent = read.word('scent', SCENT)
  read.done()
  const sketch = new Sketch()
  if (of === 'needles') crushedNeedles(sketch)
  else if (of === 'bud') crushedBud(sketch, scent === 'balsam')
  else {
    drawTwig(sketch, 26)
    scratch(sketch, 'cream')
  }
  if (scent === 'almond') almond(sketch)
  if (scent === 'orange') orange(sketch)
  if (scent === 'faint') waft(sketch, '100,86', 2.7)
  if (scent === 'balsam') waft(sketch, '36,92 68,84 100,78 132,84 164,92', 2.4)
  if (scent === 'rank' || scent === 'resin') {
    for (let i = 0; i < 4; i++) {
      const x = 34 + 24 * i
      sketch.line(
        [
          [x + 12, 92 - 8 * i],
          [x, 76 - 8 * i],
          [x + 12, 62 - 8 * i],
          [x, 46 - 8 * i],
          [x + 11, 32 - 8 * i],
        ],
        {
          width: 3,
          start: 0.8,
          end: 0.3,
        },
      )
    }
  }
  return sketch.picture()
}

/** A bud squeezed between finger and thumb; sticky: whether threads of balsam draw out. */
function crushedBud(sketch: Sketch, sticky: boolean): void {
  sketch.shape(curve(points('0,106 40,104 84,110 98,122 84,132 40,134 0,138'), 6), 'paper', 2.6)
  sketch.shape(curve(points('200,106 160,104 116,110 102,122 116,132 160,134 200,138'), 6), 'paper', 2.6)
  sketch.shape(
    curve(points('100,92 114,110 118,132 108,160 100,176 92,160 82,132 86,110 100,92'), 5),
    'brown',
    2.6,
  )
  sketch
    .line(curve(points('88,120 100,106 112,120'), 4), { width: 1.8 })
    .line(curve(points('86,140 100,124 114,140'), 4), { width: 1.8 })
  if (sticky) {
    for (const [x, y] of points('84,116 116,116 92,150 108,148'))
      sketch.shape(
        curve(
          [
            [x, y - 7],
            [x + 6, y + 3],
            [x, y + 9],
            [x - 6, y + 3],
            [x, y - 7],
          ],
          3,
        ),
        'orange',
        1.6,
      )
    for (const y of [112, 126])
      sketch.line(
        curve(
          [
            [72, y],
            [100, y + 8],
            [128, y],
          ],
          4,
        ),
        { width: 3, start: 1, end: 1, role: 'orange' },
      )
  }
}

/** Needles bent and split between finger and thumb. */
function crushedNeedles(sketch: Sketch): void {
  const needles = [
    '70,190 96,160 124,150 168,128',
    '64,168 100,152 118,128 150,108',
    '90,198 120,172 132,146 176,150',
    '78,176 108,170 140,162 186,172',
    '98,190 110,160 138,128 160,90',
  ]
  for (const needle of needles) {
    const line = curve(points(needle), 5)
    sketch.line(line, { width: 10, start: 0.7, end: 0.3 })
    sketch.line(line, { width: 6.5, start: 0.7, end: 0.2, role: 'green' })
  }
  for (const [x, y] of points('118,150 136,142 128,164')) sketch.dot([x, y], 3.4, 'pale')
}

/** Half an orange. */
function orange(sketch: Sketch): void {
  const round = (r: number) =>
    Array.from({ length: 26 }, (_, i): Point => {
      const angle = (i * 2 * Math.PI) / 26
      return [56 + r * Math.cos(angle), 58 + r * Math.sin(angle)]
    })
  sketch.shape(round(44), 'orange', 2.8).shape(round(36), 'cream', 1.4)
  for (let i = 0; i < 8; i++) {
    const angle = (i * Math.PI) / 4 + 0.2
    const at = (r: number, turn: number): Point => [
      56 + r * Math.cos(angle + turn),
      58 + r * Math.sin(angle + turn),
    ]
    sketch.shape(curve([at(5, 0), at(31, -0.3), at(33, 0), at(31, 0.3), at(5, 0)], 3), 'orange', 1.2)
  }
  waft(sketch, '96,96 108,86')
}

/** A patch where the skin is off. */
function scratch(sketch: Sketch, role: 'cream' | 'lemon'): void {
  const places = placesOn(AXIS, 40).slice(17, 26)
  const patch = [
    ...places.map((place, i) => beside(place, 8 - (i % 2) * 2)),
    ...[...places].reverse().map((place, i) => beside(place, -7 + (i % 2) * 2)),
  ]
  sketch.shape(patch, role, 1.8)
  for (const off of [-3, 1, 5]) {
    sketch.line(
      places.slice(1, 8).map((place) => beside(place, off)),
      { width: 0.9, role: 'hatch' },
    )
  }
}

function almond(sketch: Sketch): void {
  const shape = curve(points('46,20 76,34 82,62 62,88 44,92 28,78 24,52 34,30 46,20'), 6)
  sketch.shape(shape, 'wood', 2.8)
  for (const x of [-14, -5, 5, 14]) {
    sketch.line(
      curve(
        [
          [47 + x * 0.2, 26],
          [52 + x * 1.25, 56],
          [50 + x * 0.6, 86],
        ],
        6,
      ),
      { width: 1.3, role: 'ink' },
    )
  }
  waft(sketch, '92,92 101,84 110,76')
}

/** Wavy lines that rise from some places. */
function waft(sketch: Sketch, from: string, size = 1): void {
  for (const [x, y] of points(from)) {
    const line: readonly Point[] = [
      [x, y],
      [x - 5 * size, y - 9 * size],
      [x + 2 * size, y - 17 * size],
      [x - 3 * size, y - 26 * size],
    ]
    sketch.line(curve(line, 5), { width: 1.8 * size })
  }
}
