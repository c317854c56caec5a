const round = (value: number) => value.toFixed(3)

function polygon(corners: number, firstBearing: number, radius: number): string {
  const points = Array.from({ length: corners }, (_, i) => {
    const bearing = firstBearing + (2 * Math.PI * i) / corners
    return `${round(radius * Math.sin(bearing))},${round(-radius * Math.cos(bearing))}`
  })
  return `M${points.join('L')}Z`
}

function circle(radius: number): string {
  const r = round(radius)
  return `M${r},0A${r},${r} 0 1 1 -${r},0A${r},${r} 0 1 1 ${r},0Z`
}

function cross(halfWidth: number): string {
  const w = round(halfWidth)
  return `M-${w},-1H${w}V-${w}H1V${w}H${w}V1H-${w}V${w}H-1V-${w}H-${w}Z`
}

/** The marks by which candidates are told apart without colour: disc, square, triangle, diamond, ring, cross. */
const MARKS = [
  circle(0.95),
  polygon(4, Math.PI / 4, 1.2),
  polygon(3, 0, 1.15),
  polygon(4, 0, 1.15),
  circle(0.95) + circle(0.5),
  cross(0.36),
] as const

/**
 * SVG path of a candidate's mark around 0,0, to be filled by the even-odd rule.
 * @param candidate the candidate's place in the sheet, from 0; marks recur after six
 * @returns a path of about radius 1
 */
export function markPath(candidate: number): string {
  return MARKS[candidate % MARKS.length] ?? MARKS[0]
}
