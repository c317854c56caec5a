import { curve, points } from '../geometry'
import type { Sketch } from '../sketch'
import { dimension, type Value } from './figure'

/* Figures of stems and crowns. */

export function tiers(sketch: Sketch, { share }: Value): void {
  const gap = 34 + 78 * share
  sketch.fill(points('93,200 97,6 103,6 107,200'), 'ink')
  for (const y of [174, 174 - gap]) {
    for (const side of [-1, 1]) {
      sketch.line(
        curve(
          [
            [100, y],
            [100 + side * 36, y + 3],
            [100 + side * 64, y - 6],
          ],
          4,
        ),
        { width: 5, start: 1, end: 0.4 },
      )
      for (const x of [26, 44])
        sketch.line(
          [
            [100 + side * x, y + 1],
            [100 + side * (x + 8), y - 9],
          ],
          { width: 2 },
        )
    }
  }
  dimension(sketch, [182, 174], [182, 174 - gap])
}

export function ridge(sketch: Sketch, { raw, share }: Value): void {
  const length = raw <= 0 ? 0 : 14 + 140 * Math.max(0, share)
  sketch.fill(points('66,4 134,4 134,196 66,196'), 'cream')
  sketch
    .line(points('66,4 66,196'), { width: 2.6, start: 1, end: 1 })
    .line(points('134,4 134,196'), { width: 4, start: 1, end: 1 })
  if (length === 0) {
    sketch.line(points('150,100 174,100'), { width: 2.6, start: 1, end: 1, role: 'measure' })
    return
  }
  sketch.line(
    [
      [100, 100 - length / 2],
      [101, 100],
      [100, 100 + length / 2],
    ],
    { width: 7, start: 0.2, end: 0.2 },
  )
  for (const [x, y] of points('80,40 118,130 84,150'))
    sketch.line(
      [
        [x, y],
        [x, y + 18],
      ],
      { width: 4, start: 0.2, end: 0.2 },
    )
  dimension(sketch, [162, 100 - length / 2], [162, 100 + length / 2])
}
