import { leaflet, strewn } from './feathered'
import { curve, lots, type Point, placed, points } from './geometry'
import { edgeOf, hairsOn, halfEdge, sideVeins } from './leaf'
import { drawLobed } from './lobedblade'
import type { Reader } from './parameters'
import type { Picture, Role } from './picture'
import { ellipse, Sketch } from './sketch'

const SECTIONS = ['round', 'slight', 'flat'] as const
const HAIRS = ['none', 'few', 'downy'] as const
const AMOUNT = ['none', 'some', 'most'] as const
const OUTLINES = ['round', 'blunt', 'ribbed'] as const
const PITHS = ['narrow', 'star', 'wide', 'chambered', 'layered'] as const
const DEAD = ['bald', 'mixed', 'white', 'leaflets', 'leaflets-below', 'lobed', 'undivided'] as const
const FLUSH = [
  'green',
  'tinged',
  'coppery',
  'silky',
  'grey-felt',
  'white-felt',
  'white-cups',
  'grey-tufts',
  'plain-tufts',
] as const
const POPLAR = {
  ratio: 1.08,
  widest: 0.28,
  base: 'straight',
  tip: 'drawn-out',
  margin: 'fine',
  teeth: 15,
} as const

/** A leaf's foot with its stalk, and beside it the stalk cut across. section: of the stalk; groove: along its upper side; hairs: on it. */
export function leafStalk(read: Reader): Picture {
  const section = read.word('section', SECTIONS)
  const groove = read.flag('groove')
  const hairs = read.word('hairs', HAIRS)
  read.done()
  const sketch = new Sketch()
  const right = curve(points('62,86 92,78 122,50 128,4'), 6)
  sketch.fill([...right, ...right.map(([x, y]): Point => [120 - x, y]).reverse()], 'leaf')
  for (const side of [1, -1]) {
    for (const y of [66, 36])
      sketch.line(
        [
          [60, y],
          [60 + side * 26, y - 16],
          [60 + side * 54, y - 26],
        ],
        { width: 1.8, start: 1, end: 0.3 },
      )
    sketch.line(
      right.map(([x, y]): Point => [60 + side * (x - 60), y]),
      { width: 3 },
    )
  }
  const line = curve(points('60,84 61,120 59,160 62,200'), 6)
  const wide = section === 'flat' ? 8 : 16
  sketch.line(points('60,90 60,40 60,0'), { width: 6, start: 1, end: 0.5 })
  sketch
    .line(line, { width: wide + 5, start: 1, end: 1 })
    .line(line, { width: wide, start: 1, end: 1, role: 'fresh' })
  if (groove) sketch.line(line, { width: 3, start: 1, end: 1, role: 'hatch' })
  if (hairs !== 'none') hairsOn(sketch, line, hairs === 'few' ? 12 : 44, hairs === 'few' ? 18 : 16, 81)
  const [wx, wy] = { flat: [12, 40], slight: [23, 31], round: [28, 28] }[section] as [number, number]
  const at: Point = [146, 140]
  let cut = ellipse(at, wx, wy, 40)
  if (groove)
    cut = cut.map(
      ([x, y]): Point =>
        y < at[1] - wy * 0.55 ? [x, y + 10 * Math.max(0, 1 - Math.abs(x - at[0]) / (wx * 0.5))] : [x, y],
    )
  sketch.shape(cut, 'fresh', 3.4)
  for (const [dx, dy] of section === 'flat' ? points('0,-0.6 0,0 0,0.6') : points('0,0.4 -0.45,0 0.45,0'))
    sketch.shape(ellipse([at[0] + dx * wx, at[1] + dy * wy], Math.min(5, wx * 0.4), 5, 12), 'wood', 1.6)
  sketch.line(
    [
      [78, 132],
      [100, 134],
      [114, 138],
    ],
    { width: 1.6, role: 'hatch' },
  )
  return sketch.picture()
}

/** The feet of ten leaves of one tree; glands: on how many of them small warts sit where stalk and blade meet. */
export function tenFeet(read: Reader): Picture {
  const glands = read.word('amount', AMOUNT)
  read.done()
  const sketch = new Sketch()
  const bears = { none: [], some: [1, 5, 8], most: [0, 1, 2, 4, 5, 6, 7, 9] }[glands] as number[]
  for (let i = 0; i < 10; i++) {
    const at: Point = [21 + (i % 5) * 39.5, i < 5 ? 66 : 162]
    const right = curve(
      [
        [at[0], at[1]],
        [at[0] + 14, at[1] - 6],
        [at[0] + 18, at[1] - 34],
      ],
      3,
    )
    sketch.fill([...right, ...right.map(([x, y]): Point => [2 * at[0] - x, y]).reverse()], 'leaf')
    for (const side of [1, -1])
      sketch.line(
        right.map(([x, y]): Point => [at[0] + side * (x - at[0]), y]),
        { width: 2 },
      )
    sketch.line(
      [
        [at[0], at[1] + 30],
        [at[0], at[1]],
        [at[0], at[1] - 34],
      ],
      { width: 4, start: 1, end: 0.5 },
    )
    if (bears.includes(i))
      for (const side of i % 3 === 0 ? [1] : [1, -1])
        sketch.dot([at[0] + side * 6, at[1] + 1], 6).dot([at[0] + side * 5.4, at[1]], 3, 'red')
  }
  return sketch.picture()
}

/** A twig cut across and a piece of it; outline: of the section; pith: in its middle. */
export function twigSection(read: Reader): Picture {
  const outline = read.word('outline', OUTLINES)
  const pith = read.word('pith', PITHS)
  read.done()
  const sketch = new Sketch()
  const at: Point = [100, 84]
  const rim = Array.from({ length: 60 }, (_, i): Point => {
    const angle = (i * 2 * Math.PI) / 60 - Math.PI / 2
    const corner = Math.cos((angle + Math.PI / 2) * 2.5) ** 2
    const reach = outline === 'round' ? 66 : outline === 'blunt' ? 58 + 14 * corner : 52 + 24 * corner ** 10
    return [at[0] + reach * Math.cos(angle), at[1] + reach * Math.sin(angle)]
  })
  sketch.shape(rim, 'brown', 3.2)
  sketch.shape(
    rim.map(([x, y]): Point => [at[0] + (x - at[0]) * 0.86, at[1] + (y - at[1]) * 0.86]),
    'cream',
    1.6,
  )
  if (pith === 'star') {
    sketch.shape(
      Array.from(
        { length: 10 },
        (_, i): Point => [
          at[0] + (i % 2 ? 11 : 27) * Math.sin((i * Math.PI) / 5),
          at[1] - (i % 2 ? 11 : 27) * Math.cos((i * Math.PI) / 5),
        ],
      ),
      'wood',
      2,
    )
  } else if (pith === 'chambered' || pith === 'layered') {
    sketch.shape(ellipse(at, 26, 26, 30), pith === 'layered' ? 'wood' : 'paper', 2)
    for (const y of [-14, -4, 6, 16])
      sketch.line(
        [
          [at[0] - 22, at[1] + y],
          [at[0], at[1] + y + 2],
          [at[0] + 22, at[1] + y],
        ],
        { width: pith === 'layered' ? 3.4 : 2 },
      )
    if (pith === 'layered') for (const r of [36, 46]) sketch.contour(ellipse(at, r, r, 30), 2.4, 'brown')
  } else sketch.shape(ellipse(at, pith === 'wide' ? 40 : 13, pith === 'wide' ? 40 : 13, 30), 'paper', 2)
  const [left, right] = [62, 138]
  sketch.shape(
    [
      [left, 170],
      [right, 170],
      [right, 204],
      [left, 204],
    ],
    'brown',
    2.4,
  )
  const ribs = outline === 'round' ? [] : outline === 'blunt' ? [84, 116] : [72, 100, 128]
  for (const x of ribs)
    sketch.line(
      [
        [x, 170],
        [x, 186],
        [x, 204],
      ],
      { width: outline === 'ribbed' ? 6 : 2.4, start: 0.9, end: 0.9 },
    )
  return sketch.picture()
}

/** Old leaves on the ground; look: bald, mixed or white beneath, or how far they are divided. */
export function deadLeaves(read: Reader): Picture {
  const look = read.word('look', DEAD)
  read.done()
  const sketch = new Sketch()
  const blade = {
    ratio: look === 'undivided' ? 1.35 : 1.05,
    widest: 0.45,
    base: 'rounded',
    tip: 'short',
    margin: look === 'undivided' ? 'double' : 'uneven',
    teeth: look === 'undivided' ? 11 : 6,
  } as const
  const few = look === 'lobed' || look === 'leaflets-below'
  strewn(
    sketch,
    731,
    few
      ? '56,140 150,150 128,72'
      : look === 'undivided'
        ? '50,146 146,156 44,70 142,74'
        : '46,150 150,160 96,120 40,76 158,82 104,58',
    (at, angle, i) => {
      if (look === 'leaflets')
        leaflet(sketch, at, angle, 52, { slim: 3, margin: 'single', teeth: 9, veins: 3 })
      else if (look === 'lobed' || look === 'leaflets-below') {
        const lobes = {
          ratio: 1.45,
          widest: 0.45,
          pairs: 4,
          depth: look === 'lobed' ? 0.34 : 0.5,
          tips: 'pointed',
          foot: 'rounded',
        } as const
        if (look === 'leaflets-below')
          for (const side of [-1, 1])
            for (const up of [0.06])
              leaflet(sketch, placed([[0, up]], at, 60, angle)[0] ?? at, angle + side * 1.2, 26, {
                slim: 2.6,
                veins: 0,
                teeth: 5,
              })
        drawLobed(
          sketch,
          lobes,
          (line) =>
            placed(
              line.filter((_, k) => line.length < 9 || k % 2 === 0),
              at,
              62,
              angle,
            ),
          { role: i % 2 ? 'grey' : 'straw', width: 1.7, stalk: look === 'lobed' ? 0.2 : 0.34 },
        )
      } else {
        const white = look === 'white' || look === 'undivided' || (look === 'mixed' && i % 2 === 0)
        const role: Role = white ? (look === 'mixed' ? 'grey' : 'pale') : 'brown'
        const onto = (line: readonly Point[]) => placed(line, at, 62, angle)
        sketch.shape(onto(edgeOf(blade, 5).filter((_, k) => k % 2 === 0)), role, 2)
        for (const side of [1, -1] as const)
          for (const vein of sideVeins(halfEdge(blade, side), look === 'undivided' ? 9 : 4, 0.2, side))
            sketch.line(onto([vein[0] ?? [0, 0], vein.at(-1) ?? [0, 0]]), { width: 1.1, start: 1, end: 0.4 })
        sketch.line(onto(points('0,0.28 0,0 0,-0.95')), { width: 2, start: 1, end: 0.3 })
      }
    },
  )
  return sketch.picture()
}

/** The end of a shoot as its leaves unfold; look: their colour and their hairs. */
export function flush(read: Reader): Picture {
  const look = read.word('look', FLUSH)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('100,202 98,160 100,126'), 6), { width: 10, start: 1, end: 0.7 })
  const draw = lots(741)
  if (look === 'white-cups') {
    for (const [lean, role] of [
      [-0.5, 'pale'],
      [0.5, 'pale'],
      [-0.22, 'pale'],
      [0.22, 'pale'],
      [0, 'pale'],
    ] as const)
      sketch.shape(
        placed(
          curve(points('-0.1,0 -0.34,-0.4 -0.22,-0.85 0,-1 0.22,-0.85 0.34,-0.4 0.1,0'), 5),
          [100 + lean * 26, 140],
          124,
          lean * 0.7,
        ),
        role as Role,
        2.6,
      )
    for (let i = 0; i < 50; i++) {
      const [x, y] = [66 + 68 * draw(), 40 + 92 * draw()]
      sketch.line(
        [
          [x, y],
          [x + 2, y - 6],
          [x + 5, y - 8],
        ],
        { width: 1 },
      )
    }
    return sketch.picture()
  }
  const tufts = look === 'grey-tufts' || look === 'plain-tufts'
  const role: Role = (
    {
      green: 'fresh',
      tinged: 'fresh',
      coppery: 'rust',
      silky: 'fresh',
      'grey-felt': 'grey',
      'white-felt': 'pale',
      'grey-tufts': 'sage',
      'plain-tufts': 'fresh',
    } as const
  )[look]
  for (const [angle, size] of [
    [-1.25, 76],
    [1.25, 76],
    [-0.72, 88],
    [0.72, 88],
    [-0.3, 92],
    [0.24, 96],
  ] as const) {
    const onto = (line: readonly Point[]) => placed(line, [100, 140], size, angle)
    const shape = tufts
      ? curve(points('0,-0.1 0.17,-0.3 0.2,-0.6 0,-1 -0.2,-0.6 -0.17,-0.3 0,-0.1'), 4)
      : placed(
          edgeOf(POPLAR, 5).filter((_, i) => i % 3 === 0),
          [0, -0.24],
          0.76,
        )
    sketch.shape(onto(shape), role, 2.2)
    sketch.line(onto(points('0,0 0,-0.4 0,-0.94')), { width: 2, start: 1, end: 0.3 })
    if (look === 'tinged')
      sketch.fill(
        onto(tufts ? [] : curve(points('0,-0.98 0.12,-0.76 0.02,-0.6 -0.12,-0.74 0,-0.98'), 3)),
        'rust',
      )
    if (look !== 'green' && look !== 'tinged' && look !== 'coppery' && look !== 'plain-tufts')
      for (let i = 0; i < (look === 'silky' ? 8 : 16); i++) {
        const up = -0.3 - 0.6 * draw()
        const out = (draw() - 0.5) * (look === 'silky' ? 0.6 : 0.44)
        const long = look === 'silky' ? 0.24 : 0.1
        sketch.line(
          onto([
            [out, up],
            [out + 0.03, up - long / 2],
            [out + (out > 0 ? 0.08 : -0.08), up - long],
          ]),
          { width: 1.2, start: 1, end: 0.4 },
        )
      }
  }
  return sketch.picture()
}
