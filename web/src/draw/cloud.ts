import type { Point } from './geometry'

/** The ragged outline of a mass of leaves. */
export function cloud([x, y]: Point, wide: number, tall: number, draw: () => number): Point[] {
  const count = Math.max(10, Math.round((wide + tall) / 3.4))
  return Array.from({ length: count }, (_, i): Point => {
    const angle = (i * 2 * Math.PI) / count
    const reach = (i % 2 === 0 ? 0.93 : 1.03) + 0.06 * draw()
    return [x + wide * reach * Math.cos(angle), y + tall * reach * Math.sin(angle)]
  })
}
