import { curve, lots, type Point, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { TONE_NAMES, TONES, toned } from './tone'

const SHRUBS = ['dense', 'open', 'stiff-tree', 'slender', 'thicket', 'dome', 'upright', 'tree'] as const
const CONIFERS = ['cone', 'spire', 'flat-top'] as const
const BOUGHS = ['level', 'slim-hanging', 'between', 'stout'] as const

function soil(sketch: Sketch): void {
  sketch.line(curve(points('14,194 90,192 186,195'), 4), { width: 1.8 })
}

/** A bough with twigs to both sides, from a point in a direction (radians from straight up, clockwise). */
function bough(
  sketch: Sketch,
  [x, y]: Point,
  angle: number,
  length: number,
  options: { readonly lax: number; readonly twigs: number; readonly spread: number; readonly width: number },
  draw: () => number,
): void {
  const at = (share: number, sag: number): Point => [
    x + Math.sin(angle) * length * share,
    y - Math.cos(angle) * length * share + sag * options.lax * length * share * share,
  ]
  const line = curve([at(0, 0), at(0.35, 0.3), at(0.7, 0.6), at(1, 1)], 4)
  sketch.line(line, { width: options.width, start: 1, end: 0.3 })
  for (const [i, place] of placesOn(line, options.twigs + 2)
    .slice(1)
    .entries()) {
    const side = i % 2 === 0 ? 1 : -1
    const heading = angle + side * options.spread * (0.8 + 0.4 * draw())
    const reach = length * (0.26 - 0.012 * i) * (0.7 + 0.6 * draw())
    const end: Point = [
      place.at[0] + Math.sin(heading) * reach,
      place.at[1] - Math.cos(heading) * reach + options.lax * reach,
    ]
    sketch.line([place.at, end], { width: 1.4, start: 1, end: 0.4 })
  }
}

/** A shrub or small tree in winter; form: how its stems stand and branch. */
export function shrub(read: Reader): Picture {
  const form = read.word('form', SHRUBS)
  read.done()
  const sketch = new Sketch()
  const draw = lots(311)
  soil(sketch)
  const fan = (count: number, spread: number, length: number, lax: number, twigs: number, width = 4) => {
    for (let i = 0; i < count; i++) {
      const share = count === 1 ? 0 : (2 * i) / (count - 1) - 1
      bough(
        sketch,
        [100 + share * 16, 192],
        share * spread,
        length * (0.9 + 0.2 * draw()),
        { lax, twigs, spread: 0.6, width },
        draw,
      )
    }
  }
  if (form === 'dense') {
    sketch.line(points('97,194 99,150'), { width: 9, start: 1, end: 0.7 })
    for (let i = 0; i < 13; i++) {
      bough(
        sketch,
        [99, 158 - i * 4],
        (i % 2 === 0 ? 1 : -1) * (1.62 - i * 0.125),
        82 - i,
        { lax: 0, twigs: 9, spread: 1.1, width: 3 },
        draw,
      )
    }
  } else if (form === 'open') {
    fan(6, 0.72, 122, 0.3, 4, 3.4)
  } else if (form === 'stiff-tree') {
    sketch.line(points('96,194 100,120'), { width: 11, start: 1, end: 0.7 })
    for (let i = 0; i < 7; i++) {
      bough(
        sketch,
        [99, 140 - i * 7],
        (i % 2 === 0 ? 1 : -1) * (1.35 - i * 0.16),
        76,
        { lax: 0, twigs: 6, spread: 1.5, width: 4 },
        draw,
      )
    }
  } else if (form === 'slender') fan(4, 0.34, 172, 0, 5, 3.6)
  else if (form === 'thicket') {
    for (let i = 0; i < 13; i++) {
      const x = 20 + i * 13.4
      sketch.line(
        curve(
          [
            [x, 194],
            [x + 2 * draw(), 130],
            [x + 5 * (draw() - 0.5), 56 + 26 * draw()],
          ],
          4,
        ),
        { width: 3, start: 1, end: 0.4 },
      )
      sketch.line(
        [
          [x, 120],
          [x + 8, 96],
        ],
        { width: 1.4, start: 1, end: 0.4 },
      )
    }
    sketch.line(curve(points('20,197 100,199 181,197'), 4), { width: 1.4 })
  } else if (form === 'dome') {
    fan(15, 1.34, 82, 0.03, 5, 3.2)
  } else if (form === 'upright') {
    fan(5, 0.26, 178, 0, 6, 4.4)
  } else {
    sketch.line(points('96,194 99,96'), { width: 12, start: 1, end: 0.6 })
    for (let i = 0; i < 9; i++) {
      bough(
        sketch,
        [99, 118 - i * 5],
        (i % 2 === 0 ? 1 : -1) * (1.25 - i * 0.14),
        80,
        { lax: 0, twigs: 5, spread: 0.7, width: 3.6 },
        draw,
      )
    }
  }
  return sketch.picture()
}

/**
 * A conifer; form: its outline; boughs: how its branches and twigs hang; tone: of the whole crown from afar, where that is
 * what is read.
 */
export function conifer(read: Reader): Picture {
  const form = read.word('form', CONIFERS)
  const boughs = read.word('boughs', BOUGHS)
  const tone = read.word('tone', TONE_NAMES)
  read.done()
  const sketch = new Sketch()
  soil(sketch)
  const top = form === 'flat-top' ? 34 : 8
  const reach = (share: number) => {
    if (form === 'spire') return 14 + 30 * share
    if (form === 'flat-top') return share < 0.1 ? 40 : 46 + 8 * Math.sin(share * 3)
    return 8 + 62 * share
  }
  if (tone !== 'plain') {
    const steps = Array.from({ length: 7 }, (_, i): Point => [i / 6, i])
    const right = steps.flatMap(([share]): Point[] => [
      [100 + reach(share) * 1.1, top + 8 + share * 150],
      [100 + reach(share) * 0.78, top + 14 + share * 150],
    ])
    const left = right.map(([x, y]): Point => [200 - x, y]).reverse()
    toned(sketch, [[100, top - 2], ...right, ...left], TONES[tone], 11, 2)
  }
  sketch.fill(
    [
      [95, 194],
      [98, top + 8],
      [102, top + 8],
      [106, 194],
    ],
    'ink',
  )
  const draw = lots(321)
  const count = form === 'spire' ? 9 : tone === 'plain' ? 13 : 8
  for (let i = 0; i < count; i++) {
    const share = i / (count - 1)
    const y = top + 14 + share * 148
    for (const side of [1, -1]) tier(sketch, boughs, [100, y], side * reach(share), draw)
  }
  if (form === 'flat-top') {
    // the leader is overtaken: the last boughs spread and turn up to one level, as the rim of a nest
    for (const x of [-58, -40, -20, 20, 40, 58]) {
      const line = curve(
        [
          [100, 66],
          [100 + x * 0.72, 54],
          [100 + x, 22],
        ],
        4,
      )
      sketch.line(line, { width: 4, start: 1, end: 0.5 })
      for (const lean of [-9, 9])
        sketch.line(
          [
            [100 + x, 30],
            [100 + x + lean, 15],
          ],
          { width: 2.4, start: 1, end: 0.4 },
        )
    }
  } else
    sketch.line(
      [
        [100, top + 12],
        [100, top - 4],
      ],
      { width: 3, start: 1, end: 0.3 },
    )
  return sketch.picture()
}

function tier(
  sketch: Sketch,
  boughs: (typeof BOUGHS)[number],
  [x, y]: Point,
  reach: number,
  draw: () => number,
): void {
  const stout = boughs === 'stout'
  const line = stout
    ? curve(
        [
          [x, y],
          [x + reach * 0.6, y + 1],
          [x + reach * 1.12, y - 3],
        ],
        4,
      )
    : curve(
        [
          [x, y],
          [x + reach * 0.5, y + 2],
          [x + reach, y + (boughs === 'slim-hanging' ? 10 : 4)],
        ],
        4,
      )
  sketch.line(line, {
    width: stout ? 4.6 : boughs === 'slim-hanging' ? 2 : 3,
    start: 1,
    end: stout ? 0.5 : 0.3,
  })
  const twigs = boughs === 'slim-hanging' ? 6 : boughs === 'stout' ? 3 : 4
  for (const place of placesOn(line, twigs + 1).slice(1)) {
    const [px, py] = place.at
    const end: Point =
      boughs === 'slim-hanging'
        ? [px + 2 * (draw() - 0.5), py + 11 + 8 * draw()]
        : boughs === 'between'
          ? [px + Math.sign(reach) * 5, py + 6 + 3 * draw()]
          : [px + Math.sign(reach) * 6, py - 3]
    sketch.line([place.at, end], { width: stout ? 2 : 1.3, start: 1, end: 0.4 })
  }
}

const SETTINGS = ['avenue', 'park', 'woodland'] as const

/** Where a tree stands; setting: in a row along a way, alone by a house or in a lawn, or in an old wood on a slope. */
export function setting(read: Reader): Picture {
  const where = read.word('setting', SETTINGS)
  read.done()
  const sketch = new Sketch()
  if (where === 'avenue') {
    sketch.fill(points('84,96 116,96 176,200 24,200'), 'grey')
    sketch.line(points('84,96 24,200'), { width: 2.4 }).line(points('116,96 176,200'), { width: 2.4 })
    for (const [y, scale] of [
      [100, 0.3],
      [122, 0.5],
      [156, 0.85],
    ] as const) {
      for (const side of [-1, 1]) roundTree(sketch, [100 + side * (20 + (y - 96) * 0.95), y], 64 * scale)
    }
  } else if (where === 'park') {
    sketch.line(curve(points('0,176 100,170 200,178'), 5), { width: 2.2 })
    sketch.shape(points('128,172 128,124 154,100 180,124 180,174'), 'paper', 2.4)
    sketch.shape(points('148,173 148,150 160,150 160,173'), 'grey', 1.8)
    roundTree(sketch, [68, 174], 84)
    for (let x = 8; x < 124; x += 14)
      sketch.line(
        [
          [x, 186],
          [x + 2, 180],
        ],
        { width: 1.3, start: 1, end: 0.3 },
      )
  } else {
    sketch.fill(points('0,120 70,140 84,172 150,180 200,196 200,200 0,200'), 'wood')
    sketch.line(points('0,120 40,132 70,140 84,172 150,180 200,196'), { width: 3, start: 0.8, end: 0.8 })
    for (const [x, y] of points('30,150 60,160 112,190')) {
      sketch.shape(
        [
          [x - 12, y],
          [x - 4, y - 9],
          [x + 10, y - 5],
          [x + 8, y + 6],
          [x - 8, y + 7],
        ],
        'paper',
        1.8,
      )
    }
    for (const [x, y, size] of [
      [26, 126, 60],
      [60, 136, 74],
      [112, 174, 92],
      [150, 180, 80],
      [182, 190, 66],
    ] as const)
      roundTree(sketch, [x, y], size)
  }
  return sketch.picture()
}

function roundTree(sketch: Sketch, [x, y]: Point, height: number): void {
  const r = height * 0.36
  const crown = Array.from({ length: 18 }, (_, i): Point => {
    const angle = (i * 2 * Math.PI) / 18
    const reach = r * (i % 2 === 0 ? 1.08 : 0.92)
    return [x + Math.cos(angle) * reach * 0.9, y - height * 0.64 + Math.sin(angle) * reach * 1.1]
  })
  sketch.line(
    [
      [x, y],
      [x, y - height * 0.4],
    ],
    { width: Math.max(2, height * 0.08), start: 1, end: 0.8 },
  )
  sketch.shape(crown, 'leaf', Math.max(1.4, height * 0.03))
}
