import { beside, distance, type Point } from '../geometry'
import type { Sketch } from '../sketch'
import type { OwnLeaf } from './ownleaf'

/** A value on the ruler: as it is, and its share of the way from the least to the most that any candidate has, in [0, 1]. */
export type Value = { readonly raw: number; readonly share: number }

/** Draws what is measured to a value, on a leaf of that kind where it is one. */
export type Figure = (sketch: Sketch, value: Value, leaf: OwnLeaf) => void

/** A dimension line from one point to another, with arrows and ticks at its ends; it is that part of what is asked for. */
export function dimension(sketch: Sketch, from: Point, to: Point, part = 0): void {
  sketch.ofPart(part, () => dimensionLine(sketch, from, to)).span(part, from, to)
}

function dimensionLine(sketch: Sketch, from: Point, to: Point): void {
  const length = distance(to[0] - from[0], to[1] - from[1]) || 1
  const along: Point = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
  const pen = { width: 2.6, start: 1, end: 1, role: 'measure' } as const
  sketch.line([from, to], pen)
  for (const [at, dir] of [
    [from, 1],
    [to, -1],
  ] as const) {
    const place = { at, along }
    sketch.line([beside(place, 7), beside(place, -7)], pen)
    if (length > 22) {
      sketch.fill([at, beside(place, 4, dir * 9), beside(place, -4, dir * 9)], 'measure')
    }
  }
}
