import { beside, curve, lots, type Point, placed, placesOn, points } from './geometry'
import { hairsOn, halfEdge, sideVeins } from './leaf'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

const ENDS = ['alike', 'large', 'missing', 'lobed'] as const
const AXES = ['plain', 'grooved', 'winged', 'hairy'] as const
const EDGES = ['single', 'entire', 'fine', 'double'] as const
const ABOVE = ['leaflets', 'lobes'] as const

type LeafletLook = {
  readonly slim?: number
  /** Its own stalk, share of its length. */
  readonly stalk?: number
  readonly margin?: (typeof EDGES)[number]
  readonly teeth?: number
  readonly veins?: number
}

/** One leaflet: where it begins, its direction (radians from straight up, clockwise), its length in units and its look. */
export function leaflet(
  sketch: Sketch,
  at: Point,
  angle: number,
  length: number,
  { slim = 2.4, stalk = 0, margin = 'single', teeth = 9, veins = 5 }: LeafletLook = {},
): void {
  const blade = {
    ratio: slim,
    widest: 0.42,
    base: 'unequal',
    tip: 'pointed',
    margin: 'entire',
    teeth: 3,
  } as const
  const foot = placed([[0, -stalk]], at, length, angle)[0] ?? at
  const onto = (line: readonly Point[]) => placed(line, foot, length, angle)
  const outline = ([1, -1] as const).map((side) => leafletEdge(halfEdge(blade, side), margin, teeth, side))
  sketch.shape(
    onto([...(outline[0] ?? []), ...(outline[1] ?? []).reverse()]),
    'leaf',
    length > 60 ? 2.2 : 1.7,
  )
  if (length >= 34)
    for (const side of [1, -1] as const) {
      for (const vein of sideVeins(halfEdge(blade, side), veins, 0.4, side))
        sketch.line(onto([vein[0] ?? [0, 0], vein.at(-1) ?? [0, 0]]), { width: 1, start: 1, end: 0.4 })
    }
  sketch.line([at, ...onto(points('0,0 0,-0.95'))], { width: 1.9, start: 1, end: 0.3 })
}

/** One half of a leaflet's edge with a valley and a point for each tooth. */
function leafletEdge(
  half: readonly Point[],
  margin: (typeof EDGES)[number],
  teeth: number,
  side: 1 | -1,
): Point[] {
  if (margin === 'entire') return placesOn(half, 11).map((place) => place.at)
  const count = margin === 'fine' ? Math.round(teeth * 1.6) : teeth
  const high = (margin === 'fine' ? 0.3 : 0.55) / (count * 1.6)
  return placesOn(half, 2 * count + 1).map((place, i) => {
    const size = margin === 'double' && i % 4 === 1 ? 0.5 : 1
    return i % 2 === 1 && i > 1 ? beside(place, -side * high * size, high * size) : place.at
  })
}

/**
 * A leaf of leaflets.
 *
 * pairs: of leaflets, 1 to 9; slim: length of one over its width; stalks: of the side leaflets, share of their length; end: the
 * leaflet at the end, alike, larger, lobed, or missing; edge: of the leaflets; axis: the stalk between them; above: whether
 * leaflets go on to the tip, or only stand free below a lobed blade.
 */
export function leafOfLeaflets(read: Reader): Picture {
  const pairs = Math.round(read.number('pairs', 1, 9, 4))
  const slim = read.number('slim', 1.2, 8, 2.4)
  const stalks = read.number('stalks', 0, 0.4, 0)
  const end = read.word('end', ENDS)
  const edge = read.word('edge', EDGES)
  const axis = read.word('axis', AXES)
  const above = read.word('above', ABOVE)
  read.done()
  const sketch = new Sketch()
  const options = {
    slim,
    margin: edge,
    teeth: 8 - Math.min(3, Math.floor(pairs / 3)),
    veins: pairs > 3 ? 2 : 5,
  }
  if (above === 'lobes') lobedAbove(sketch, pairs, options)
  else {
    const [low, high] = [158, 74]
    const gap = (low - high) / Math.max(1, pairs - 0.5)
    const length = Math.min(70, Math.max(30, gap * slim * 0.92))
    midstalk(sketch, axis, 74)
    for (let i = 0; i < pairs; i++) {
      for (const side of [-1, 1])
        leaflet(sketch, [100, low - gap * i], side * (1.24 - 0.05 * i), length * (i === 0 ? 0.84 : 1), {
          ...options,
          stalk: stalks,
        })
    }
    if (end === 'alike')
      leaflet(sketch, [100, 74], 0, Math.min(68, length * 1.05), { ...options, stalk: 0.08 })
    if (end === 'large')
      leaflet(sketch, [100, 76], 0, 74, { ...options, slim: Math.min(slim, 1.7), stalk: 0.04 })
    if (end === 'lobed') {
      for (const side of [-1, 1]) leaflet(sketch, [100, 74], side * 0.5, length * 0.8, options)
      leaflet(sketch, [100, 76], 0, 66, { ...options, slim: Math.min(slim, 1.9) })
    }
    if (end === 'missing') sketch.line(points('100,76 101,66 103,58'), { width: 2, start: 1, end: 0.4 })
  }
  return sketch.picture()
}

function midstalk(sketch: Sketch, axis: (typeof AXES)[number], top: number): void {
  if (axis === 'winged') {
    const right: Point[] = [
      [104, 176],
      [111, 158],
      [105, 142],
      [111, 122],
      [105, 106],
      [109, 88],
      [102, top],
    ]
    sketch.shape([...right, ...right.map(([x, y]): Point => [200 - x, y]).reverse()], 'leaf', 1.8)
  }
  const line = curve(
    [
      [97, 199],
      [99, 160],
      [100, 110],
      [100, top],
    ],
    6,
  )
  sketch.line(line, { width: axis === 'grooved' ? 7 : 4, start: 1, end: 0.6 })
  if (axis === 'grooved') sketch.line(line, { width: 2.6, start: 1, end: 0.6, role: 'leaf' })
  if (axis === 'hairy') hairsOn(sketch, line, 22, 8, 71)
}

/** Free leaflets at the foot, and above them a blade whose lobes grow shallower to its tip. */
function lobedAbove(sketch: Sketch, pairs: number, options: LeafletLook): void {
  const free = Math.min(3, pairs)
  const top = 162 - free * 18
  const right: Point[] = [[100, top + 6]]
  const rows = 5
  for (let i = 0; i < rows; i++) {
    const y = top - 4 - (i * (top - 26)) / rows
    const out = 52 - i * 8
    const deep = 0.62 - 0.12 * i
    right.push([100 + out * 0.78, y + 1], [100 + out, y - 11], [100 + out * (1 - deep), y - 15])
  }
  right.push([108, 18], [100, 6])
  const outline = [...right, ...right.map(([x, y]): Point => [200 - x, y]).reverse()]
  for (let i = 0; i < free; i++)
    for (const side of [-1, 1])
      leaflet(sketch, [100, 166 - i * 18], side * 1.22, 52, { ...options, slim: 2.7, teeth: 6 })
  sketch.shape(outline, 'leaf', 2.4)
  for (let i = 0; i < rows; i++) {
    const y = top - 4 - (i * (top - 26)) / rows
    for (const side of [-1, 1])
      sketch.line(
        [
          [100, y + 10],
          [100 + side * (24 - 4 * i), y - 1],
          [100 + side * (46 - i * 8), y - 9],
        ],
        { width: 1.5, start: 1, end: 0.3 },
      )
  }
  sketch.line(points('97,199 99,160 100,100 100,10'), { width: 4, start: 1, end: 0.3 })
}

/** Loose leaflets and others on the ground; used by pictures of the leaf drift. */
export function strewn(
  sketch: Sketch,
  seed: number,
  at: string,
  drawOne: (at: Point, angle: number, i: number) => void,
): void {
  const draw = lots(seed)
  for (const [i, place] of points(at).entries()) drawOne(place, 6.28 * draw(), i)
  sketch.line(curve(points('4,188 60,183 140,189 196,184'), 5), { width: 2 })
}
