const LONGEST = 25 // points; a stronger reading draws no longer spine
const SHORTEST = 0.25 // of the head's radius, so that a reading that says nothing can still be seen
const HALF_WIDTH = 0.09

/**
 * SVG path of one spine on a thistle's head of radius 1 at 0,0: rising for the lead, hanging against it.
 * @param points decibans, lead against rival; the length, capped at 25
 * @param bearing radians clockwise from straight up, within ±π/2
 * @returns a closed path that reaches at most 2 from the centre
 */
export function spinePath(points: number, bearing: number): string {
  const x = Math.sin(bearing)
  const y = points < 0 ? Math.cos(bearing) : -Math.cos(bearing)
  const tip = 1 + SHORTEST + (1 - SHORTEST) * (Math.min(Math.abs(points), LONGEST) / LONGEST)
  const at = (out: number, aside: number) =>
    `${(out * x - aside * y).toFixed(3)},${(out * y + aside * x).toFixed(3)}`
  return `M${at(1, HALF_WIDTH)}L${at(tip, 0)}L${at(1, -HALF_WIDTH)}Z`
}

/**
 * The bearing of one of several spines, spread evenly over the upper arc.
 * @param place of the spine, from 0
 * @param count of all spines, at least 1
 * @returns radians clockwise from straight up, within ±1.3
 */
export function spineBearing(place: number, count: number): number {
  const widest = 1.3
  return count === 1 ? 0 : -widest + (2 * widest * place) / (count - 1)
}

/**
 * SVG path of the part of a disc of the given radius at 0,0 that is filled from below to a share of its height.
 * @param share in [0, 1]
 */
export function filledDisc(radius: number, share: number): string {
  const level = radius - 2 * radius * Math.min(1, Math.max(0, share))
  const half = Math.sqrt(Math.max(0, radius * radius - level * level))
  const large = share > 0.5 ? 1 : 0
  const [r, x, y] = [radius.toFixed(3), half.toFixed(3), level.toFixed(3)]
  return share >= 1
    ? `M-${r},0A${r},${r} 0 1 1 ${r},0A${r},${r} 0 1 1 -${r},0Z`
    : `M-${x},${y}A${r},${r} 0 ${large} 0 ${x},${y}Z`
}
