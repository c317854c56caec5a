import { scaleLinear, scaleSqrt } from 'd3-scale'
import type { SeasonPlot } from '../../api/types'

const METRES_A_DEGREE = 111_320
const RADIANS = Math.PI / 180
const FEWEST_METRES = 500 // that a map shows across, so that one plot does not fill it

/** A plot where it is drawn. */
export type Placed = {
  readonly plot: SeasonPlot
  readonly x: number
  readonly y: number
  readonly r: number
  /** where its name stands; undefined: there is no room for it */
  readonly name: Name | undefined
}

export type Name = {
  readonly x: number
  readonly y: number
  readonly anchor: 'start' | 'middle' | 'end'
}

type Mark = Omit<Placed, 'name'>
type Box = readonly [left: number, top: number, right: number, bottom: number]

const LETTER = 6.2 // wide, of the letters on the map
const HIGH = 12
const GAP = 3

export type OnMap = {
  readonly placed: readonly Placed[]
  /** pixels of a round length, for the scale */
  readonly scale: { readonly metres: number; readonly pixels: number }
  /** The path of a line of longitudes and latitudes. */
  readonly path: (line: readonly (readonly number[])[]) => string
}

/** Plots with a position on a square of so many pixels, north up; a mark’s area follows the stems. */
export function plotsOnMap(plots: readonly SeasonPlot[], size: number, margin: number): OnMap {
  const at = plots.flatMap((plot) =>
    plot.latitude == null || plot.longitude == null
      ? []
      : [{ plot, latitude: plot.latitude, longitude: plot.longitude }],
  )
  const middle = (values: readonly number[]) => (Math.min(...values) + Math.max(...values)) / 2
  const latitude0 = middle(at.map((one) => one.latitude))
  const longitude0 = middle(at.map((one) => one.longitude))
  const east = (longitude: number) =>
    (longitude - longitude0) * METRES_A_DEGREE * Math.cos(latitude0 * RADIANS)
  const north = (latitude: number) => (latitude - latitude0) * METRES_A_DEGREE
  const metres = at.map(({ plot, latitude, longitude }) => ({
    plot,
    east: east(longitude),
    north: north(latitude),
  }))
  const half = Math.max(
    FEWEST_METRES / 2,
    ...metres.map((one) => Math.max(Math.abs(one.east), Math.abs(one.north))),
  )
  const x = scaleLinear([-half, half], [margin, size - margin])
  const y = scaleLinear([-half, half], [size - margin, margin])
  const r = scaleSqrt([0, Math.max(1, ...plots.map(({ stems }) => stems))], [4, margin * 0.6])
  const round = scaleLinear([0, half], [0, 1]).ticks(3)[1] ?? half
  return {
    placed: named(
      metres.map((one) => ({ plot: one.plot, x: x(one.east), y: y(one.north), r: r(one.plot.stems) })),
      size,
    ),
    scale: { metres: round, pixels: x(round) - x(0) },
    path: (line) =>
      line
        .map(
          ([longitude = 0, latitude = 0], i) =>
            `${i === 0 ? 'M' : 'L'}${x(east(longitude)).toFixed(1)},${y(north(latitude)).toFixed(1)}`,
        )
        .join(''),
  }
}

/** Gives each mark its name beside, above or below it, where that lies on no mark and no name, and not over the edge. */
function named(marks: readonly Mark[], size: number): Placed[] {
  const taken: Box[] = marks.map(({ x, y, r }) => [x - r, y - r, x + r, y + r])
  return marks.map((mark) => {
    const { x, y, r, plot } = mark
    const wide = plot.code.length * LETTER
    const names: readonly (readonly [Name, number])[] = [
      [{ x: x + r + GAP, y: y + HIGH / 3, anchor: 'start' }, x + r + GAP],
      [{ x: x - r - GAP, y: y + HIGH / 3, anchor: 'end' }, x - r - GAP - wide],
      [{ x, y: y - r - GAP, anchor: 'middle' }, x - wide / 2],
      [{ x, y: y + r + HIGH, anchor: 'middle' }, x - wide / 2],
      [{ x: x + r, y: y - r - GAP, anchor: 'end' }, x + r - wide],
    ]
    for (const [name, left] of names) {
      const box: Box = [left, name.y - HIGH, left + wide, name.y]
      const free = box[0] >= 0 && box[2] <= size && box[1] >= 0 && box[3] <= size
      if (free && !taken.some((other) => overlap(box, other))) {
        taken.push(box)
        return { ...mark, name }
      }
    }
    return { ...mark, name: undefined }
  })
}

const overlap = (a: Box, b: Box) => a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3]

/** A wedge of a circle from the top, clockwise, of that share. */
export function wedge(r: number, share: number): string {
  if (share >= 1) return `M0,${-r}A${r},${r} 0 1 1 0,${r}A${r},${r} 0 1 1 0,${-r}Z`
  const angle = 2 * Math.PI * share
  const [x, y] = [r * Math.sin(angle), -r * Math.cos(angle)]
  return `M0,0L0,${-r}A${r},${r} 0 ${share > 0.5 ? 1 : 0} 1 ${x.toFixed(2)},${y.toFixed(2)}Z`
}
