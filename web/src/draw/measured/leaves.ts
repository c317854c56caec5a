import { curve, type Point, placed, points } from '../geometry'
import { edgeOf, halfEdge, sideVeins } from '../leaf'
import { toothed } from '../margin'
import type { Sketch } from '../sketch'
import { dimension, type Value } from './figure'

/* Figures of leaves: what is measured or counted on a blade, with its dimension line. */

/** A plain leaf from the stalk's foot at 100,y upwards; its size in units. */
function blade(sketch: Sketch, y: number, length: number, ratio: number, veins = 6, stalk = 22): void {
  const shape = { ratio, widest: 0.45, base: 'rounded', tip: 'pointed', margin: 'entire', teeth: 10 } as const
  const onto = (points: readonly Point[]) => placed(points, [100, y], length)
  sketch.shape(onto(edgeOf(shape, 3).filter((_, i) => i % 2 === 0)), 'leaf', 2.4)
  for (const side of [1, -1] as const) {
    for (const vein of sideVeins(halfEdge(shape, side), veins, 0.3, side))
      sketch.line(onto(vein), { width: 1.3, start: 0.9, end: 0.3 })
  }
  sketch.line(
    [
      [100, y + stalk],
      [100, y],
      [100, y - length * 0.96],
    ],
    { width: 3, start: 0.9, end: 0.3 },
  )
}

export function leafLength(sketch: Sketch, { share }: Value): void {
  const length = 56 + 106 * share
  blade(sketch, 178, length, 1.6)
  dimension(sketch, [172, 178], [172, 178 - length])
}

export function leafWidth(sketch: Sketch, { share }: Value): void {
  const width = 34 + 96 * share
  blade(sketch, 168, 140, 140 / width)
  dimension(sketch, [100 - width / 2, 105], [100 + width / 2, 105])
}

export function leafRatio(sketch: Sketch, { raw }: Value): void {
  const ratio = Math.min(5, Math.max(0.7, raw))
  const length = Math.min(140, 130 * ratio)
  blade(sketch, 164, length, ratio)
  dimension(sketch, [184, 164], [184, 164 - length])
  dimension(sketch, [100 - length / ratio / 2, 188], [100 + length / ratio / 2, 188])
}

export function leafStalk(sketch: Sketch, { share }: Value): void {
  const stalk = 16 + 70 * share
  blade(sketch, 190 - stalk, 110, 1.6, 6, stalk)
  dimension(sketch, [124, 190], [124, 190 - stalk])
}

/** A toothed leaf's lower part with the part from the stalk to the first tooth. */
export function firstTooth(sketch: Sketch, { share }: Value): void {
  const bare = 24 + 62 * share
  const edge = curve(
    [
      [100, 176],
      [100 + bare * 0.5, 166],
      [100 + bare, 150],
    ],
    5,
  )
  const rim = toothed(
    [
      [100 + bare, 150],
      [178, 108],
      [170, 50],
      [150, 8],
    ],
    'single',
    6,
    1,
    5,
  )
  const left: readonly Point[] = points('50,8 30,50 22,108 56,158')
  sketch.shape([...edge, ...rim, [100, 4], ...left], 'leaf', 2.6)
  for (const y of [140, 104, 68]) {
    for (const side of [-1, 1])
      sketch.line(
        curve(
          [
            [100, y],
            [100 + side * 34, y - 20],
            [100 + side * 62, y - 34],
          ],
          4,
        ),
        { width: 1.6 },
      )
  }
  sketch.line(points('100,198 100,176 100,8'), { width: 4.4, start: 1, end: 0.5 })
  dimension(sketch, [100, 184], [100 + bare, 160])
}

/** The leaf's tip with its width a quarter of the way down. */
export function tipWidth(sketch: Sketch, { share }: Value): void {
  const half = 10 + 26 * share
  const right: readonly Point[] = [
    [100, 6],
    [100 + half * 0.5, 34],
    [100 + half, 62],
    [100 + 36 + half * 0.6, 110],
    [176, 160],
    [150, 186],
    [100, 192],
  ]
  const outline = [...curve(right, 6), ...curve(right.map(([x, y]): Point => [200 - x, y]).reverse(), 6)]
  sketch.shape(outline, 'leaf', 2.6)
  for (const y of [170, 134, 98, 66]) {
    for (const side of [-1, 1])
      sketch.line(
        curve(
          [
            [100, y],
            [100 + side * (y * 0.16), y - 14],
            [100 + side * (y * 0.32), y - 22],
          ],
          4,
        ),
        { width: 1.6 },
      )
  }
  sketch.line(points('100,198 100,90 100,12'), { width: 4, start: 1, end: 0.3 })
  dimension(sketch, [100 - half, 62], [100 + half, 62])
}

/** Teeth between the ends of two side veins, numbered by dots. */
export function teethBetween(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(9, Math.max(0, Math.round(raw)))
  const rim: Point[] = points('112,196 128,176 116,168')
  for (let i = 0; i < count; i++) {
    const y = 164 - ((i + 0.3) * 124) / Math.max(1, count)
    const step = 124 / Math.max(1, count)
    rim.push([116, y], [127, y - step * 0.6], [116, y - step * 0.8])
  }
  rim.push([116, 40], [130, 22], [114, 12])
  sketch.fill([...rim, [6, 12], [6, 196]], 'leaf')
  sketch.line(rim, { width: 3.4, start: 0.9, end: 0.9 })
  sketch
    .line(curve(points('6,206 60,196 126,176'), 5), { width: 3.4 })
    .line(curve(points('6,60 60,44 128,22'), 5), { width: 3.4 })
  for (let i = 0; i < count; i++) sketch.dot([140, 164 - ((i + 0.9) * 124) / count], 4, 'measure')
  dimension(sketch, [160, 176], [160, 22])
}

export function veinPairs(sketch: Sketch, { raw }: Value): void {
  const pairs = Math.min(30, Math.max(1, Math.round(raw)))
  blade(sketch, 178, 160, 1.45, pairs)
  const shape = {
    ratio: 1.45,
    widest: 0.45,
    base: 'rounded',
    tip: 'pointed',
    margin: 'entire',
    teeth: 10,
  } as const
  for (const vein of sideVeins(halfEdge(shape, 1), pairs, 0.3, 1)) {
    const end = placed(vein.slice(-1), [100, 178], 160)[0]
    if (end) sketch.dot([end[0] + 8, end[1] - 2], Math.min(4, 60 / pairs), 'measure')
  }
}

function lobe(sketch: Sketch, depth: number): void {
  const notch = 100 + 70 * (1 - depth)
  const right: readonly Point[] = [
    [100, 186],
    [128, 160],
    [170, 116],
    [notch, 92],
    [158, 58],
    [124, 40],
    [100, 12],
  ]
  const outline = [...right, ...right.map(([x, y]): Point => [200 - x, y]).reverse()]
  sketch.shape(outline, 'leaf', 2.6)
  for (const side of [-1, 1]) {
    sketch
      .line(
        [
          [100, 156],
          [100 + side * 64, 118],
        ],
        { width: 2 },
      )
      .line(
        [
          [100, 106],
          [100 + side * 52, 62],
        ],
        { width: 2 },
      )
  }
  sketch.line(points('100,200 100,100 100,18'), { width: 4, start: 1, end: 0.3 })
}

export function lobeDepth(sketch: Sketch, { raw }: Value): void {
  const depth = Math.min(0.95, Math.max(0.03, raw))
  lobe(sketch, depth)
  dimension(sketch, [100 + 70 * (1 - depth), 92], [170, 92])
  dimension(sketch, [100, 196], [170, 196])
}

export function lobeCount(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(9, Math.max(1, Math.round(raw)))
  const pairs = (count - 1) / 2
  const right: Point[] = [[100, 188]]
  for (let i = 0; i < pairs; i++) {
    const y = 150 - (i * 116) / (pairs + 0.6)
    right.push([100 + 70 - i * 9, y], [100 + 34 - i * 4, y - 20])
  }
  right.push([116, 40], [100, 12])
  sketch.shape([...right, ...right.map(([x, y]): Point => [200 - x, y]).reverse()], 'leaf', 2.6)
  sketch.line(points('100,200 100,100 100,18'), { width: 4, start: 1, end: 0.3 })
  for (let i = 0; i < pairs; i++) {
    const y = 150 - (i * 116) / (pairs + 0.6)
    for (const side of [-1, 1]) sketch.dot([100 + side * (80 - i * 9), y], 4.5, 'measure')
  }
  sketch.dot([100, 4.5], 4.5, 'measure')
}
