import { curve, lots, type Point, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture, Role } from './picture'
import { Sketch } from './sketch'
import { TONE_NAMES, TONES } from './tone'

const COVER = ['scaled', 'naked', 'naked-slim', 'cap'] as const
const SKIN = ['bare', 'plain', 'sticky', 'downy', 'partly', 'thin', 'felted', 'fringe'] as const
const SHAPE = ['egg', 'spindle', 'round'] as const
const RESIN = ['none', 'thin', 'thick'] as const

/** The twig below an end bud, with a leaf scar on each side. */
function stem(sketch: Sketch, top: number): void {
  sketch.fill(
    [
      [86, 200],
      [88, top],
      [112, top],
      [114, 200],
    ],
    'wood',
  )
  sketch.line(
    [
      [86, 200],
      [87, 170],
      [88, top],
    ],
    { width: 2.4, start: 0.8, end: 0.7 },
  )
  sketch.line(
    [
      [114, 200],
      [113, 170],
      [112, top],
    ],
    { width: 3.4, start: 0.8, end: 0.7 },
  )
  sketch.line(curve(points('90,186 96,192 104,189'), 5), { width: 1.8 })
}

/**
 * A bud, large. cover: overlapping scales; none but two small folded and felted leaves, broad or slim; or one cap; scales:
 * that can be seen, 2 to 4; shape: of the whole; length: share of the longest, 0.4 to 1; stalked: whether it stands on a stalk
 * of its own; skin: bare, sticky, downy or downy in part, thinly downy at its base, felted, or with a white
 * fringe on its scales; resin: over its scales; tone: its colour.
 */
export function bud(read: Reader): Picture {
  const cover = read.word('cover', COVER)
  const count = Math.round(read.number('scales', 2, 4, 4))
  const shape = read.word('shape', SHAPE)
  const length = read.number('length', 0.4, 1, 1)
  const stalked = read.flag('stalked')
  const skin = read.word('skin', SKIN)
  const resin = read.word('resin', RESIN)
  const tone = read.word('tone', TONE_NAMES)
  read.done()
  const role = TONES[tone].role
  const sketch = new Sketch()
  if (stalked) stalk(sketch)
  else stem(sketch, 138)
  sketch.moved(shaped(shape, length), () => {
    if (cover === 'naked') foldedLeaves(sketch, 1)
    else if (cover === 'naked-slim') foldedLeaves(sketch, 0.62)
    else if (cover === 'cap' || stalked) cap(sketch, stalked, role)
    else scales(sketch, count, role)
    coat(sketch, skin, tone === 'dark')
    if (resin !== 'none') resinOver(sketch, resin === 'thick')
  })
  return sketch.picture()
}

const FOOT = 144 // where a bud stands on its twig, from above

/** Makes another shape of the egg as which every bud is drawn: slim throughout, or short and broad up to its tip. */
function shaped(shape: (typeof SHAPE)[number], length: number): (point: Point) => Point {
  if (shape === 'egg' && length === 1) return (point) => point
  return ([x, y]) => {
    const up = (FOOT - y) / FOOT
    const broad = { egg: 1, spindle: 0.58, round: 1.1 + 0.7 * up * up }[shape]
    const tall = shape === 'round' ? 0.8 : 1
    return [100 + (x - 100) * broad, FOOT - (FOOT - y) * length * tall]
  }
}

/** A bud on a stalk of its own, on the side of a twig. */
function stalk(sketch: Sketch): void {
  sketch.fill(points('20,200 70,176 60,152 0,178 0,200'), 'wood')
  sketch
    .line(points('0,180 30,166 62,152'), { width: 2.6 })
    .line(points('20,202 46,190 72,174'), { width: 3.6 })
  sketch.fill(points('62,176 56,156 88,132 108,144'), 'wood')
  sketch.line(curve(points('58,156 72,148 86,134'), 4), { width: 2.4 })
  sketch.line(curve(points('66,176 86,164 106,144'), 4), { width: 3 })
}

function cap(sketch: Sketch, stalked: boolean, role: Role): void {
  const whole = curve(points('100,14 124,44 132,92 120,132 100,144 80,132 68,92 76,44 100,14'), 7)
  sketch.shape(whole, role, 2.8)
  if (stalked) {
    sketch.line(curve(points('76,126 92,92 106,60 108,30'), 6), { width: 1.8 })
    sketch.line(curve(points('124,118 114,96 104,72'), 5), { width: 1.6 })
  }
}

/** What lies on a bud's skin: shine and drops where it is sticky, hairs where it is downy. */
function coat(sketch: Sketch, skin: (typeof SKIN)[number], dark: boolean): void {
  const draw = lots(421)
  if (skin === 'sticky') {
    sketch.fill(curve(points('80,96 82,56 98,30 98,62 95,100 80,96'), 4), 'pale')
    for (const [x, y] of points('112,78 118,104 104,122 90,118')) {
      sketch.shape(
        curve(
          [
            [x, y - 7],
            [x + 4, y + 2],
            [x, y + 6],
            [x - 4, y + 2],
            [x, y - 7],
          ],
          3,
        ),
        'pale',
        1.4,
      )
    }
  } else if (skin === 'fringe') {
    for (const line of [
      '70,96 80,58 101,74 104,112',
      '130,96 121,60 101,82 97,116',
      '84,60 100,22 116,60',
      '78,130 92,104 112,106 122,130',
    ]) {
      for (const { at, along } of placesOn(curve(points(line), 4), 13)) {
        const tip: Point = [at[0] + along[1] * 9 + along[0] * 3, at[1] - along[0] * 9 + along[1] * 3]
        sketch.line([at, tip], { width: 5, start: 1, end: 0.6 })
        sketch.line([at, tip], { width: 2.8, start: 1, end: 0.6, role: 'pale' })
      }
    }
  } else if (skin === 'felted' || skin === 'thin') {
    const thick = skin === 'felted'
    if (thick)
      sketch.shape(
        curve(points('100,12 122,50 132,92 122,132 100,144 78,132 68,92 78,50 100,12'), 7),
        'pale',
        2.8,
      )
    for (let i = 0; i < (thick ? 80 : 26); i++) {
      const y = thick ? 24 + 112 * draw() : 88 + 48 * draw()
      const half = 30 * Math.sin((Math.PI * (y - 4)) / 150) ** 0.8
      const x = 100 + half * (2 * draw() - 1)
      sketch.line(
        [
          [x - 4, y + 1],
          [x, y - 4],
          [x + 5, y],
          [x + 1, y + 3],
        ],
        { width: thick ? 1.3 : 1.8, role: thick ? 'ink' : 'pale' },
      )
    }
  } else if (skin === 'downy' || skin === 'partly') {
    for (let i = 0; i < (skin === 'downy' ? 96 : 56); i++) {
      const y = skin === 'downy' ? 24 + 114 * draw() : 20 + 40 * draw()
      const half = 32 * Math.sin((Math.PI * (y - 4)) / 150) ** 0.8
      const x = 100 + half * (2.15 * draw() - 1.08)
      const side = x < 100 ? -1 : 1
      sketch.line(
        [
          [x, y],
          [x + side * 4, y - (skin === 'downy' ? 8 : 11)],
        ],
        { width: dark || skin === 'partly' ? 1.8 : 1.3, start: 1, end: 0.4, role: dark ? 'pale' : 'ink' },
      )
    }
  } else if (skin === 'bare') {
    sketch.line(curve(points('82,84 85,60 94,42'), 4), {
      width: dark ? 3.4 : 1.4,
      role: dark ? 'pale' : 'hatch',
    })
  }
}

/** Resin: a thin film through which the scales are seen, or a whitish mass that seals them. */
function resinOver(sketch: Sketch, thick: boolean): void {
  if (thick) {
    sketch.shape(
      curve(
        points(
          '100,10 126,30 140,72 134,112 122,124 112,116 100,130 86,118 74,126 62,104 66,56 82,22 100,10',
        ),
        6,
      ),
      'bloom',
      2.4,
    )
    sketch.line(curve(points('84,44 80,66 84,88'), 4), { width: 1.6, role: 'hatch' })
    for (const [x, y] of points('112,48 122,78 100,92 88,74')) sketch.dot([x, y], 1.6, 'hatch')
  } else {
    for (const [x, y] of points('88,46 112,64 90,92 116,104')) {
      sketch.shape(
        curve(
          [
            [x - 10, y],
            [x, y - 9],
            [x + 11, y],
            [x, y + 12],
            [x - 10, y],
          ],
          4,
        ),
        'bloom',
        1.4,
      )
    }
  }
}

function scales(sketch: Sketch, count: number, role: Role): void {
  const whole = curve(points('100,12 122,50 132,92 122,132 100,144 78,132 68,92 78,50 100,12'), 7)
  sketch.shape(whole, role, 2.8)
  const scale = (outline: readonly Point[]) => {
    sketch.shape(curve(outline, 5), role, 2.2)
    // on dark scales the edges are seen by their light
    if (role === 'dark') sketch.contour(curve(outline, 5), 1.3, 'pale')
  }
  if (count === 2) {
    // one short scale and a long one that covers the rest
    scale(points('74,122 74,92 88,78 104,96 102,138 74,122'))
    shaded(sketch, '80,118 84,96 92,92 96,112 96,130')
  } else if (count === 3) {
    scale(points('128,110 124,70 108,48 98,84 100,138 128,110'))
    scale(points('72,118 76,84 90,66 106,92 104,140 72,118'))
    shaded(sketch, '78,114 82,92 92,80 98,104 98,132')
    shaded(sketch, '108,66 116,82 122,104 110,122 104,92')
  } else {
    scale(points('84,60 100,22 116,60 112,92 88,92 84,60'))
    scale(points('70,96 80,58 101,74 104,112 84,130 70,96'))
    scale(points('130,96 121,60 101,82 97,116 116,132 130,96'))
    scale(points('78,130 92,104 112,106 122,130 100,146 78,130'))
  }
  for (const [x, y] of points('90,44 78,84 92,122')) {
    sketch.line(
      curve(
        [
          [x, y],
          [x - 3, y + 8],
          [x - 1, y + 15],
        ],
        4,
      ),
      { width: 1, role: role === 'dark' ? 'pale' : 'hatch' },
    )
  }
}

/** Strokes of shade that rise from some places on a scale. */
function shaded(sketch: Sketch, at: string): void {
  for (const [x, y] of points(at))
    sketch.line(
      [
        [x, y],
        [x + 2, y - 8],
        [x + 6, y - 14],
      ],
      { width: 3.4, start: 1, end: 0.4 },
    )
}

function foldedLeaves(sketch: Sketch, breadth: number): void {
  const w = (x: number) => x * breadth
  const leaf = (side: 1 | -1) =>
    curve(
      [
        [100 + side * 2, 140],
        [100 + side * w(20), 112],
        [100 + side * w(26), 74],
        [100 + side * w(15), 36],
        [100 + side * 3, 14],
        [100 - side * 2, 60],
        [100 + side * 2, 140],
      ],
      6,
    )
  const role = breadth < 1 ? 'wood' : 'rust'
  sketch.shape(leaf(-1), role, 2.6).shape(leaf(1), role, 2.6)
  const draw = lots(81)
  for (let i = 0; i < (breadth < 1 ? 40 : 90); i++) {
    // felt: short hairs laid upwards over both leaves, some past the edge
    const side = i % 2 === 0 ? 1 : -1
    const y = 26 + 108 * draw()
    const room = w(24) * Math.sin((Math.PI * (y - 6)) / 142)
    const x = 100 + side * (2 + room * draw())
    sketch.line(
      [
        [x, y],
        [x + side * 3, y - 8],
        [x + side * 5, y - 11],
      ],
      { width: 1.3, start: 1, end: 0.4 },
    )
  }
  for (const side of [-1, 1]) {
    sketch.line(
      curve(
        [
          [100 + side * 6, 134],
          [100 + side * w(14), 84],
          [100 + side * 7, 30],
        ],
        6,
      ),
      { width: 1.6 },
    )
  }
}
