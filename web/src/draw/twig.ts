import { beside, curve, lots, type Point, placesOn } from './geometry'
import { hairsOn } from './leaf'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { TONE_NAMES, TONES, type Tone, toned } from './tone'

const AMOUNT = ['none', 'few', 'dense'] as const
const BLOOM = ['none', 'thin', 'clear'] as const
const SCENT = ['none', 'almond', 'rank', 'orange', 'resin'] as const
const INNER = ['lemon', 'cream', 'browning', 'yellow', 'orange'] as const

const AXIS = curve(
  [
    [16, 186],
    [70, 128],
    [120, 84],
    [186, 18],
  ],
  10,
)

/** A piece of twig across the picture, thinner to its end, with its two edges. */
function twigBody(width: number): { left: Point[]; right: Point[] } {
  const places = placesOn(AXIS, 40)
  const half = (i: number) => (width / 2) * (1 - (0.3 * i) / 39)
  return {
    left: places.map((place, i) => beside(place, half(i))),
    right: places.map((place, i) => beside(place, -half(i))),
  }
}

function drawTwig(
  sketch: Sketch,
  width: number,
  tone: Tone = TONES.plain,
): { left: Point[]; right: Point[] } {
  const body = twigBody(width)
  toned(sketch, [...body.left, ...[...body.right].reverse()], tone, 12, 0.6)
  for (const [place, side] of [
    [14, 1],
    [29, -1],
  ] as const)
    bud(sketch, width, place, side)
  sketch
    .line(body.left, { width: 2.2, start: 0.8, end: 0.7 })
    .line(body.right, { width: 3.4, start: 0.8, end: 0.7 })
  return body
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
 * warts: resin warts on its surface; hairs: that stand off it; finger: whether a fingertip rubs along it; tone: its colour;
 * dashes: whether it bears many pale ones; bloom: a waxy film, wiped off in one place where it is clear; thorns: on its
 * sides; spine: whether it ends in one.
 */
export function twig(read: Reader): Picture {
  const warts = read.word('warts', AMOUNT)
  const hairs = read.word('hairs', AMOUNT)
  const finger = read.flag('finger')
  const tone = read.word('tone', TONE_NAMES)
  const dashes = read.flag('dashes')
  const bloom = read.word('bloom', BLOOM)
  const thorns = read.word('thorns', AMOUNT)
  const spine = read.flag('spine')
  read.done()
  const width = thorns === 'none' && !spine ? 34 : 20
  const sketch = new Sketch()
  if (thorns !== 'none') thorn(sketch, width, thorns === 'dense' ? [4, 9, 14, 19, 24, 29, 34] : [14])
  const { left, right } = drawTwig(sketch, width, TONES[tone])
  if (hairs !== 'none') hair(sketch, left, right, hairs === 'dense')
  if (warts !== 'none') wart(sketch, width, warts === 'dense' ? 58 : 13)
  if (warts === 'none' && hairs === 'none' && tone === 'plain' && !dashes) sheen(sketch, width)
  if (dashes) paleDashes(sketch, width)
  if (bloom !== 'none') waxed(sketch, width, bloom === 'clear')
  if (spine)
    sketch.shape(
      [
        [178, 36],
        [190, 14],
        [196, 4],
        [184, 12],
        [168, 26],
      ],
      'dark',
      2,
    )
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
    sketch.dot(at, radius, 'ink').dot([at[0] - 0.7, at[1] - 0.9], radius * 0.55, 'paper')
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
  const shape = curve(
    [
      [196, 196],
      [176, 150],
      [150, 118],
      [124, 104],
      [104, 108],
      [100, 126],
      [116, 146],
      [138, 172],
      [150, 200],
    ],
    6,
  )
  sketch.shape([...shape, [196, 200]], 'paper', 2.6)
  sketch.line(
    curve(
      [
        [106, 112],
        [113, 106],
        [124, 108],
      ],
      5,
    ),
    { width: 2 },
  )
  sketch.line(
    curve(
      [
        [103, 118],
        [112, 122],
        [121, 113],
        [123, 107],
      ],
      5,
    ),
    { width: 1.4 },
  )
  for (const [x, y] of [
    [140, 140],
    [147, 149],
    [154, 159],
  ] as const) {
    sketch.line(
      [
        [x - 6, y + 4],
        [x + 6, y - 4],
      ],
      { width: 1, role: 'hatch' },
    )
  }
}

/** A freshly scratched twig and what rises from it; scent: of bitter almond, rank, or nothing to speak of. */
export function smell(read: Reader): Picture {
  const scent = read.word('scent', SCENT)
  read.done()
  const sketch = new Sketch()
  drawTwig(sketch, 26)
  scratch(sketch, 'cream')
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
  for (const [x, y] of [
    [96, 96],
    [108, 86],
  ] as const) {
    sketch.line(
      curve(
        [
          [x, y],
          [x - 5, y - 9],
          [x + 2, y - 17],
          [x - 3, y - 26],
        ],
        4,
      ),
      { width: 1.8 },
    )
  }
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
  const shape = curve(
    [
      [46, 20],
      [76, 34],
      [82, 62],
      [62, 88],
      [44, 92],
      [28, 78],
      [24, 52],
      [34, 30],
      [46, 20],
    ],
    6,
  )
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
  for (const [x, y] of [
    [92, 92],
    [101, 84],
    [110, 76],
  ] as const) {
    sketch.line(
      curve(
        [
          [x, y],
          [x - 5, y - 9],
          [x + 2, y - 17],
          [x - 3, y - 26],
        ],
        5,
      ),
      { width: 1.8 },
    )
  }
}

const RIM = { lemon: 'red', cream: 'green', browning: 'orange', yellow: 'wood', orange: 'wood' } as const
const CORE = { lemon: 'lemon', cream: 'cream', browning: 'cream', yellow: 'lemon', orange: 'orange' } as const

/**
 * A scraped branch with its inner bark; colour: lemon (with the wine-red layer under the skin), cream under a green
 * skin, browning as it stands, plain yellow or orange. Each has a pattern of its own.
 */
export function scrape(read: Reader): Picture {
  const colour = read.word('colour', INNER)
  read.done()
  const sketch = new Sketch()
  sketch.fill(
    [
      [52, 0],
      [148, 0],
      [150, 200],
      [50, 200],
    ],
    'wood',
  )
  sketch.line(
    [
      [52, 0],
      [51, 100],
      [50, 200],
    ],
    { width: 3, start: 0.9, end: 0.9 },
  )
  sketch.line(
    [
      [148, 0],
      [149, 100],
      [150, 200],
    ],
    { width: 4, start: 0.9, end: 0.9 },
  )
  for (const [y, x] of [
    [14, 70],
    [22, 118],
    [182, 84],
    [188, 124],
  ] as const) {
    sketch.line(
      [
        [x - 9, y],
        [x + 9, y],
      ],
      { width: 2.4, role: 'ink' },
    )
  }
  const patch = (inset: number) =>
    curve(
      [
        [100, 30 + inset],
        [126 - inset, 50 + inset / 2],
        [130 - inset, 100],
        [124 - inset, 152 - inset / 2],
        [100, 172 - inset],
        [76 + inset, 152 - inset / 2],
        [70 + inset, 100],
        [74 + inset, 50 + inset / 2],
        [100, 30 + inset],
      ],
      6,
    )
  sketch.shape(patch(0), RIM[colour], 2.4)
  if (colour === 'lemon') {
    for (let i = 0; i < 26; i++) {
      const y = 44 + i * 4.6
      sketch
        .line(
          [
            [73, y],
            [80, y - 4],
          ],
          { width: 1.2 },
        )
        .line(
          [
            [120, y],
            [127, y - 4],
          ],
          { width: 1.2 },
        )
    }
  }
  sketch.shape(patch(9), CORE[colour], 1.8)
  const draw = lots(71)
  if (colour === 'lemon') {
    for (let i = 0; i < 46; i++) sketch.dot([86 + 28 * draw(), 54 + 92 * draw()], 1.5, 'ink')
  } else if (colour === 'orange') {
    for (let i = 0; i < 15; i++)
      sketch.line(
        [
          [84, 62 + i * 6.6],
          [116, 52 + i * 6.6],
        ],
        { width: 1.4 },
      )
  } else if (colour === 'browning') {
    for (let i = 0; i < 5; i++) {
      const [x, y] = [88 + 22 * draw(), 60 + 17 * i]
      sketch.fill(
        curve(
          [
            [x - 9, y],
            [x, y - 7],
            [x + 10, y - 2],
            [x + 5, y + 8],
            [x - 9, y],
          ],
          5,
        ),
        'orange',
      )
      for (let j = -1; j < 2; j++)
        sketch.line(
          [
            [x - 6, y + 3 * j + 3],
            [x + 7, y + 3 * j - 3],
          ],
          { width: 1.2 },
        )
    }
  }
  return sketch.picture()
}
