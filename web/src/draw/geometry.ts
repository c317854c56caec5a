/** A place in a picture: x to the right, y downwards, in units of the picture's box. */
export type Point = readonly [number, number]

const PAIR = /^-?\d+(\.\d+)?,-?\d+(\.\d+)?$/

/**
 * Points as SVG writes them: pairs "x,y" with spaces between.
 * @throws RangeError for a pair that is not two numbers
 */
export function points(pairs: string): Point[] {
  return pairs.split(' ').map((pair): Point => {
    if (!PAIR.test(pair)) throw new RangeError(`a point is written x,y, but reads ${JSON.stringify(pair)}`)
    const [x, y] = pair.split(',').map(Number)
    return [x ?? Number.NaN, y ?? Number.NaN]
  })
}

/** The length of a vector. Math.hypot guards against overflow, which takes long and no drawing needs. */
export function distance(x: number, y: number): number {
  return Math.sqrt(x * x + y * y)
}

/** The point a share t of the way from one to another. */
export function between(a: Point, b: Point, t: number): Point {
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]
}

/**
 * A smooth curve through points (centripetal splines drift less than they look; Catmull and Rom's uniform one does here).
 * @param through at least two points
 * @param steps points for each stretch between two of them, at least 1
 */
export function curve(through: readonly Point[], steps = 8): Point[] {
  const line: Point[] = []
  for (let i = 0; i + 1 < through.length; i++) {
    const [p1, p2] = [pointOf(through, i), pointOf(through, i + 1)]
    const [p0, p3] = [through[i - 1] ?? p1, through[i + 2] ?? p2]
    for (let s = 0; s < steps; s++) line.push(onSpline(p0, p1, p2, p3, s / steps))
  }
  line.push(pointOf(through, through.length - 1))
  return line
}

function onSpline(p0: Point, p1: Point, p2: Point, p3: Point, t: number): Point {
  const at = (a: number, b: number, c: number, d: number) =>
    0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t * t * t)
  return [at(p0[0], p1[0], p2[0], p3[0]), at(p0[1], p1[1], p2[1], p3[1])]
}

/** The point at a place that is known to be there. */
export function pointOf(points: readonly Point[], i: number): Point {
  const point = points[i]
  if (!point) throw new RangeError(`no point ${i} among ${points.length}`)
  return point
}

/** The length of a line from its first point to each. */
function lengths(points: readonly Point[]): number[] {
  let length = 0
  return points.map((point, i) => {
    const before = points[i - 1] ?? point
    length += distance(point[0] - before[0], point[1] - before[1])
    return length
  })
}

/** A place on a line with the direction in which the line goes there, a vector of length 1. */
export type Place = { readonly at: Point; readonly along: Point }

/** So many places on a line, evenly from its start to its end. */
export function placesOn(points: readonly Point[], count: number): Place[] {
  const reach = lengths(points)
  const total = reach.at(-1) ?? 0
  let i = 0
  return Array.from({ length: count }, (_, n) => {
    const wanted = count === 1 ? 0 : (total * n) / (count - 1)
    while (i + 2 < points.length && (reach[i + 1] ?? 0) < wanted) i++
    const [a, b] = [pointOf(points, i), pointOf(points, i + 1)]
    const length = distance(b[0] - a[0], b[1] - a[1]) || 1
    const at = between(a, b, (wanted - (reach[i] ?? 0)) / length)
    return { at, along: [(b[0] - a[0]) / length, (b[1] - a[1]) / length] }
  })
}

/** The part of a line between two shares of its length, in [0, 1]. */
export function stretch(points: readonly Point[], from: number, to: number, count = 12): Point[] {
  const all = placesOn(points, 101)
  return Array.from({ length: count }, (_, i) => {
    const share = from + ((to - from) * i) / (count - 1)
    return all[Math.round(share * 100)]?.at ?? pointOf(points, 0)
  })
}

/** A point beside a place: to the left of the line's direction for numbers above 0. */
export function beside({ at, along }: Place, distance: number, forward = 0): Point {
  return [at[0] + along[1] * distance + along[0] * forward, at[1] - along[0] * distance + along[1] * forward]
}

/** Turned about the origin by an angle in radians, clockwise on the screen. */
export function turned([x, y]: Point, angle: number): Point {
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)]
  return [x * cos - y * sin, x * sin + y * cos]
}

/** Points moved by an offset, after being scaled and turned about the origin. */
export function placed(points: readonly Point[], to: Point, scale = 1, angle = 0): Point[] {
  return points.map((point) => {
    const [x, y] = turned(point, angle)
    return [to[0] + x * scale, to[1] + y * scale]
  })
}

/** Numbers in [0, 1) that look drawn by lot and are always the same for a seed (Marsaglia's xorshift). */
export function lots(seed: number): () => number {
  let state = (Math.imul(seed, 2654435761) ^ 0x9e3779b9) | 1
  return () => {
    state ^= state << 13
    state ^= state >>> 17
    state ^= state << 5
    return (state >>> 0) / 4294967296
  }
}
