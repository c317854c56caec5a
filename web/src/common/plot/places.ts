import type { TreeRow } from '../../api/types'

/** Where a stem stands in metres from the plot's centre: x to the east, y to the south, as screens count. */
export function placeOf(tree: Pick<TreeRow, 'azimuthDegrees' | 'distanceMetres'>): {
  readonly x: number
  readonly y: number
} {
  const bearing = (tree.azimuthDegrees * Math.PI) / 180
  return { x: tree.distanceMetres * Math.sin(bearing), y: -tree.distanceMetres * Math.cos(bearing) }
}

/** Radii of the distance rings: round numbers of metres, three to six of them, the plot's own left out. */
export function ringsOf(radius: number): number[] {
  const step = [1, 2, 5, 10, 20, 50].find((one) => radius / one <= 6) ?? 100
  const rings: number[] = []
  for (let at = step; at < radius - step / 4; at += step) rings.push(at)
  return rings
}
