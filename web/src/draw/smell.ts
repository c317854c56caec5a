import { beside, curve, type Point, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { AXIS, drawTwig } from './twig'

const OF = ['twig', 'needles'] as const
const SCENT = ['none', 'almond', 'rank', 'orange', 'resin'] as const

/**
 * What was scratched or crushed and what rises from it; of: a scratched twig or crushed needles; scent: of bitter almond,
 * rank, of orange, of resin, or nothing to speak of.
 */
export function smell(read: Reader): Picture {
  const of = read.word('of', OF)
  const scent = read.word('scent', SCENT)
  read.done()
  const sketch = new Sketch()
  if (of === 'needles') crushedNeedles(sketch)
  else {
    drawTwig(sketch, 26)
    scratch(sketch, 'cream')
  }
  if (scent === 'almond') almond(sketch)
  if (scent === 'orange') orange(sketch)
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

/** Thin wavy lines that rise from some places. */
function waft(sketch: Sketch, from: string): void {
  for (const [x, y] of points(from)) {
    const line: readonly Point[] = [
      [x, y],
      [x - 5, y - 9],
      [x + 2, y - 17],
      [x - 3, y - 26],
    ]
    sketch.line(curve(line, 5), { width: 1.8 })
  }
}
