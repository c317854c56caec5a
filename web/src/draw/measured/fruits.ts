import { curve, type Point, points } from '../geometry'
import { drawCapsule } from '../keys'
import { ellipse, type Sketch } from '../sketch'
import { dimension, type Value } from './figure'

/* Figures of flowers and fruit. */

export function fruitLength(sketch: Sketch, { share }: Value): void {
  const length = 52 + 100 * share
  sketch.line(points('100,198 100,178'), { width: 5, start: 1, end: 1 })
  sketch.shape(ellipse([100, 180 - length / 2], length * 0.43, length / 2, 44), 'wood', 2.6)
  dimension(sketch, [170, 180], [170, 180 - length])
}

export function fruitRatio(sketch: Sketch, { raw }: Value): void {
  const ratio = Math.min(2, Math.max(0.5, raw))
  const length = Math.min(140, 118 * Math.sqrt(ratio))
  const width = length / ratio
  sketch.line(points('100,198 100,164'), { width: 5, start: 1, end: 1 })
  sketch.shape(ellipse([100, 166 - length / 2], width / 2, length / 2, 44), 'red', 2.6)
  sketch.shape(
    [
      [88, 170 - length],
      [94, 160 - length],
      [100, 168 - length],
      [106, 160 - length],
      [112, 170 - length],
    ],
    'wood',
    2,
  )
  dimension(sketch, [100 + width / 2 + 16, 166], [100 + width / 2 + 16, 166 - length])
  dimension(sketch, [100 - width / 2, 186], [100 + width / 2, 186], 1)
}

export function stones(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(5, Math.max(1, Math.round(raw)))
  sketch.shape(ellipse([100, 100], 84, 84, 48), 'red', 2.8)
  sketch.shape(ellipse([100, 100], 74, 74, 48), 'cream', 1.4)
  for (let i = 0; i < count; i++) {
    const angle = (i * 2 * Math.PI) / count - Math.PI / 2
    const reach = count === 1 ? 0 : 36
    const at: Point = [100 + reach * Math.cos(angle), 100 + reach * Math.sin(angle)]
    sketch.shape(ellipse(at, 24, 24, 24), 'wood', 2.4).dot(at, 5, 'measure')
  }
}

export function flowers(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(26, Math.max(1, Math.round(raw)))
  sketch.line(points('100,198 100,132'), { width: 5, start: 1, end: 0.8 })
  for (let i = 0; i < count; i++) {
    const angle = i * 2.39996
    const reach = 74 * Math.sqrt((i + 0.4) / Math.max(6, count))
    const at: Point = [100 + reach * Math.cos(angle), 78 + reach * 0.86 * Math.sin(angle)]
    sketch.line([[100, 134], at], { width: 1.2 })
  }
  for (let i = 0; i < count; i++) {
    const angle = i * 2.39996
    const reach = 74 * Math.sqrt((i + 0.4) / Math.max(6, count))
    const at: Point = [100 + reach * Math.cos(angle), 78 + reach * 0.86 * Math.sin(angle)]
    sketch.shape(ellipse(at, 10, 10, 12), 'paper', 1.6).dot(at, 3, 'measure')
  }
}

export function wingRatio(sketch: Sketch, { raw }: Value): void {
  const wing = 30 * Math.min(2.6, Math.max(0.3, raw))
  for (const side of [-1, 1]) {
    const x = (v: number) => 100 + side * v
    sketch.shape(
      curve(
        [
          [x(12), 56],
          [x(15 + wing * 0.7), 44],
          [x(15 + wing), 92],
          [x(15 + wing * 0.7), 136],
          [x(12), 128],
        ],
        5,
      ),
      'cream',
      2,
    )
    for (const y of [66, 92, 118])
      sketch.line(
        [
          [x(14), y],
          [x(12 + wing * 0.8), y - 4],
        ],
        { width: 0.9, role: 'hatch' },
      )
  }
  sketch.shape(ellipse([100, 94], 15, 46, 30), 'wood', 2.6)
  sketch.line(points('96,48 92,34'), { width: 2 }).line(points('104,48 108,34'), { width: 2 })
  dimension(sketch, [115, 158], [115 + wing, 158])
  dimension(sketch, [85, 178], [115, 178], 1)
}

/** Acorns on the stalk that bears them, from the twig to the lowest cup. */
export function acornStalk(sketch: Sketch, { share }: Value): void {
  const reach = 2 + 96 * Math.sqrt(Math.max(0, share))
  sketch.line(curve(points('22,-4 28,60 24,130 30,204'), 8), { width: 11, start: 1, end: 0.8 })
  const y = 62
  const cup: Point = [30 + reach, y + reach * 0.42]
  sketch.line([[26, y], [28 + reach * 0.5, y + reach * 0.24], cup], { width: 5, start: 1, end: 1 })
  for (const [dx, dy] of points('14,18 34,2')) {
    const at: Point = [cup[0] + dx, cup[1] + dy]
    sketch.shape(ellipse([at[0] + 6, at[1] + 16], 16, 24, 24), 'straw', 2.4)
    sketch.shape(
      curve(
        [
          [at[0] - 15, at[1] + 8],
          [at[0] - 12, at[1] - 10],
          [at[0] + 8, at[1] - 14],
          [at[0] + 24, at[1] - 2],
          [at[0] + 22, at[1] + 10],
          [at[0] + 2, at[1] + 14],
          [at[0] - 15, at[1] + 8],
        ],
        4,
      ),
      'brown',
      2.4,
    )
  }
  const from: Point = [36, y + 62 + reach * 0.1]
  dimension(sketch, [from[0], 176], [Math.max(from[0] + 4, cup[0] + 6), 176])
}

export function keyLength(sketch: Sketch, { share }: Value): void {
  const length = 60 + 112 * share
  const onto = (line: string) =>
    curve(points(line), 5).map(([x, y]): Point => [92 + x * length * 1.5, 16 + y * length])
  sketch.line(points('84,-4 88,6 92,18'), { width: 3.4, start: 1, end: 1 })
  sketch.shape(
    onto(
      '0,0 0.05,0.1 0.06,0.3 0.1,0.46 0.12,0.72 0.09,0.93 0,1 -0.09,0.93 -0.12,0.72 -0.1,0.46 -0.06,0.3 -0.05,0.1 0,0',
    ),
    'straw',
    2.6,
  )
  sketch.shape(onto('0,0.04 0.04,0.16 0.045,0.36 0,0.5 -0.045,0.36 -0.04,0.16 0,0.04'), 'brown', 2)
  dimension(sketch, [160, 16], [160, 16 + length])
}

export function valves(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(4, Math.max(2, Math.round(raw)))
  drawCapsule(sketch, count)
  for (let i = 0; i < count; i++) {
    const angle = -0.95 + (1.9 * i) / (count - 1)
    sketch.dot([100 + 124 * Math.sin(angle) * 0.78, 146 - 134 * Math.cos(angle)], 5, 'measure')
  }
}
