import { beside, curve, type Point, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { smallLeaf } from './smallleaf'

const FORMS = ['hanging', 'spreading', 'axil', 'axil-and-head'] as const

/** Flowers on a shoot; form: in a long hanging tail, a stiff spike that stands out, or a few in the leaf angles. */
export function raceme(read: Reader): Picture {
  const form = read.word('form', FORMS)
  read.done()
  const sketch = new Sketch()
  if (form === 'axil') axils(sketch)
  else if (form === 'axil-and-head') axilsAndHead(sketch)
  else spike(sketch, form === 'hanging')
  return sketch.picture()
}

function spike(sketch: Sketch, hangs: boolean): void {
  const y = hangs ? 0 : 78 // a spike stands in the middle of the picture
  sketch.line(
    curve(
      [
        [4, 70 + y],
        [50, 52 + y],
        [88, 46 + y],
      ],
      6,
    ),
    { width: 7, start: 1, end: 0.6 },
  )
  smallLeaf(sketch, [56, 52 + y], -0.5, 56)
  if (hangs) smallLeaf(sketch, [86, 47], 1.3, 54)
  else smallLeaf(sketch, [74, 48 + y], 2.4, 56)
  const axis = hangs
    ? curve(points('88,46 112,58 122,100 120,150 124,192'), 6)
    : curve(
        [
          [88, 46 + y],
          [112, 22 + y],
          [146, -6 + y],
          [190, -52 + y],
        ],
        6,
      )
  const count = 13
  sketch.line(axis, { width: 3.4, start: 1, end: 0.4 })
  for (const [i, place] of placesOn(axis, count + 3)
    .slice(2, -1)
    .entries()) {
    const side = i % 2 === 0 ? 1 : -1
    const reach = 20 * (1 - (0.45 * i) / count)
    const at = beside(place, side * reach, 3)
    sketch.line([place.at, at], { width: 1.6, start: 1, end: 0.7 })
    flower(sketch, at, 10.5 - (4.5 * i) / count)
  }
  const tip = axis.at(-1)
  if (tip) sketch.dot(tip, 3.2, 'ink').dot(tip, 1.7, 'paper')
}

/** Five round petals about a dark middle. */
function flower(sketch: Sketch, [x, y]: Point, size: number): void {
  const outline = Array.from({ length: 20 }, (_, i): Point => {
    const angle = (i * 2 * Math.PI) / 20 + 0.3
    const reach = size * (0.82 + 0.28 * Math.cos((i * 2 * Math.PI) / 4))
    return [x + Math.cos(angle) * reach, y + Math.sin(angle) * reach]
  })
  sketch.shape(outline, 'paper', 1.5).dot([x, y], size * 0.24, 'ink')
}

function axils(sketch: Sketch): void {
  const axis = curve(points('96,200 104,140 97,80 102,16'), 8)
  for (const [y, side] of [
    [160, 1],
    [116, -1],
    [72, 1],
    [34, -1],
  ] as const) {
    smallLeaf(sketch, [100, y], side * 1.05, 74)
    for (const lean of [-8, 6]) {
      const at: Point = [100 + side * (24 + Math.abs(lean)), y + 12 + lean]
      sketch.line(curve([[100, y + 1], [100 + side * 12, y + 10], at], 4), { width: 1.6, start: 1, end: 0.8 })
      sketch.dot(at, 6.4, 'ink').dot([at[0] - 1.4, at[1] - 1.8], 2, 'paper')
    }
  }
  sketch.line(axis, { width: 6, start: 1, end: 0.5 })
}

/** Black berries in the leaf angles of one shoot, and in a flat head at the end of another. */
function axilsAndHead(sketch: Sketch): void {
  sketch.line(curve(points('46,202 52,120 48,20'), 6), { width: 6, start: 1, end: 0.5 })
  for (const [y, side] of [
    [150, 1],
    [96, -1],
    [44, 1],
  ] as const) {
    smallLeaf(sketch, [49, y], side * 1.05, 58, 1)
    const at: Point = [49 + side * 17, y + 15]
    sketch.line([[49, y], at], { width: 1.8 }).dot(at, 8, 'dark')
  }
  sketch.line(points('150,202 150,130'), { width: 5, start: 1, end: 0.8 })
  for (const x of [112, 128, 144, 160, 176, 190]) {
    const y = 76 + Math.abs(x - 151) * 0.22
    sketch
      .line(
        curve(
          [
            [150, 134],
            [(150 + x) / 2, 104],
            [x, y],
          ],
          4,
        ),
        { width: 2 },
      )
      .dot([x, y], 8, 'dark')
  }
  for (const side of [-1, 1]) smallLeaf(sketch, [150, 164], side * 1.3, 40, 0)
}
