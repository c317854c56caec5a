import { leaflet } from '../feathered'
import { curve, type Point, placed, points } from '../geometry'
import { drawLobed } from '../lobedblade'
import type { Sketch } from '../sketch'
import { dimension, type Value } from './figure'
import { LOBED } from './ownleaf'

/* Figures of lobed leaves and of leaves of leaflets. */

/** Side veins of an oak's leaf that run to a bay, each with a dot at its end. */
export function notchVeins(sketch: Sketch, { raw }: Value): void {
  const veins = Math.min(8, Math.max(0, Math.round(raw)))
  const lobes = LOBED.oak
  const onto = (line: readonly Point[]) => placed(line, [100, 178], 168)
  drawLobed(sketch, lobes, onto, { stalk: 0.12, bayVeins: Math.ceil(veins / 2) })
  for (let i = 0; i < veins; i++) {
    const up = 0.1 + 0.7 * ((Math.floor(i / 2) + 1) / lobes.pairs)
    const side = i % 2 === 0 ? 1 : -1
    const [at] = onto([[side * 0.225, -up]])
    if (at) sketch.dot(at, 5, 'measure')
  }
}

export function leafletCount(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(15, Math.max(3, Math.round(raw)))
  const pairs = Math.floor(count / 2)
  const gap = 116 / pairs
  for (let i = 0; i < pairs; i++)
    for (const side of [-1, 1]) {
      leaflet(sketch, [100, 166 - gap * i], side * 1.2, Math.min(62, 30 + gap), {
        slim: 2.6,
        margin: 'entire',
        veins: 0,
      })
      sketch.dot([100 + side * (20 + Math.min(62, 30 + gap)), 142 - gap * i], 4, 'measure')
    }
  leaflet(sketch, [100, 60], 0, 42, { slim: 2.2, margin: 'entire', veins: 0 })
  sketch.dot([100, 10], 4, 'measure')
  sketch.line(points('98,199 100,120 100,56'), { width: 3.6, start: 1, end: 0.5 })
}

/** Two side leaflets large, with their stalks. */
export function leafletStalk(sketch: Sketch, { share }: Value): void {
  const stalk = 4 + 44 * Math.max(0, share)
  sketch.line(points('60,204 62,120 60,-4'), { width: 7, start: 1, end: 0.8 })
  const foot: Point = [64, 128]
  const top: Point = [64 + stalk, 124]
  sketch.line([foot, top], { width: 4.6, start: 1, end: 1 })
  leaflet(sketch, top, 1.45, 88, { slim: 2.2, teeth: 9, veins: 5 })
  leaflet(sketch, [60 - stalk * 0.2, 60], -1.1, 54, { slim: 2.2, teeth: 7, veins: 3 })
  sketch.line(
    [
      [60, 60],
      [60 - stalk * 0.2, 60],
    ],
    { width: 4, start: 1, end: 1 },
  )
  dimension(sketch, [63, 166], [63 + stalk, 166])
}

export function leafletRatio(sketch: Sketch, { raw }: Value): void {
  const slim = Math.min(8.5, Math.max(1.2, raw))
  const length = 150
  const width = length / slim
  leaflet(sketch, [92, 172], 0, length, { slim, teeth: 10, veins: slim > 4 ? 3 : 6 })
  sketch.line(points('92,198 92,172'), { width: 3, start: 1, end: 1 })
  dimension(sketch, [182, 172], [182, 172 - length])
  dimension(sketch, [92 - width / 2, 190], [92 + width / 2, 190], 1)
}

/** The edge of a leaflet: side veins that end at it, and the teeth that are more than they. */
export function teethOverVeins(sketch: Sketch, { raw }: Value): void {
  const more = Math.min(14, Math.max(0, Math.round(raw)))
  const veins = 5
  const teeth = veins + more
  const rim: Point[] = [[104, 196]]
  const step = 180 / teeth
  for (let i = 0; i < teeth; i++) {
    const y = 192 - i * step
    rim.push([112, y], [112 + Math.min(18, 7 + step * 0.3), y - step * 0.7], [112, y - step * 0.82])
  }
  rim.push([106, 8])
  sketch.fill([...rim, [4, 8], [4, 196]], 'leaf')
  sketch.line(rim, { width: 3, start: 0.9, end: 0.9 })
  sketch.line(points('10,204 8,100 10,0'), { width: 8, start: 1, end: 0.8 })
  for (let i = 0; i < veins; i++) {
    const y = 176 - (i * 172) / veins
    sketch.line(
      curve(
        [
          [10, y + 26],
          [62, y + 8],
          [118, y - 8],
        ],
        5,
      ),
      { width: 2.8, start: 1, end: 0.4 },
    )
    const ring = Array.from(
      { length: 14 },
      (_, k): Point => [146 + 6 * Math.cos((k * Math.PI) / 7), y - 8 + 6 * Math.sin((k * Math.PI) / 7)],
    )
    sketch.ofPart(1, () => sketch.contour(ring, 2.4, 'measure'))
  }
  sketch.ofPart(0, () => {
    for (let i = 0; i < teeth; i++)
      sketch.dot([172, 192 - i * step - step * 0.6], Math.min(4.6, step * 0.4), 'measure')
  })
}

/** A leaf with free pairs of leaflets at its foot and lobes above, each free pair with its dots. */
export function freePairs(sketch: Sketch, { raw }: Value): void {
  const pairs = Math.min(8, Math.max(0, Math.round(raw)))
  if (pairs > 3) {
    const gap = 112 / pairs
    for (let i = 0; i < pairs; i++)
      for (const side of [-1, 1])
        leaflet(sketch, [100, 166 - gap * i], side * 1.2, 52, { slim: 3, margin: 'entire', veins: 0 })
    leaflet(sketch, [100, 62], 0, 48, { slim: 2.6, margin: 'entire', veins: 0 })
    for (let i = 0; i < pairs; i++)
      for (const side of [-1, 1]) sketch.dot([100 + side * 76, 146 - gap * i], 4.4, 'measure')
    sketch.line(points('98,199 100,120 100,56'), { width: 3.6, start: 1, end: 0.5 })
    return
  }
  const foot = 176 - pairs * 22
  for (let i = 0; i < pairs; i++)
    for (const side of [-1, 1]) {
      leaflet(sketch, [100, 172 - i * 22], side * 1.24, 54, { slim: 2.7, margin: 'entire', veins: 0 })
      sketch.dot([100 + side * 78, 152 - i * 22], 4.4, 'measure')
    }
  const lobes = {
    ratio: 1.3,
    widest: 0.4,
    pairs: 5,
    depth: 0.2 + 0.1 * pairs,
    tips: 'pointed',
    foot: 'rounded',
  } as const
  drawLobed(sketch, lobes, (line) => placed(line, [100, foot], foot - 8), {
    stalk: (198 - foot) / (foot - 8),
  })
}
