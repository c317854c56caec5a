import { smallCone } from '../cone'
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
  dimension(sketch, [100 - width / 2, 190], [100 + width / 2, 190], 1)
}

/** Half of a cone's scales are seen from one side, each with a dot. */
export function coneScales(sketch: Sketch, { raw }: Value): void {
  const seen = Math.min(38, Math.max(4, Math.round(raw / 2)))
  const rows = Math.max(3, Math.round(Math.sqrt(seen * 1.8)))
  const [tall, wide] = [166, 104]
  sketch.line(points('100,202 100,188'), { width: 8, start: 1, end: 1 })
  sketch.shape(ellipse([100, 104], wide / 2, tall / 2, 44), 'dark', 2.6)
  const room = (row: number) => Math.sqrt(Math.max(0.12, 1 - ((2 * (row + 0.5)) / rows - 1) ** 2))
  const all = Array.from({ length: rows }, (_, row) => room(row)).reduce((sum, one) => sum + one, 0)
  let left = seen
  for (let row = 0; row < rows; row++) {
    const count = row === rows - 1 ? left : Math.min(left, Math.max(1, Math.round((seen * room(row)) / all)))
    left -= count
    const y = 104 - tall / 2 + (tall * (row + 0.5)) / rows
    for (let i = 0; i < count; i++) {
      const half = (wide / 2) * room(row)
      const x = 100 - half + ((i + 0.5) * 2 * half) / count
      const [w, h] = [(half / count) * 0.95, (tall / rows) * 0.56]
      sketch.shape(
        curve(
          [
            [x - w * 0.7, y + h],
            [x - w, y - h * 0.2],
            [x, y - h],
            [x + w, y - h * 0.2],
            [x + w * 0.7, y + h],
          ],
          2,
        ),
        'brown',
        1.5,
      )
      sketch.dot([x, y], Math.min(3.6, w * 0.5), 'measure')
    }
  }
}

export function cones(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(8, Math.max(1, Math.round(raw)))
  const axis = curve(points('6,190 60,156 104,122 140,86'), 8)
  sketch.line(axis, { width: 5, start: 1, end: 0.7 })
  for (const [i, { at, along }] of placesOn(axis, count + 2)
    .slice(2)
    .entries()) {
    const heading = Math.atan2(along[0], -along[1]) + (i === count - 1 ? 0 : i % 2 === 0 ? -0.95 : 0.95)
    const foot: Point = [at[0] + 12 * Math.sin(heading), at[1] - 12 * Math.cos(heading)]
    sketch.line([at, foot], { width: 3 })
    smallCone(sketch, foot, heading, 44)
    sketch.dot([foot[0] + 54 * Math.sin(heading), foot[1] - 54 * Math.cos(heading)], 4.4, 'measure')
  }
}

/** A first-year conelet on its bare stalk. */
export function coneletStalk(sketch: Sketch, { raw }: Value): void {
  const ratio = Math.min(2, Math.max(0.04, raw))
  const length = Math.min(100, 164 / (1 + ratio))
  const stalk = length * ratio
  sketch.line(curve(points('-4,190 60,184 130,188 204,180'), 6), { width: 13, start: 1, end: 0.8 })
  const foot = 184 - stalk
  sketch.line(
    [
      [92, 186],
      [93, (186 + foot) / 2],
      [92, foot],
    ],
    { width: 7, start: 1, end: 1 },
  )
  sketch.shape(ellipse([92, foot - length / 2], length * 0.34, length / 2, 36), 'red', 2.8)
  for (let i = 0; i < 5; i++) {
    const y = foot - length * (0.16 + i * 0.17)
    const half = length * 0.3 * Math.sqrt(Math.max(0.1, 1 - ((i - 2) / 3) ** 2))
    for (const side of [-1, 0, 1])
      sketch.line(
        [
          [92 + side * half * 0.66 - 6, y],
          [92 + side * half * 0.66, y - 7],
          [92 + side * half * 0.66 + 6, y],
        ],
        { width: 1.8 },
      )
  }
  dimension(sketch, [150, 184], [150, foot])
  dimension(sketch, [172, foot], [172, foot - length], 1)
}

/** A closed cone with its bosses, from foot to tip. */
export function pineconeLength(sketch: Sketch, { share }: Value): void {
  const length = 54 + 116 * share
  const half = length * 0.27
  sketch.line(points('88,200 88,188 88,178'), { width: 8, start: 1, end: 1 })
  const at = (x: number, up: number): Point => [88 + x * half, 182 - up * length]
  sketch.shape(
    curve(
      [
        at(0, 0),
        at(0.7, 0.05),
        at(1, 0.3),
        at(0.8, 0.62),
        at(0, 1),
        at(-0.8, 0.62),
        at(-1, 0.3),
        at(-0.7, 0.05),
        at(0, 0),
      ],
      7,
    ),
    'brown',
    2.8,
  )
  for (let row = 0; row < 6; row++) {
    const up = 0.12 + row * 0.14
    const wide = up < 0.3 ? 0.7 + up : 1.25 - up
    for (const x of row % 2 ? [-0.6, 0, 0.6] : [-0.32, 0.32]) {
      const [cx, cy] = at(x * wide, up)
      const r = length * 0.075
      sketch.contour(
        [
          [cx - r, cy],
          [cx, cy - r * 0.8],
          [cx + r, cy],
          [cx, cy + r * 0.8],
        ],
        1.6,
      )
      sketch.dot([cx, cy], r * 0.24)
    }
  }
  dimension(sketch, [160, 182], [160, 182 - length])
}
