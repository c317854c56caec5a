import { bands, bosses, cracks, fineCracks, type Half, plates, ridges, scales, strips } from './barkcracks'
import { blisters, burrs, canker, dots, flecks, pores } from './barkmarks'
import { curve, lots, type Point, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

/** How each pattern is drawn on a stem of that breadth, down to its bottom. */
const TEXTURES = {
  smooth: (sketch, half, bottom) => bands(sketch, half, bottom, 6, 0.55),
  bands: (sketch, half, bottom) => bands(sketch, half, bottom, 17, 0.9),
  cracked: cracks,
  bosses,
  scaly: scales,
  flecks,
  dull: pores,
  dots,
  ridged: ridges,
  strips,
  fine: fineCracks,
  'blisters-few': (sketch) => blisters(sketch, 5),
  'blisters-many': (sketch) => blisters(sketch, 34),
  canker,
  plated: plates,
  burred: burrs,
} satisfies Record<string, (sketch: Sketch, half: Half, bottom: number) => void>
const PATTERNS = Object.keys(TEXTURES) as [keyof typeof TEXTURES, ...(keyof typeof TEXTURES)[]]

/**
 * A piece of stem; pattern: smooth with a few cross bands, many corky bands, dark shallow cracks, thick black bosses,
 * lifted scales, pale flecks, dull with small pores, pale dots, deep ridges, thin strips, fine cracks, resin blisters, a
 * sunken canker, broad plates, or burrs; foot: whether it stands on the ground.
 */
export function bark(read: Reader): Picture {
  const pattern = read.word('pattern', PATTERNS)
  const foot = read.flag('foot')
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
  sketch.fill([...left, ...[...right].reverse()], 'wood')
  TEXTURES[pattern](sketch, half, bottom)
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
