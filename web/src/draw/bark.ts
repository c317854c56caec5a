import { bands, bosses, cracks, fineCracks, type Half, plates, ridges, scales, strips } from './barkcracks'
import { blocks, crossPores, diamonds, fewBurrs, graft, net, ridgesBetween } from './barkkinds'
import { blisters, burrs, canker, dots, flecks, pores } from './barkmarks'
import { curve, lots, type Point, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'
import { TONE_NAMES, TONES, toned } from './tone'

/** How each pattern is drawn on a stem of that breadth, down to its bottom. */
const TEXTURES = {
  smooth: (sketch, half, bottom) => bands(sketch, half, bottom, 6, 0.55),
  bands: (sketch, half, bottom) => bands(sketch, half, bottom, 17, 0.9),
  cracked: cracks,
  bosses,
  scaly: (sketch, half) => scales(sketch, half),
  flecks,
  dull: pores,
  dots,
  ridged: ridges,
  strips,
  fine: fineCracks,
  'blisters-few': (sketch) => blisters(sketch, 5),
  'blisters-many': (sketch) => blisters(sketch, 29),
  canker,
  plated: plates,
  burred: burrs,
  'burred-few': fewBurrs,
  'scaly-rust': (sketch, half) => scales(sketch, half, 'rust', 'brown'),
  rugged: (sketch, half, bottom) =>
    ridgesBetween(sketch, half, bottom, { count: 5, cleft: 'dark', turn: 12, breadth: 11 }),
  crooked: (sketch, half, bottom) =>
    ridgesBetween(sketch, half, bottom, { count: 4, cleft: 'dark', turn: 30, breadth: 12 }),
  'long-ridges': (sketch, half, bottom) =>
    ridgesBetween(sketch, half, bottom, { count: 6, cleft: 'dark', turn: 3, breadth: 6 }),
  shallow: (sketch, half, bottom) =>
    ridgesBetween(sketch, half, bottom, { count: 4, cleft: 'hatch', turn: 4, breadth: 2 }),
  'flat-strips': (sketch, half, bottom) =>
    ridgesBetween(sketch, half, bottom, { count: 9, cleft: 'ink', turn: 4, breadth: 3 }),
  'orange-cracks': (sketch, half, bottom) => blocks(sketch, half, bottom, 'orange', 'dark'),
  blocks: (sketch, half, bottom) => blocks(sketch, half, bottom),
  net,
  diamonds,
  graft,
  'cross-pores': crossPores,
} satisfies Record<string, (sketch: Sketch, half: Half, bottom: number) => void>
const UPPER = ['none', 'orange', 'dull', 'grey'] as const
const PATTERNS = Object.keys(TEXTURES) as [keyof typeof TEXTURES, ...(keyof typeof TEXTURES)[]]

/**
 * A piece of stem; pattern: smooth with a few cross bands, many corky bands, dark shallow cracks, thick black bosses,
 * lifted scales, also with rust between them, pale flecks, dull with small pores, pale dots, deep ridges, thin strips, fine
 * cracks, resin blisters, a sunken canker, broad plates, burrs, rugged or crooked or long ridges, shallow seams, flat narrow
 * strips, blocks with orange or dark between, a net, diamond-shaped pits, a graft line, or long pores across a shining skin;
 * foot: whether it stands on the ground; tone: of its skin; upper: colour of the thin bark above, where the rough bark ends.
 */
export function bark(read: Reader): Picture {
  const pattern = read.word('pattern', PATTERNS)
  const foot = read.flag('foot')
  const tone = read.word('tone', TONE_NAMES)
  const upper = read.word('upper', UPPER)
  read.done()
  const half: Half = (y) => 62 + (foot ? 34 * Math.max(0, (y - 120) / 70) ** 2 : 0)
  const bottom = foot ? 184 : 200
  const sketch = new Sketch()
  const draw = lots(95)
  const side = (s: 1 | -1) =>
    Array.from({ length: 21 }, (_, i): Point => {
      const y = (bottom * i) / 20
      return [100 + s * (half(y) + 3 * (draw() - 0.5)), y]
    })
  const [left, right] = [side(-1), side(1)]
  const skin = [...left, ...[...right].reverse()]
  if (tone === 'plain' || tone === 'dark') sketch.fill(skin, tone === 'dark' ? 'brown' : 'wood')
  else toned(sketch, skin, TONES[tone], 20, 0.6)
  if (upper === 'none') TEXTURES[pattern](sketch, half, bottom)
  else above(sketch, upper)
  sketch.line(left, { width: 3.2, start: 0.9, end: 0.8 }).line(right, { width: 4.6, start: 0.9, end: 0.8 })
  if (foot) ground(sketch)
  return sketch.picture()
}

function ground(sketch: Sketch): void {
  sketch.line(curve(points('0,186 40,183 100,188 150,184 200,187'), 6), { width: 2.4 })
  const draw = lots(91)
  for (let i = 0; i < 26; i++) {
    const x = 4 + 192 * draw()
    sketch.line(
      [
        [x, 186],
        [x + 3 * (draw() - 0.5), 180],
        [x + 6 * (draw() - 0.5), 175],
      ],
      { width: 1.3, start: 1, end: 0.3 },
    )
  }
}

/** The upper stem of a pine: thin bark in papery flakes, or as dull as the rough bark that begins below. */
function above(sketch: Sketch, upper: 'orange' | 'dull' | 'grey'): void {
  const draw = lots(93)
  sketch.fill(
    points('38,0 162,0 162,200 38,200'),
    upper === 'orange' ? 'orange' : upper === 'dull' ? 'brown' : 'grey',
  )
  for (let i = 0; i < 26; i++) {
    const [x, y] = [48 + 96 * ((i * 0.618) % 1), 4 + (i * 130) / 26]
    const [w, h] = [8 + 6 * draw(), 7 + 5 * draw()]
    const flake: readonly Point[] = [
      [x - w, y],
      [x, y - h * 0.5],
      [x + w, y],
      [x + w * 0.6, y + h],
      [x - w * 0.5, y + h * 0.8],
    ]
    const role = upper === 'orange' ? 'cream' : upper === 'dull' && i % 3 === 0 ? 'orange' : 'wood'
    if (upper === 'grey')
      sketch.line(
        [
          [x - w, y + h],
          [x, y + h * 1.3],
          [x + w, y + h * 0.7],
        ],
        { width: 2.4 },
      )
    else sketch.shape(flake, role, 1.3)
  }
  for (let row = 0; row < 2; row++)
    for (let i = 0; i < 4; i++) {
      const [x, y] = [54 + i * 31 + row * 8, 156 + row * 30]
      sketch.shape(
        curve(
          [
            [x - 14, y - 12],
            [x, y - 17],
            [x + 13, y - 10],
            [x + 14, y + 10],
            [x, y + 15],
            [x - 13, y + 11],
            [x - 14, y - 12],
          ],
          2,
        ),
        'grey',
        3.2,
      )
    }
}
