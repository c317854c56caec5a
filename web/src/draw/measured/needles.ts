import { curve, type Point, points } from '../geometry'
import { drawDucts, drawPineShoot } from '../needlebundle'
import type { Sketch } from '../sketch'
import { dimension, type Value } from './figure'

/* Figures of needles. */

function needleBlade(sketch: Sketch, [x, y]: Point, length: number, width: number): void {
  sketch.shape(
    curve(
      [
        [x, y],
        [x + width / 2, y - 10],
        [x + width / 2, y - length + 12],
        [x, y - length],
        [x - width / 2, y - length + 12],
        [x - width / 2, y - 10],
        [x, y],
      ],
      4,
    ),
    'green',
    2.2,
  )
  sketch.line(
    [
      [x, y - 4],
      [x, y - length + 8],
    ],
    { width: 1.3 },
  )
}

export function needleLength(sketch: Sketch, { share }: Value): void {
  const length = 46 + 130 * share
  needleBlade(sketch, [86, 190], length, 7 + 9 * Math.max(0, share))
  dimension(sketch, [128, 190], [128, 190 - length])
}

export function needleWidth(sketch: Sketch, { share }: Value): void {
  const width = 22 + 80 * share
  sketch.shape(
    [
      [100 - width / 2, 10],
      [100 + width / 2, 10],
      [100 + width / 2, 190],
      [100 - width / 2, 190],
    ],
    'green',
    2.6,
  )
  sketch.line(points('100,14 100,186'), { width: 2.4, start: 1, end: 1 })
  dimension(sketch, [100 - width / 2, 100], [100 + width / 2, 100])
}

export function needleMix(sketch: Sketch, { raw }: Value): void {
  const short = 150 / Math.min(4, Math.max(1, raw))
  sketch.line(points('4,192 196,192'), { width: 9, start: 1, end: 1 })
  for (const [x, length] of [
    [36, 118],
    [68, 150],
    [110, short],
    [142, 132],
  ] as const)
    needleBlade(sketch, [x, 190], length, 5 + length * 0.05)
  dimension(sketch, [84, 190], [84, 40])
  dimension(sketch, [124, 190], [124, 190 - short], 1)
}

export function poreRows(sketch: Sketch, { raw }: Value): void {
  const rows = Math.min(9, Math.max(0, Math.round(raw)))
  sketch.shape(points('30,6 170,6 170,194 30,194'), 'green', 2.6)
  sketch.fill(points('56,6 144,6 144,194 56,194'), 'bloom')
  for (let i = 0; i < rows; i++) {
    const x = 100 + ((i + 0.5) / rows - 0.5) * 84
    for (let y = 30; y < 190; y += 17) sketch.dot([x, y], 3.4, 'ink').dot([x, y], 1.6, 'pale')
    sketch.dot([x, 14], 4, 'measure')
  }
}

/** A bundle of needles from the top of its sheath to the tip. */
export function bundleLength(sketch: Sketch, { share }: Value): void {
  const length = 40 + 122 * share
  for (const side of [-1, 1]) {
    const line = curve(
      [
        [86 + side * 4, 172],
        [86 + side * length * 0.07, 172 - length * 0.5],
        [86 + side * length * 0.15, 172 - length],
      ],
      8,
    )
    sketch.line(line, { width: 11, start: 0.9, end: 0.3 })
    sketch.line(line, { width: 7, start: 0.9, end: 0.2, role: 'green' })
  }
  sketch.shape(curve(points('74,198 73,178 80,166 86,164 92,166 99,178 98,198'), 4), 'brown', 2.4)
  dimension(sketch, [150, 166], [150, 172 - length])
}

/** A shoot with the lengths of its years, each that bears needles with a dot. */
export function needleYears(sketch: Sketch, { raw }: Value): void {
  const years = Math.min(9, Math.max(1, Math.round(raw)))
  const ends = drawPineShoot(sketch, years)
  for (const [, y] of ends) sketch.dot([186, y - 8], 5, 'measure')
}

export function ductCount(sketch: Sketch, { raw }: Value): void {
  const ducts = Math.min(18, Math.max(0, Math.round(raw)))
  for (const at of drawDucts(sketch, ducts, 'skin')) sketch.dot(at, 3.4, 'measure')
}
