import { leaflet } from '../feathered'
import { beside, curve, type Point, placed, placesOn, points } from '../geometry'
import { halfEdge, sideVeins } from '../leaf'
import { drawLobed } from '../lobedblade'
import type { Sketch } from '../sketch'
import { dimension, type Value } from './figure'
import { LOBED, type OwnLeaf, ownLeaf, ratioOf } from './ownleaf'

/* Figures of leaves: what is measured or counted on a blade, with its dimension line. */

export function leafLength(sketch: Sketch, { share }: Value, leaf: OwnLeaf): void {
  const length = (ratioOf(leaf) < 1.3 ? 50 : 56) + (ratioOf(leaf) < 1.3 ? 92 : 106) * share
  ownLeaf(sketch, leaf, [88, 178], length)
  dimension(sketch, [180, 178], [180, 178 - length])
}

export function leafWidth(sketch: Sketch, { share }: Value, leaf: OwnLeaf): void {
  const width = 34 + 96 * share
  ownLeaf(sketch, leaf, [100, 172], 144, { ratio: 144 / width })
  dimension(sketch, [100 - width / 2, 186], [100 + width / 2, 186])
}

export function leafRatio(sketch: Sketch, { raw }: Value, leaf: OwnLeaf): void {
  const ratio = Math.min(5, Math.max(0.7, raw))
  const length = Math.min(140, 130 * ratio)
  ownLeaf(sketch, leaf, [94, 164], length, { ratio })
  dimension(sketch, [186, 164], [186, 164 - length])
  dimension(sketch, [94 - length / ratio / 2, 190], [94 + length / ratio / 2, 190], 1)
}

export function leafStalk(sketch: Sketch, { share }: Value, leaf: OwnLeaf): void {
  const stalk = 10 + 76 * share
  ownLeaf(sketch, leaf, [100, 190 - stalk], 104, { stalk })
  dimension(sketch, [124, 190], [124, 190 - stalk])
}

/** The whole way up a blade, and how far up it is widest. */
export function widestPlace(sketch: Sketch, { raw }: Value, leaf: OwnLeaf): void {
  const up = Math.min(0.8, Math.max(0.1, raw))
  ownLeaf(sketch, leaf, [92, 182], 168, { widest: up })
  const half = 168 / ratioOf(leaf) / 2
  const widest = 182 - 168 * up
  sketch.line(
    [
      [92 - half, widest],
      [170, widest],
    ],
    { width: 1.6, start: 1, end: 1, role: 'measure' },
  )
  dimension(sketch, [168, 182], [168, widest])
  dimension(sketch, [188, 182], [188, 14], 1)
}

export function stalkRatio(sketch: Sketch, { raw }: Value, leaf: OwnLeaf): void {
  const ratio = Math.min(1.5, Math.max(0.15, raw))
  const blade = Math.min(112, 178 / (1 + ratio))
  const foot = 10 + blade
  ownLeaf(sketch, leaf, [92, foot], blade, { stalk: blade * ratio })
  dimension(sketch, [176, foot], [176, foot - blade], 1)
  dimension(sketch, [176, foot + blade * ratio], [176, foot])
}

/** Teeth along one side of a blade, each with a dot. */
export function edgeTeeth(sketch: Sketch, { raw }: Value, leaf: OwnLeaf): void {
  const teeth = Math.min(24, Math.max(1, Math.round(raw)))
  const blade = {
    ratio: ratioOf(leaf),
    widest: 0.46,
    base: 'rounded',
    tip: 'short',
    margin: 'entire',
    teeth: 3,
  } as const
  const half = placesOn(halfEdge(blade, 1), 200)
  const pitch = 150 / Math.max(6, teeth)
  const start = (i: number) => 26 + ((i + 0.5) * 160) / teeth
  const right = half.flatMap((place, i): Point[] => {
    const tooth = Array.from({ length: teeth }, (_, k) => start(k)).some(
      (at) => Math.abs(i - at) < pitch * 0.42,
    )
    return tooth ? [beside(place, -0.028)] : [place.at]
  })
  const onto = (line: readonly Point[]) => placed(line, [92, 180], 164)
  sketch.shape(onto([...right, ...right.map(([x, y]): Point => [-x, y]).reverse()]), 'leaf', 2.4)
  for (const side of [1, -1] as const)
    for (const vein of sideVeins(halfEdge(blade, side), 4, 0.4, side))
      sketch.line(onto(vein), { width: 1.4, start: 1, end: 0.3 })
  sketch.line(
    onto([
      [0, 0.12],
      [0, 0],
      [0, -0.96],
    ]),
    { width: 3, start: 1, end: 0.3 },
  )
  for (let k = 0; k < teeth; k++) {
    const place = half[Math.round(start(k))]
    if (place) sketch.dot(onto([beside(place, -0.085)])[0] ?? [0, 0], Math.min(4.4, 60 / teeth), 'measure')
  }
}

/** A toothed leaf whose lowest part bears no teeth, and how long that part of the edge is. */
export function firstTooth(sketch: Sketch, { share }: Value): void {
  const bare = 0.16 + 0.34 * share
  const blade = {
    ratio: 1.25,
    widest: 0.33,
    base: 'wedge',
    tip: 'drawn-out',
    margin: 'single',
    teeth: 11,
  } as const
  const onto = (line: readonly Point[]) => placed(line, [100, 178], 174)
  const smooth = (side: 1 | -1) => halfEdge({ ...blade, margin: 'entire' }, side)
  const toothless = (side: 1 | -1): Point[] => {
    const edge = smooth(side)
    const from = edge.findIndex(([x, y]) => Math.sqrt(x * x + y * y) > bare)
    const rest = edge.slice(from)
    const teeth = Math.max(5, Math.round(11 * (1 - bare)))
    return [
      ...edge.slice(0, from),
      ...rest.flatMap((at, i): Point[] =>
        i % Math.max(1, Math.floor(rest.length / teeth)) === 2
          ? [
              [at[0] + side * 0.034, at[1] - 0.026],
              [at[0] + side * 0.002, at[1] - 0.03],
            ]
          : [at],
      ),
    ]
  }
  const [right, left] = [toothless(1), toothless(-1)]
  sketch.shape(onto([...right, ...left.reverse()]), 'leaf', 2.6)
  for (const side of [1, -1] as const)
    for (const vein of sideVeins(smooth(side), 6, 0.15, side))
      sketch.line(onto(vein), { width: 1.5, start: 0.9, end: 0.3 })
  sketch.line(points('100,200 100,178 100,12'), { width: 3.8, start: 1, end: 0.3 })
  const edge = onto(smooth(1))
  const at = edge.find(([x, y]) => Math.sqrt((x - 100) ** 2 + (y - 178) ** 2) > bare * 174) ?? [140, 140]
  dimension(sketch, [106, 190], [at[0] + 8, at[1] + 12])
}

/** The leaf's tip with its width a quarter of the way down. */
export function tipWidth(sketch: Sketch, { share }: Value): void {
  const half = 10 + 26 * share
  const right: readonly Point[] = [
    [100, 6],
    [100 + half * 0.5, 34],
    [100 + half, 62],
    [100 + 36 + half * 0.6, 110],
    [176, 160],
    [150, 186],
    [100, 192],
  ]
  const outline = [...curve(right, 6), ...curve(right.map(([x, y]): Point => [200 - x, y]).reverse(), 6)]
  sketch.shape(outline, 'leaf', 2.6)
  for (const y of [170, 134, 98, 66]) {
    for (const side of [-1, 1])
      sketch.line(
        curve(
          [
            [100, y],
            [100 + side * (y * 0.16), y - 14],
            [100 + side * (y * 0.32), y - 22],
          ],
          4,
        ),
        { width: 1.6 },
      )
  }
  sketch.line(points('100,198 100,90 100,12'), { width: 4, start: 1, end: 0.3 })
  dimension(sketch, [100 - half, 62], [100 + half, 62])
}

/** Teeth between the ends of two side veins, numbered by dots. */
export function teethBetween(sketch: Sketch, { raw }: Value): void {
  const count = Math.min(9, Math.max(0, Math.round(raw)))
  const rim: Point[] = points('112,196 128,176 116,168')
  for (let i = 0; i < count; i++) {
    const y = 164 - ((i + 0.3) * 124) / Math.max(1, count)
    const step = 124 / Math.max(1, count)
    rim.push([116, y], [127, y - step * 0.6], [116, y - step * 0.8])
  }
  rim.push([116, 40], [130, 22], [114, 12])
  sketch.fill([...rim, [6, 12], [6, 196]], 'leaf')
  sketch.line(rim, { width: 3.4, start: 0.9, end: 0.9 })
  sketch
    .line(curve(points('6,206 60,196 126,176'), 5), { width: 3.4 })
    .line(curve(points('6,60 60,44 128,22'), 5), { width: 3.4 })
  sketch.ofPart(0, () => {
    for (let i = 0; i < count; i++) sketch.dot([140, 164 - ((i + 0.9) * 124) / count], 4, 'measure')
  })
  dimension(sketch, [160, 176], [160, 22], 1)
}

export function veinPairs(sketch: Sketch, { raw }: Value, leaf: OwnLeaf): void {
  const pairs = Math.min(30, Math.max(1, Math.round(raw)))
  const ends = ownLeaf(sketch, leaf === 'oak' || leaf === 'hawthorn' ? 'plain' : leaf, [96, 178], 164, {
    veins: pairs,
  })
  for (const [x, y] of ends) sketch.dot([x + 9, y - 2], Math.min(4, 60 / pairs), 'measure')
}

/** The leaf as far as such leaves are cut, with the depth of a bay and the half width beside it. */
export function lobeDepth(sketch: Sketch, { raw }: Value, leaf: OwnLeaf): void {
  const depth = Math.min(1, Math.max(0, raw))
  if (leaf === 'whitebeam') {
    rowanWay(sketch, depth)
    return
  }
  const shown = 0.1 + 0.66 * depth
  const lobes = { ...LOBED.hawthorn, depth: shown }
  drawLobed(sketch, lobes, (line) => placed(line, [88, 170], 150), { stalk: 0.18 })
  const half = 150 / lobes.ratio / 2
  const y = 170 - 150 * 0.45
  dimension(sketch, [88, 190], [88 + half, 190])
  dimension(sketch, [88, y], [88 + half * (1 - shown), y], 1)
}

/** From a blade that is hardly cut to one of leaflets. */
function rowanWay(sketch: Sketch, depth: number): void {
  if (depth > 0.86) {
    for (let i = 0; i < 5; i++)
      for (const side of [-1, 1])
        leaflet(sketch, [88, 156 - i * 26], side * 1.2, 58, { slim: 2.9, teeth: 7, veins: 3 })
    leaflet(sketch, [88, 50], 0, 46, { slim: 2.6, teeth: 7, veins: 3 })
    sketch.line(points('88,198 88,120 88,40'), { width: 3.6, start: 1, end: 0.4 })
    dimension(sketch, [88, 190], [142, 190])
    dimension(sketch, [88, 92], [93, 92], 1)
    return
  }
  const lobes = {
    ratio: 1.4,
    widest: 0.46,
    pairs: 6,
    depth: 0.05 + 0.8 * depth,
    tips: 'pointed',
    foot: 'rounded',
  } as const
  drawLobed(sketch, lobes, (line) => placed(line, [88, 172], 160), { stalk: 0.14 })
  const half = 160 / 1.4 / 2
  dimension(sketch, [88, 192], [88 + half, 192])
  dimension(sketch, [88, 92], [88 + half * (1 - lobes.depth), 92], 1)
}

/** A hawthorn's leaf with so many lobes as such leaves have. */
export function lobeCount(sketch: Sketch, { raw }: Value): void {
  const pairs = Math.min(3, Math.max(1, Math.round((raw - 1) / 2)))
  drawLobed(
    sketch,
    { ...LOBED.hawthorn, pairs, depth: 0.3 + 0.12 * pairs },
    (line) => placed(line, [100, 172], 152),
    { stalk: 0.18 },
  )
  const half = 152 / LOBED.hawthorn.ratio / 2
  for (let i = 0; i < pairs; i++) {
    const up = 0.1 + (0.7 * (i + 0.72)) / pairs
    for (const side of [-1, 1]) sketch.dot([100 + side * (half + 12 - i * 7), 172 - 152 * up], 5, 'measure')
  }
  sketch.dot([100, 11], 5, 'measure')
}
