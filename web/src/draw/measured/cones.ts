import { curve, type Point, placesOn, points } from '../geometry'
import { ellipse, type Sketch } from '../sketch'
import { dimension, type Value } from './figure'

/* Figures of cones. */

function coneShape(sketch: Sketch, bottom: number, length: number, width: number, rows: number): void {
  sketch.line(
    [
      [100, Math.min(199, bottom + 16)],
      [100, bottom - 4],
    ],
    { width: 7, start: 1, end: 1 },
  )
  sketch.shape(ellipse([100, bottom - length / 2], width / 2, length / 2, 44), 'brown', 2.6)
  for (let i = 0; i < rows; i++) {
    const t = (i + 0.7) / rows
    const half = (width / 2) * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)) * 0.96
    const y = bottom - length * (1 - t)
    const scallops = Array.from(
      { length: 7 },
      (_, k): Point => [100 - half + (2 * half * k) / 6, y + (k % 2 ? 5 : -2)],
    )
    sketch.line(curve(scallops, 3), { width: 2 })
  }
}

export function coneLength(sketch: Sketch, { share }: Value): void {
  const length = 50 + 118 * share
  coneShape(sketch, 184, length, 44 + length * 0.24, 6)
  dimension(sketch, [166, 184], [166, 184 - length])
}

export function coneRatio(sketch: Sketch, { raw }: Value): void {
  const ratio = Math.min(3, Math.max(0.6, raw))
  const length = Math.min(150, 104 * ratio)
  const width = length / ratio
  coneShape(sketch, 168, length, width, 6)
  dimension(sketch, [100 + width / 2 + 16, 168], [100 + width / 2 + 16, 168 - length])
  dimension(sketch, [100 - width / 2, 190], [100 + width / 2, 190])
}

export function coneScales(sketch: Sketch, { share }: Value): void {
  const rows = Math.round(3 + 6 * share)
  coneShape(sketch, 178, 156, 96, rows)
  for (let i = 0; i < rows; i++) sketch.dot([162, 22 + (156 * (i + 0.7)) / rows], 4, 'measure')
}

export function cones(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(8, Math.max(1, Math.round(raw)))
  const axis = curve(points('6,20 70,34 130,52 190,60'), 8)
  sketch.line(axis, { width: 5, start: 1, end: 0.7 })
  for (const [i, place] of placesOn(axis, count + 2)
    .slice(1, -1)
    .entries()) {
    const at: Point = [place.at[0], place.at[1] + 52 + (i % 2) * 40]
    sketch.line([place.at, at], { width: 3 })
    sketch.shape(ellipse([at[0], at[1] + 18], Math.min(17, 90 / count), 22, 24), 'brown', 2.2)
    sketch.dot([at[0], at[1] + 50], 4, 'measure')
  }
}
