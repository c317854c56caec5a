import { curve } from '../geometry'
import type { Sketch } from '../sketch'
import { dimension, type Value } from './figure'

/* Figures of buds. */

function budShape(sketch: Sketch, bottom: number, length: number, width: number): void {
  sketch.fill(
    [
      [100 - width * 0.3, 200],
      [100 - width * 0.3, bottom],
      [100 + width * 0.3, bottom],
      [100 + width * 0.3, 200],
    ],
    'wood',
  )
  sketch
    .line(
      [
        [100 - width * 0.3, 200],
        [100 - width * 0.3, bottom],
      ],
      { width: 2.2 },
    )
    .line(
      [
        [100 + width * 0.3, 200],
        [100 + width * 0.3, bottom],
      ],
      { width: 3 },
    )
  sketch.shape(
    curve(
      [
        [100, bottom - length],
        [100 + width / 2, bottom - length * 0.5],
        [100 + width * 0.36, bottom],
        [100 - width * 0.36, bottom],
        [100 - width / 2, bottom - length * 0.5],
        [100, bottom - length],
      ],
      6,
    ),
    'wood',
    2.6,
  )
}

export function budLength(sketch: Sketch, { share }: Value): void {
  const length = 42 + 116 * share
  budShape(sketch, 180, length, 34 + length * 0.2)
  dimension(sketch, [154, 180], [154, 180 - length])
}

export function scaleRatio(sketch: Sketch, { raw }: Value): void {
  const part = Math.min(1, Math.max(0.05, raw))
  budShape(sketch, 176, 150, 66)
  sketch.shape(
    curve(
      [
        [72, 172],
        [70, 176 - 75 * part],
        [90, 176 - 150 * part],
        [106, 176 - 70 * part],
        [104, 176],
        [72, 172],
      ],
      5,
    ),
    'orange',
    2.4,
  )
  dimension(sketch, [164, 176], [164, 26], 1)
  dimension(sketch, [44, 176], [44, 176 - 150 * part])
}

export function budRatio(sketch: Sketch, { raw }: Value): void {
  const ratio = Math.min(5.2, Math.max(0.8, raw))
  const length = Math.min(136, 92 * ratio)
  const width = length / ratio
  budShape(sketch, 160, length, width)
  dimension(sketch, [178, 160], [178, 160 - length])
  dimension(sketch, [100 - width / 2, 182], [100 + width / 2, 182], 1)
}

/** The end of a winter twig with its buds, and how thick the twig is below them. */
export function twigThickness(sketch: Sketch, { share }: Value): void {
  const width = 22 + 66 * share
  const [left, right] = [100 - width / 2, 100 + width / 2]
  sketch.shape(
    [
      [left, 206],
      [left, 84],
      [right, 84],
      [right, 206],
    ],
    'wood',
    2.8,
  )
  for (const lean of [-1, 1, 0]) {
    const at = 100 + lean * width * 0.36
    sketch.shape(
      curve(
        [
          [at - 13, 88],
          [at - 15 + lean * 6, 62],
          [at + lean * 14, lean === 0 ? 14 : 40],
          [at + 15 + lean * 6, 62],
          [at + 13, 88],
        ],
        5,
      ),
      'dark',
      2,
    )
  }
  dimension(sketch, [left, 140], [right, 140])
}
