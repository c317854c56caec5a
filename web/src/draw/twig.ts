import { beside, curve, lots, type Point, placesOn, points } from './geometry'
import { hairsOn } from './leaf'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { TONE_NAMES, TONES, type Tone, toned } from './tone'

const AMOUNT = ['none', 'few', 'dense'] as const
const BEARS = ['buds', 'discs', 'spurs', 'pegs'] as const
const FELT = ['none', 'patches', 'all'] as const
const BLOOM = ['none', 'thin', 'clear'] as const

/** The middle line of a twig that lies across the picture, from its foot to its tip. */
export const AXIS = curve(points('16,186 70,128 120,84 186,18'), 10)

/** A piece of twig across the picture, thinner to its end, with its two edges. */
function twigBody(width: number): { left: Point[]; right: Point[] } {
  const places = placesOn(AXIS, 40)
  const half = (i: number) => (width / 2) * (1 - (0.3 * i) / 39)
  return {
    left: places.map((place, i) => beside(place, half(i))),
    right: places.map((place, i) => beside(place, -half(i))),
  }
}

/**
 * A bare twig into the picture, with two buds, the round scars of fallen needles, or the spurs that bear tufts of them; its
 * two edges.
 */
export function drawTwig(
  sketch: Sketch,
  width: number,
  tone: Tone = TONES.plain,
  bears: (typeof BEARS)[number] = 'buds',
): { left: Point[]; right: Point[] } {
  const body = twigBody(width)
  toned(sketch, [...body.left, ...[...body.right].reverse()], tone, 12, 0.6)
  const sides = [
    [14, 1],
    [29, -1],
  ] as const
  if (bears === 'discs') discs(sketch, width, tone)
  else if (bears === 'pegs') pegs(sketch, width)
  else for (const [place, side] of sides) (bears === 'buds' ? bud : spur)(sketch, width, place, side)
  sketch
    .line(body.left, { width: 2.2, start: 0.8, end: 0.7 })
    .line(body.right, { width: 3.4, start: 0.8, end: 0.7 })
  return body
}

/** Round flat scars of fallen needles, in rising rows. */
function discs(sketch: Sketch, width: number, tone: Tone): void {
  for (const [i, place] of placesOn(AXIS, 16).slice(1, -1).entries()) {
    const at = beside(place, (((i * 0.382) % 1) - 0.5) * width * 0.68)
    sketch.dot(at, 3.8).dot(at, 2.5, tone.role)
  }
}

/** Pegs of wood on which needles stood, rough to the finger. */
function pegs(sketch: Sketch, width: number): void {
  for (const [i, place] of placesOn(AXIS, 15).slice(1, -1).entries()) {
    for (const side of [-1, 1]) {
      const edge = side * width * (0.46 - 0.012 * i)
      sketch.shape(
        [
          beside(place, edge * 0.8, -6),
          beside(place, edge + side * 13, 6),
          beside(place, edge + side * 12, 13),
          beside(place, edge * 0.8, 5),
        ],
        'brown',
        1.8,
      )
    }
    sketch.shape([beside(place, -5, -2), beside(place, 1, 12), beside(place, 6, 0)], 'brown', 1.6)
  }
}

/** Felt in patches towards the tip, or along most of the length. */
function felted(sketch: Sketch, width: number, all: boolean): void {
  const places = placesOn(AXIS, 40)
  const runs = all
    ? [[1, 39]]
    : [
        [9, 14],
        [22, 27],
        [32, 39],
      ]
  const draw = lots(435)
  for (const [from = 0, to = 0] of runs) {
    const run = places.slice(from, to)
    const half = (i: number) => width * (0.5 - (0.14 * (from + i)) / 39)
    sketch.shape(
      [
        ...run.map((place, i) => beside(place, half(i))),
        ...[...run].map((place, i) => beside(place, -half(i))).reverse(),
      ],
      'pale',
      1.4,
    )
    for (const [i, place] of run.entries())
      for (let k = 0; k < (all ? 1 : 3); k++) {
        const [x, y] = beside(place, (draw() - 0.5) * 1.9 * half(i))
        sketch.line(
          [
            [x - 4, y + 1],
            [x, y - 4],
            [x + 5, y],
            [x + 1, y + 3],
          ],
          { width: 1.2 },
        )
      }
  }
}

/** A short stout side shoot, ringed by its years, with a bud on top. */
function spur(sketch: Sketch, width: number, place: number, side: 1 | -1): void {
  const at = placesOn(AXIS, 40)[place]
  if (!at) return
  const edge = width * 0.4 * side
  const out = (reach: number, along: number) => beside(at, edge + reach * side, along)
  sketch.shape([out(-2, -10), out(16, -8), out(18, 8), out(-2, 10)], 'wood', 2)
  for (const reach of [5, 11]) sketch.line([out(reach, -8), out(reach + 1, 0), out(reach, 8)], { width: 1.4 })
  sketch.shape(curve([out(16, -6), out(25, -4), out(27, 2), out(18, 7)], 4), 'brown', 1.8)
}

/** A pointed bud on its leaf scar, by turns on one side and the other. */
function bud(sketch: Sketch, width: number, place: number, side: 1 | -1): void {
  const at = placesOn(AXIS, 40)[place]
  if (!at) return
  const edge = width * 0.42 * side
  const shape = curve(
    [
      beside(at, edge, -9),
      beside(at, edge + 13 * side, 2),
      beside(at, edge + 13 * side, 22),
      beside(at, edge + 5 * side, 18),
      beside(at, edge, 10),
    ],
    4,
  )
  sketch.shape(shape, 'wood', 2)
  sketch.line(
    curve(
      [beside(at, edge + 12 * side, 4), beside(at, edge + 6 * side, 8), beside(at, edge + 10 * side, 17)],
      4,
    ),
    { width: 1.2 },
  )
}

/**
 * A one-year twig, large.
 *
 * bears: buds, round needle scars, spurs or pegs; warts: resin warts on its surface; hairs: that stand off it; finger: whether a fingertip rubs along it; tone: its colour;
 * dashes: whether it bears many pale ones; bloom: a waxy film, wiped off in one place where it is clear; thorns: on its
 * sides; spine: whether it ends in one; feltOn: white felt in patches or all along.
 */
export function twig(read: Reader): Picture {
  const bears = read.word('bears', BEARS)
  const warts = read.word('warts', AMOUNT)
  const hairs = read.word('hairs', AMOUNT)
  const finger = read.flag('finger')
  const tone = read.word('tone', TONE_NAMES)
  const dashes = read.flag('dashes')
  const bloom = read.word('bloom', BLOOM)
  const thorns = read.word('thorns', AMOUNT)
  const spine = read.flag('spine')
  const felt = read.word('feltOn', FELT)
  read.done()
  const width = thorns === 'none' && !spine ? 34 : 20
  const sketch = new Sketch()
  if (thorns !== 'none') thorn(sketch, width, thorns === 'dense' ? [4, 9, 14, 19, 24, 29, 34] : [14])
  const { left, right } = drawTwig(sketch, width, TONES[tone], bears)
  if (felt !== 'none') felted(sketch, width, felt === 'all')
  if (hairs !== 'none') hair(sketch, left, right, hairs === 'dense')
  if (warts !== 'none') wart(sketch, width, warts === 'dense' ? 58 : 20)
  if (warts === 'none' && hairs === 'none' && felt === 'none' && tone === 'plain' && !dashes)
    sheen(sketch, width)
  if (dashes) paleDashes(sketch, width)
  if (bloom !== 'none') waxed(sketch, width, bloom === 'clear')
  if (spine) sketch.shape(points('178,36 190,14 196,4 184,12 168,26'), 'dark', 2)
  if (finger) fingertip(sketch)
  return sketch.picture()
}

/** Straight thorns from the sides, by turns. */
function thorn(sketch: Sketch, width: number, at: readonly number[]): void {
  const places = placesOn(AXIS, 40)
  for (const [i, n] of at.entries()) {
    const place = places[n]
    const side = i % 2 === 0 ? 1 : -1
    if (place) {
      sketch.shape(
        [
          beside(place, (side * width) / 2 - side * 3, -5),
          beside(place, side * (width / 2 + 36), 8),
          beside(place, (side * width) / 2 - side * 3, 6),
        ],
        'wood',
        2,
      )
    }
  }
}

function paleDashes(sketch: Sketch, width: number): void {
  const draw = lots(431)
  const places = placesOn(AXIS, 34)
  for (const [i, place] of places.entries()) {
    const off = (((i * 0.618) % 1) - 0.5) * width * 0.7
    sketch.line([beside(place, off, -4), beside(place, off, 0), beside(place, off + draw(), 5)], {
      width: 3,
      start: 0.6,
      end: 0.6,
      role: 'pale',
    })
  }
}

/** A film of wax: here and there, or all over but for a place where it was wiped off. */
function waxed(sketch: Sketch, width: number, clear: boolean): void {
  const places = placesOn(AXIS, 40)
  const runs = clear
    ? [
        [1, 17],
        [24, 39],
      ]
    : [
        [6, 11],
        [26, 29],
      ]
  for (const [from = 0, to = 0] of runs) {
    const run = places.slice(from, to)
    const film = [
      ...run.map((place, i) => beside(place, width * 0.44 - (i % 3))),
      ...[...run].reverse().map((place, i) => beside(place, -width * 0.4 + (i % 3))),
    ]
    sketch.fill(film, 'bloom')
    for (const [i, place] of run.entries())
      if (i % 2 === 0) sketch.dot(beside(place, (i % 5) * 4 - 8), 1, 'hatch')
  }
}

function hair(sketch: Sketch, left: readonly Point[], right: readonly Point[], dense: boolean): void {
  hairsOn(sketch, left, dense ? 29 : 8, dense ? 12 : 9, 51)
  hairsOn(sketch, right, dense ? 29 : 8, dense ? 12 : 9, 52)
  const draw = lots(53)
  const places = placesOn(AXIS, dense ? 36 : 6)
  for (const place of places) {
    const off = 26 * (draw() - 0.5)
    sketch.line([beside(place, off), beside(place, off + 2, 6), beside(place, off + 3, 10)], {
      width: 1,
      start: 1,
      end: 0.3,
    })
  }
}

/** Warts as a lens shows them: domes that stand off the edge and lie on the face. */
function wart(sketch: Sketch, width: number, count: number): void {
  const draw = lots(61)
  const places = placesOn(AXIS, count)
  places.forEach((place, i) => {
    const share = ((i * 0.618) % 1) * 2 - 1
    const radius = 2.6 + 1.6 * draw()
    const at = beside(place, share * width * 0.47 * (1 - 0.2 * (i / count)), 4 * (draw() - 0.5))
    sketch.dot(at, radius + 1.4, 'ink').dot([at[0] - 0.6, at[1] - 0.8], radius * 0.7, 'pale')
  })
}

/** Long fine lines on a smooth twig. */
function sheen(sketch: Sketch, width: number): void {
  const places = placesOn(AXIS, 30)
  for (const [share, from, to] of [
    [-0.25, 3, 15],
    [-0.3, 19, 27],
    [0.12, 8, 12],
  ] as const) {
    sketch.line(
      places.slice(from, to).map((place) => beside(place, share * width)),
      { width: 1.1, role: 'hatch' },
    )
  }
}

/** A fingertip that comes from the lower right on to the twig. */
function fingertip(sketch: Sketch): void {
  const shape = curve(points('196,196 176,150 150,118 124,104 104,108 100,126 116,146 138,172 150,200'), 6)
  sketch.shape([...shape, [196, 200]], 'paper', 2.6)
  sketch.line(curve(points('106,112 113,106 124,108'), 5), { width: 2 })
  sketch.line(curve(points('103,118 112,122 121,113 123,107'), 5), { width: 1.4 })
  for (const [x, y] of points('140,140 147,149 154,159')) {
    sketch.line(
      [
        [x - 6, y + 4],
        [x + 6, y - 4],
      ],
      { width: 1, role: 'hatch' },
    )
  }
}
