import { beside, distance, lots, type Point, placesOn, pointOf } from './geometry'

export const MARGINS = [
  'entire',
  'single',
  'double',
  'uneven',
  'fine',
  'incurved',
  'wavy',
  'blunt',
  'bristle',
] as const
export type Margin = (typeof MARGINS)[number]

const TOOTHLESS = 0.1 // share of an edge's length at the base that bears no teeth

/**
 * An edge with teeth that lean to the tip.
 * @param edge one half of a blade's edge from base to tip, the base at 0,0
 * @param teeth on this half, at least 1
 * @param side 1 where the blade lies to the left of the edge, -1 to the right
 */
export function toothed(
  edge: readonly Point[],
  margin: Margin,
  teeth: number,
  side: 1 | -1,
  seed: number,
): Point[] {
  if (margin === 'entire') return [...edge]
  const draw = lots(seed)
  const fine = placesOn(edge, 600)
  const at = (share: number) => fine[Math.round(Math.min(1, Math.max(0, share)) * 599)] ?? fine[0]
  const out = (share: number, height: number, forward = 0): Point => {
    const place = at(share)
    if (!place) return pointOf(edge, 0)
    return beside(place, -side * height, forward)
  }
  const points: Point[] = fine
    .slice(0, Math.round(TOOTHLESS * 600))
    .filter((_, i) => i % 12 === 0)
    .map((one) => one.at)
  if (margin === 'wavy') {
    for (let i = 0; i <= teeth * 8; i++) {
      const share = TOOTHLESS + ((1 - TOOTHLESS) * i) / (teeth * 8)
      points.push(
        out(share, (0.2 / teeth / 1.6) * Math.sin((i / 8) * 2 * Math.PI) * Math.min(1, 3.4 * (1 - share))),
      )
    }
    return points
  }
  const pitch = (0.97 - TOOTHLESS) / teeth
  const stretchLength = distance(...subtract(at(0.5)?.at, at(0.5 + pitch)?.at)) // of one tooth, in blade lengths
  for (let i = 0; i < teeth; i++) {
    const size = sizeOf(margin, i, draw)
    const start = TOOTHLESS + i * pitch
    const ease = Math.min(1, 2.4 * (1 - start) + 0.12) // teeth grow smaller to the tip
    points.push(...tooth(margin, start, pitch, stretchLength * size * ease, out))
  }
  points.push(pointOf(edge, edge.length - 1))
  return points
}

function subtract(a: Point | undefined, b: Point | undefined): [number, number] {
  return a && b ? [a[0] - b[0], a[1] - b[1]] : [0, 0]
}

/** The height of a tooth over its breadth. */
function sizeOf(margin: Margin, i: number, draw: () => number): number {
  switch (margin) {
    case 'double':
      return 0.62
    case 'uneven':
      return [0.62, 0.34, 0.5, 0.3][i % 4] ?? 0.4 + 0.2 * draw()
    case 'fine':
      return 0.36
    case 'blunt':
      return [0.5, 0.26, 0.42, 0.34][i % 4] ?? 0.4
    case 'incurved':
      return 0.3
    case 'bristle':
      return 0.5
    default:
      return 0.5 + 0.06 * (draw() - 0.5)
  }
}

function tooth(
  margin: Margin,
  start: number,
  pitch: number,
  height: number,
  out: (share: number, height: number, forward?: number) => Point,
): Point[] {
  // a tooth leans to the tip: the higher, the further forward
  const at = (part: number, up: number, lean = 0.55) =>
    out(start + pitch * part, height * up, height * up * lean)
  if (margin === 'double') {
    // a big tooth with two small ones on its back
    return [
      at(0, 0),
      at(0.16, 0.42),
      at(0.28, 0.26),
      at(0.44, 0.76),
      at(0.55, 0.52),
      at(0.8, 1.1),
      at(0.9, 0.3),
    ]
  }
  if (margin === 'blunt')
    return [at(0, 0), at(0.16, 0.7, 0), at(0.44, 1.05, 0.1), at(0.78, 0.8, 0.2), at(0.94, 0.24)]
  if (margin === 'incurved')
    return [at(0, 0), at(0.32, 0.8, 0), at(0.7, 1, 0), at(1, 0.7, 0), at(0.96, 0.3, 0)]
  if (margin === 'bristle') return [at(0, 0), at(0.45, 0.4), at(0.82, 1.5), at(0.9, 0.35)]
  return [at(0, 0), at(0.42, 0.62, 0.3), at(0.78, 1), at(0.92, 0.25)]
}
