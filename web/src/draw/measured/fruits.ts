import { curve, type Point, points } from '../geometry'
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
  dimension(sketch, [100 - width / 2, 186], [100 + width / 2, 186])
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
  dimension(sketch, [85, 178], [115, 178])
}
