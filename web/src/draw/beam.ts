/** A block on the beam: where it lies and how large it is, in the beam's own units. */
export type Block = {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

const PER_POINT = 5 // units of width a point
const LEAST_WIDTH = 4
const MOST_WIDTH = 125
const HEIGHT = 17
const GAP = 1.5

/** Half the beam's length, in units; the fulcrum is at 0,0 and y grows downwards. */
export const HALF_BEAM = 150

/** How high blocks may be so that so many of them find room on top of each other. */
export function blockHeight(room: number, blocks: number): number {
  return room / blocks - GAP
}

/**
 * Blocks piled on one end of a level beam, the first at the bottom.
 * @param points sizes of the blocks, each above 0
 * @param side -1 for the left end, 1 for the right
 * @param height of each block
 */
export function pile(points: readonly number[], side: -1 | 1, height = HEIGHT): Block[] {
  let top = -4
  return points.map((size) => {
    const width = Math.min(MOST_WIDTH, Math.max(LEAST_WIDTH, size * PER_POINT))
    top -= height + GAP
    return { x: side < 0 ? -HALF_BEAM : HALF_BEAM - width, y: top, width, height }
  })
}

const STEEPEST = 6 // degrees
const FULL_TILT = 30 // points

/**
 * How far the beam leans, in degrees: negative when the left pan, the lead's, goes down.
 * @param total points for the lead against the rival
 */
export function tilt(total: number): number {
  return -STEEPEST * Math.max(-1, Math.min(1, total / FULL_TILT))
}
