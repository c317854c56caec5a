import { beside, curve, lots, type Point, placed, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'

const TIPS = ['rounded', 'notched', 'pointed'] as const
const PORES = ['none', 'tip', 'whole'] as const
const BANDS = ['none', 'thin', 'clear'] as const
const RANKS = ['flat', 'v', 'covering'] as const
const SPRAY = ['flat', 'raised', 'bushy'] as const
const CANALS = ['edge', 'inside'] as const

/** One needle, large, its foot below; slim: less broad; tip; pores: white dots above; bands: pale ones beneath. */
export function needle(read: Reader): Picture {
  const slim = read.flag('slim')
  const tip = read.word('tip', TIPS)
  const pores = read.word('pores', PORES)
  const bands = read.word('bands', BANDS)
  read.done()
  const sketch = new Sketch()
  const half = slim ? 15 : 21
  const ends: Readonly<Record<(typeof TIPS)[number], readonly Point[]>> = {
    rounded: [
      [half, 40],
      [half * 0.8, 20],
      [0, 10],
      [-half * 0.8, 20],
      [-half, 40],
    ],
    notched: [
      [half, 34],
      [half * 0.8, 14],
      [half * 0.4, 6],
      [0, 48],
      [-half * 0.4, 6],
      [-half * 0.8, 14],
      [-half, 34],
    ],
    pointed: [
      [half, 62],
      [half * 0.6, 34],
      [0, 4],
      [-half * 0.6, 34],
      [-half, 62],
    ],
  }
  const top = ends[tip].map(([x, y]): Point => [100 + x, y])
  const outline = [
    ...curve(
      [
        [92, 192],
        [88, 176],
        [100 - half, 150],
        [100 - half, 60],
      ],
      5,
    ),
    ...curve([...top].reverse(), 5),
    ...curve(
      [
        [100 + half, 60],
        [100 + half, 150],
        [112, 176],
        [108, 192],
      ],
      5,
    ),
  ]
  sketch.shape(outline, bands === 'none' ? 'green' : 'leaf', 2.8)
  if (bands !== 'none') {
    for (const side of [-1, 1]) {
      const w = bands === 'clear' ? 7 : 3
      const x = 100 + side * 0.52 * half
      sketch.shape(
        [
          [x - w / 2, 166],
          [x - w / 2, 44],
          [x + w / 2, 44],
          [x + w / 2, 166],
        ],
        bands === 'clear' ? 'pale' : 'grey',
        bands === 'clear' ? 1.2 : 0.7,
      )
    }
  }
  if (pores !== 'none') {
    for (let y = 30; y < (pores === 'tip' ? 84 : 172); y += 6) {
      for (const x of [-12, -7, 7, 12]) sketch.dot([100 + x, y + (x % 2)], 2.3, 'pale')
    }
  }
  sketch.line(
    [
      [100, 186],
      [100, 100],
      [100, tip === 'pointed' ? 20 : 34],
    ],
    { width: 2, start: 1, end: 0.4 },
  )
  return sketch.picture()
}

/** A side shoot from above; ranks: how its needles lie. */
export function needleShoot(read: Reader): Picture {
  const ranks = read.word('ranks', RANKS)
  read.done()
  const sketch = new Sketch()
  const axis = curve(points('100,198 101,120 99,44'), 10)
  const places = placesOn(axis, ranks === 'flat' ? 22 : ranks === 'v' ? 15 : 13)
  const blade = (at: Point, angle: number, length: number) => {
    const shape = points('0,0 0.07,-0.2 0.075,-0.85 0,-1 -0.075,-0.85 -0.07,-0.2')
    sketch.shape(placed(shape, at, length, angle), 'green', 1.4)
  }
  if (ranks !== 'covering') {
    for (const { at } of places) for (const side of [-1, 1]) blade(at, side * 1.42, 66)
    sketch
      .line(axis, { width: 8, start: 1, end: 0.6 })
      .line(axis, { width: 4.6, start: 1, end: 0.6, role: 'wood' })
    if (ranks === 'v')
      for (const { at } of places)
        for (const side of [-1, 1]) blade([at[0] + side * 3, at[1]], side * 1.0, 34)
  } else {
    for (const { at } of places) for (const side of [-1, 1]) blade(at, side * 1.15, 58)
    sketch.line(axis, { width: 8, start: 1, end: 0.6 })
    const draw = lots(331)
    for (const { at } of places)
      for (const side of [-1, 1, 0]) blade([at[0] + side * 4, at[1]], side * 0.34 + 0.2 * (draw() - 0.5), 42)
  }
  return sketch.picture()
}

/** A side spray seen from its end; spray: how flat it lies. */
export function spray(read: Reader): Picture {
  const form = read.word('spray', SPRAY)
  read.done()
  const sketch = new Sketch()
  const at: Point = [100, 128]
  const draw = lots(341)
  const angles: Readonly<Record<(typeof SPRAY)[number], readonly number[]>> = {
    flat: [-1.66, -1.57, -1.5, 1.5, 1.57, 1.66],
    raised: [-1.5, -1.25, -1.0, -0.8, 0.8, 1.0, 1.25, 1.5],
    bushy: [-1.6, -1.3, -1.05, -0.8, -0.55, -0.3, -0.1, 0.12, 0.32, 0.55, 0.8, 1.05, 1.3, 1.6],
  }
  for (const angle of angles[form]) {
    const length = 84 * (0.9 + 0.2 * draw())
    const end = placed([[0, -1]], at, length, angle)[0] ?? at
    const bend = placed([[0.05 * Math.sign(angle), -0.55]], at, length, angle)[0] ?? at
    sketch.line(curve([at, bend, end], 5), { width: 8, start: 0.6, end: 0.5 })
    sketch.line(curve([at, bend, end], 5), { width: 4.6, start: 0.6, end: 0.4, role: 'green' })
  }
  sketch.shape(ellipse(at, 11, 11), 'wood', 2.4).dot(at, 3, 'ink')
  return sketch.picture()
}

/** A needle cut across, large; canals: where its two resin canals lie. */
export function needleSection(read: Reader): Picture {
  const canals = read.word('canals', CANALS)
  read.done()
  const sketch = new Sketch()
  const outline = curve(
    points('14,96 30,74 70,66 100,72 130,66 170,74 186,96 172,120 130,130 100,136 70,130 28,120 14,96'),
    6,
  )
  sketch.shape(outline, 'green', 3.4)
  const inner = outline.map(([x, y]): Point => [100 + (x - 100) * 0.93, 100 + (y - 100) * 0.84])
  sketch.contour(inner, 1.2, 'hatch')
  sketch.shape(ellipse([100, 101], 30, 19), 'cream', 2)
  for (const x of [90, 110]) sketch.shape(ellipse([x, 101], 7, 9), 'wood', 1.4)
  for (const side of [-1, 1]) {
    const at: Point = canals === 'edge' ? [100 + side * 62, 119] : [100 + side * 54, 98]
    sketch.shape(ellipse(at, 9, 8), 'pale', 3).dot(at, 2.2, 'ink')
  }
  return sketch.picture()
}

/** A tuft of needles on its short shoot from beneath; bands: pale ones on each needle. */
export function tuft(read: Reader): Picture {
  const bands = read.word('bands', BANDS)
  const count = bands === 'none' ? 17 : 9
  read.done()
  const sketch = new Sketch()
  const foot: Point = [100, 150]
  for (let i = 0; i < count; i++) {
    const off = (i - (count - 1) / 2) / ((count - 1) / 2)
    const angle = 1.35 * off
    const end = placed([[0, -1]], foot, 108 - Math.abs(off) * 24, angle)[0] ?? foot
    const bend = placed([[0.1 * off, -0.5]], foot, 100, angle)[0] ?? foot
    const line = curve([foot, bend, end], 4)
    const wide = bands === 'none' ? 3 : 8
    sketch.line(line, { width: wide + 2.8, start: 0.7, end: 0.5 })
    sketch.line(line, { width: wide, start: 0.7, end: 0.5, role: 'green' })
    if (bands !== 'none') {
      for (const side of [-1, 1]) {
        const band = placesOn(line, 12)
          .slice(3, -1)
          .map((place) => beside(place, side * 2.1))
        sketch.line(band, {
          width: bands === 'clear' ? 2.6 : 1.1,
          start: 0.9,
          end: 0.7,
          role: bands === 'clear' ? 'pale' : 'grey',
        })
      }
    }
  }
  sketch.shape(points('86,150 114,150 112,176 88,176'), 'wood', 2.4)
  sketch.line(points('88,158 100,160 112,158'), { width: 1.6 })
  sketch.line(curve(points('20,186 100,178 180,188'), 6), { width: 10, start: 0.8, end: 0.8, role: 'ink' })
  return sketch.picture()
}
