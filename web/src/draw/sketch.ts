import { distance, type Point, placesOn, pointOf } from './geometry'
import type { Mark, Picture, Role, Span } from './picture'

/** How a pen goes over the paper. */
export type Pen = {
  /** Width where it is widest, in units. */
  readonly width: number
  /** Share of the width at the start, in [0, 1]. */
  readonly start?: number
  /** Share of the width at the end, in [0, 1]. */
  readonly end?: number
  readonly role?: Role
}

const MOST_PLACES = 400

/** Puts a drawing together, as with a pen that swells and tapers; every mark is a filled shape. */
export class Sketch {
  private readonly marks: Mark[] = []
  private place: (point: Point) => Point = (point) => point
  private part: number | undefined
  private readonly spans: Span[] = []
  private dots = 0

  constructor(
    private readonly width = 200,
    private readonly height = 200,
  ) {}

  /** Draws something with each of its points moved to where the map says; the pen keeps its width. */
  moved(place: (point: Point) => Point, draw: () => void): this {
    const before = this.place
    this.place = place
    draw()
    this.place = before
    return this
  }

  /** Draws what shows one part of what is asked for. */
  ofPart(part: number, draw: () => unknown): this {
    this.part = part
    draw()
    this.part = undefined
    return this
  }

  /** Says from where to where one part of what is asked for goes. */
  span(part: number, from: Point, to: Point): this {
    this.spans.push({ part, from: this.place(from), to: this.place(to) })
    return this
  }

  /** A filled shape with these corners. */
  fill(points: readonly Point[], role: Role): this {
    this.mark(closed(thinned(points.map(this.place))), role)
    return this
  }

  /** A line that swells in the middle and tapers to its ends. */
  line(through: readonly Point[], { width, start = 0.35, end = 0.35, role = 'ink' }: Pen): this {
    if (through.length < 2) return this
    const points = through.map(this.place)
    const left: Point[] = []
    const right: Point[] = []
    points.forEach((point, i) => {
      const before = points[Math.max(0, i - 1)] ?? point
      const after = points[Math.min(points.length - 1, i + 1)] ?? point
      const length = distance(after[0] - before[0], after[1] - before[1]) || 1
      const t = i / (points.length - 1)
      const swell = Math.sin(Math.PI * t) ** 0.6
      const ends = t < 0.5 ? start : end
      const half = (width / 2) * (ends + (1 - ends) * swell)
      const [nx, ny] = [(-(after[1] - before[1]) / length) * half, ((after[0] - before[0]) / length) * half]
      left.push([point[0] + nx, point[1] + ny])
      right.push([point[0] - nx, point[1] - ny])
    })
    this.mark(closed([...left, ...right.reverse()]), role)
    return this
  }

  /** A shape filled and its contour drawn: heavier where it turns from the light, which falls from the upper left. */
  shape(points: readonly Point[], role: Role, width = 2.6): this {
    this.fill(points, role)
    return this.contour(points, width)
  }

  /** A closed contour that swells on its lower right side. */
  contour(corners: readonly Point[], width = 2.6, role: Role = 'ink'): this {
    const points = thinned(corners.map(this.place))
    const around =
      points.length > MOST_PLACES
        ? placesOn([...points, pointOf(points, 0)], MOST_PLACES).map((one) => one.at)
        : points
    const outer: Point[] = []
    const inner: Point[] = []
    around.forEach((point, i) => {
      const before = around[(i + around.length - 1) % around.length] ?? point
      const after = around[(i + 1) % around.length] ?? point
      const length = distance(after[0] - before[0], after[1] - before[1]) || 1
      const [nx, ny] = [-(after[1] - before[1]) / length, (after[0] - before[0]) / length]
      const half = (width / 2) * (0.75 + 0.4 * Math.abs(nx * 0.6 + ny * 0.8))
      outer.push([point[0] + nx * half, point[1] + ny * half])
      inner.push([point[0] - nx * half, point[1] - ny * half])
    })
    outer.push(pointOf(outer, 0))
    inner.push(pointOf(inner, 0))
    this.mark(closed([...outer, ...inner.reverse()]), role)
    return this
  }

  /** A round dot. */
  dot(centre: Point, radius: number, role: Role = 'ink'): this {
    const [x, y] = this.place(centre)
    if (role === 'measure') this.dots++
    const r = short(radius)
    const across = short(2 * radius)
    this.mark(
      `M${short(x - radius)},${short(y)}a${r} ${r} 0 1 1 ${across} 0a${r} ${r} 0 1 1-${across} 0Z`,
      role,
    )
    return this
  }

  private mark(d: string, role: Role): void {
    this.marks.push(this.part === undefined ? { d, role } : { d, role, part: this.part })
  }

  picture(): Picture {
    return {
      width: this.width,
      height: this.height,
      marks: gathered(this.marks),
      ...(this.spans.length > 0 ? { spans: this.spans } : {}),
      ...(this.dots > 0 ? { counted: this.dots } : {}),
    }
  }
}

/** Neighbouring marks of one role and part become one path. */
function gathered(marks: readonly Mark[]): Mark[] {
  const all: Mark[] = []
  for (const mark of marks) {
    const last = all.at(-1)
    if (last && last.role === mark.role && last.part === mark.part)
      all[all.length - 1] = { ...last, d: last.d + mark.d }
    else all.push(mark)
  }
  return all
}

const SEEN = 0.12 // units from the line between its neighbours; what lies closer nobody sees

/** A closed line without the points that hardly bend it. */
function thinned(points: readonly Point[]): Point[] {
  if (points.length < 12) return [...points]
  const kept: Point[] = [pointOf(points, 0)]
  for (let i = 1; i < points.length - 1; i++) {
    const [ax, ay] = kept.at(-1) ?? pointOf(points, 0)
    const [x, y] = pointOf(points, i)
    const [bx, by] = pointOf(points, i + 1)
    const length = distance(bx - ax, by - ay)
    const off = length === 0 ? 1 : Math.abs((x - ax) * (by - ay) - (y - ay) * (bx - ax)) / length
    if (off > SEEN || length === 0) kept.push([x, y])
  }
  kept.push(pointOf(points, points.length - 1))
  return kept
}

/** Twice the area within a closed line, above 0 where it runs clockwise on the screen. */
function area(points: readonly Point[]): number {
  let sum = 0
  let [x, y] = pointOf(points, points.length - 1)
  for (const [nx, ny] of points) {
    sum += x * ny - nx * y
    x = nx
    y = ny
  }
  return sum
}

/**
 * A closed path in steps from point to point, which take fewer letters than places do; always clockwise, so that shapes
 * that lie over each other in one path make no holes.
 */
function closed(line: readonly Point[]): string {
  const points = area(line) < 0 ? [...line].reverse() : line
  let [x, y] = [0, 0] // in tenths of a unit, as written so far, so that rounding does not add up
  let d = ''
  let steps = 0
  for (const [px, py] of points) {
    const [dx, dy] = [Math.round(px * 10) - x, Math.round(py * 10) - y]
    x += dx
    y += dy
    if (d === '') d = `M${tenths(dx)},${tenths(dy)}l`
    else if (dx !== 0 || dy !== 0) {
      d += (dx < 0 || steps === 0 ? '' : ' ') + tenths(dx) + (dy < 0 ? '' : ' ') + tenths(dy)
      steps++
    }
  }
  return `${d}Z`
}

const FURTHEST = 4000 // tenths of a unit; few steps are longer
const WRITTEN = Array.from({ length: 2 * FURTHEST + 1 }, (_, i) => inTenths(i - FURTHEST))

function tenths(value: number): string {
  return WRITTEN[value + FURTHEST] ?? inTenths(value)
}

function inTenths(value: number): string {
  return String(value / 10).replace(/^(-?)0\./, '$1.')
}

function short(value: number): string {
  return String(Math.round(value * 10) / 10)
}

/** Points of an ellipse about a centre, from the right clockwise. */
export function ellipse([x, y]: Point, rx: number, ry: number, count = 40): Point[] {
  return Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * i) / count
    return [x + rx * Math.cos(angle), y + ry * Math.sin(angle)]
  })
}
