import { curve, lots, type Point, placed, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'

const PRICKLE = ['blunt', 'tiny', 'sharp'] as const
const GLOSS = ['dull', 'silky', 'glossy'] as const
const STANCE = ['hanging', 'out', 'back'] as const
const OLD = ['none', 'open', 'closed'] as const

/** The outer end of a cone's scale, large, from beside and above; prickle: on its boss. */
export function coneBoss(read: Reader): Picture {
  const prickle = read.word('prickle', PRICKLE)
  read.done()
  const sketch = new Sketch()
  sketch.shape(
    curve(points('10,108 56,64 100,50 144,64 190,108 146,152 100,166 54,152 10,108'), 3),
    'brown',
    3.2,
  )
  sketch.line(curve(points('12,108 56,100 100,96 144,100 188,108'), 5), { width: 3.4, start: 0.4, end: 0.4 })
  for (const x of [40, 70, 130, 160])
    sketch.line(
      [
        [x, 92],
        [100 + (x - 100) * 0.5, 72],
      ],
      { width: 1.4, role: 'hatch' },
    )
  sketch.shape(
    curve(points('68,106 82,88 100,82 118,88 132,106 116,122 100,126 84,122 68,106'), 4),
    'straw',
    2.8,
  )
  if (prickle === 'tiny')
    sketch.shape(
      [
        [93, 94],
        [97, 68],
        [103, 66],
        [107, 94],
      ],
      'dark',
      2,
    )
  if (prickle === 'sharp')
    sketch.shape(
      curve(
        [
          [90, 98],
          [96, 62],
          [112, 16],
          [121, 2],
          [114, 30],
          [110, 66],
          [110, 98],
        ],
        5,
      ),
      'dark',
      2,
    )
  if (prickle === 'blunt') sketch.shape(ellipse([100, 101], 13, 9, 18), 'brown', 2)
  return sketch.picture()
}

/** The lozenges of a closed cone within an oval, in crossing rows; dab: what is drawn on each. */
function lozenges(
  sketch: Sketch,
  [x, y]: Point,
  wide: number,
  tall: number,
  rows: number,
  dab?: (at: Point, w: number, h: number) => void,
): void {
  const step = (2 * tall) / rows
  for (let row = 0; row < rows; row++) {
    const cy = y - tall + (row + 0.5) * step
    const half = wide * Math.sqrt(Math.max(0, 1 - ((cy - y) / tall) ** 2))
    const count = Math.max(1, Math.round((half / wide) * 4))
    for (let i = 0; i < count; i++) {
      const cx = x - half + ((i + 0.5) * 2 * half) / count
      const [w, h] = [half / count, step * 0.72]
      sketch.contour(
        [
          [cx - w, cy],
          [cx, cy - h],
          [cx + w, cy],
          [cx, cy + h],
        ],
        1.5,
      )
      if (dab) dab([cx, cy], w, h)
      else sketch.dot([cx, cy], Math.min(2.4, w * 0.3))
    }
  }
}

/** A closed ripe cone; gloss: dull, with a faint shine, or glossy as if varnished. */
export function closedCone(read: Reader): Picture {
  const gloss = read.word('gloss', GLOSS)
  read.done()
  const sketch = new Sketch()
  sketch.line(points('98,-4 100,12 100,20'), { width: 8, start: 1, end: 1 })
  sketch.shape(
    curve(points('100,12 138,30 154,84 146,130 100,192 54,130 46,84 62,30 100,12'), 7),
    gloss === 'dull' ? 'grey' : gloss === 'silky' ? 'brown' : 'orange',
    3,
  )
  lozenges(sketch, [100, 96], 54, 84, 8, ([x, y], w, h) => {
    if (gloss === 'glossy')
      sketch.fill(
        [
          [x - w * 0.7, y - h * 0.1],
          [x - w * 0.1, y - h * 0.7],
          [x + w * 0.3, y - h * 0.3],
          [x - w * 0.3, y + h * 0.2],
        ],
        'pale',
      )
    else if (gloss === 'silky')
      sketch.line(
        [
          [x - w * 0.5, y - h * 0.1],
          [x, y - h * 0.5],
        ],
        { width: 1.8, role: 'pale' },
      )
    else sketch.dot([x - w * 0.2, y], 1.2, 'hatch').dot([x + w * 0.25, y + h * 0.2], 1.2, 'hatch')
  })
  return sketch.picture()
}

/** A full-grown cone on its branch; stance: hanging from a stalk, straight out, or bent back along the branch. */
export function coneStance(read: Reader): Picture {
  const stance = read.word('stance', STANCE)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('-4,88 70,80 140,70 204,52'), 8), { width: 13, start: 1, end: 0.7 })
  sketch.line(curve(points('-4,88 70,80 140,70 204,52'), 8), { width: 8, start: 1, end: 0.7, role: 'wood' })
  for (const [x, y] of points('150,68 166,62 182,58'))
    for (const side of [-1, 1])
      sketch.line(
        [
          [x, y],
          [x + 14, y + side * 20],
          [x + 26, y + side * 40],
        ],
        { width: 3.4, start: 1, end: 0.4, role: 'green' },
      )
  const [foot, angle]: [Point, number] = {
    hanging: [[108, 104], Math.PI - 0.12],
    out: [[100, 76], 0.1],
    back: [[112, 84], -1.95],
  }[stance] as [Point, number]
  if (stance === 'hanging')
    sketch.line(
      curve(
        [
          [112, 76],
          [118, 88],
          [108, 106],
        ],
        4,
      ),
      { width: 6, start: 1, end: 1 },
    )
  const onto = (line: readonly Point[]) => placed(line, foot, 84, angle)
  const outline = curve(
    points('0,0 0.24,-0.08 0.34,-0.36 0.26,-0.7 0,-1 -0.26,-0.7 -0.34,-0.36 -0.24,-0.08 0,0'),
    5,
  )
  sketch.shape(onto(outline), 'brown', 2.8)
  for (let row = 0; row < 6; row++) {
    const y = -0.16 - row * 0.14
    const half = 0.33 * Math.sqrt(Math.max(0.05, 1 - ((y + 0.42) / 0.58) ** 2))
    for (let i = 0; i < 3; i++) {
      const x = -half + ((i + (row % 2 ? 0.3 : 0.7)) * 2 * half) / 3
      sketch.line(
        onto([
          [x - half * 0.3, y],
          [x, y - 0.08],
          [x + half * 0.3, y],
        ]),
        { width: 1.7 },
      )
      sketch.dot(onto([[x, y - 0.02]])[0] ?? foot, 1.5)
    }
  }
  return sketch.picture()
}

/** A branch with needles at its end; cones: of earlier years on it, none, open, or still shut. */
export function oldCones(read: Reader): Picture {
  const cones = read.word('cones', OLD)
  read.done()
  const sketch = new Sketch()
  const line = curve(points('-4,150 60,128 120,96 172,50'), 10)
  sketch
    .line(line, { width: 12, start: 1, end: 0.5 })
    .line(line, { width: 7, start: 1, end: 0.5, role: 'wood' })
  for (const [x, y] of points('140,80 152,68 164,58 174,48'))
    for (const angle of [-0.7, -0.1, 0.5, 1.1, 1.7])
      sketch.line([[x, y], placed([[0, -1]], [x, y], 34, angle)[0] ?? [x, y]], {
        width: 2.4,
        start: 1,
        end: 0.4,
        role: 'green',
      })
  const at: readonly (readonly [Point, number])[] = [
    [[34, 138], 2.4],
    [[64, 126], -0.3],
    [[98, 110], 2.6],
  ]
  if (cones === 'none')
    for (const [[x, y]] of at)
      sketch.line(
        [
          [x, y],
          [x + 3, y + 4],
          [x + 5, y + 9],
        ],
        { width: 4, start: 1, end: 0.8 },
      )
  else
    for (const [foot, angle] of at) {
      const onto = (points: readonly Point[]) => placed(points, foot, 54, angle)
      if (cones === 'closed') {
        sketch.shape(
          onto(
            curve(points('0,0 0.3,-0.14 0.36,-0.5 0.2,-0.86 0,-1 -0.2,-0.86 -0.36,-0.5 -0.3,-0.14 0,0'), 4),
          ),
          'grey',
          2.6,
        )
        for (let row = 0; row < 4; row++)
          for (const x of [-0.16, 0.16])
            sketch.line(
              onto([
                [x - 0.13, -0.22 - row * 0.17],
                [x, -0.32 - row * 0.17],
                [x + 0.13, -0.22 - row * 0.17],
              ]),
              { width: 1.6 },
            )
      } else {
        for (let row = 0; row < 6; row++) {
          const y = -0.1 - row * 0.16
          const out = 0.56 - 0.07 * row
          for (const side of [-1, 1]) {
            sketch.shape(
              onto([
                [0, y],
                [side * out, y - 0.02],
                [side * (out + 0.06), y - 0.13],
                [side * out * 0.5, y - 0.12],
              ]),
              'brown',
              1.8,
            )
          }
        }
        sketch.line(onto(points('0,0 0,-0.5 0,-1.02')), { width: 6, start: 1, end: 0.5 })
      }
    }
  return sketch.picture()
}

/** A thin shoot with needles; lump: whether a brittle lump of resin sits on it. */
export function resinLump(read: Reader): Picture {
  const lump = read.flag('lump')
  read.done()
  const sketch = new Sketch()
  const line = curve(points('40,200 70,140 104,84 142,32'), 10)
  sketch
    .line(line, { width: 11, start: 1, end: 0.6 })
    .line(line, { width: 7, start: 1, end: 0.6, role: 'wood' })
  for (const [x, y] of points('64,152 78,126 116,68 128,52 138,38'))
    for (const side of [-1, 1])
      sketch.line(
        [
          [x, y],
          [x + (side > 0 ? 40 : -14), y + (side > 0 ? -4 : -40)],
        ],
        { width: 3, start: 1, end: 0.4, role: 'green' },
      )
  if (lump) {
    const draw = lots(671)
    sketch.shape(
      curve(points('74,124 64,100 78,78 98,66 124,76 130,100 122,122 98,134 74,124'), 5),
      'pale',
      3,
    )
    for (let i = 0; i < 12; i++) {
      const angle = i * 2.4
      const reach = 22 * Math.sqrt(draw())
      sketch.shape(
        ellipse([98 + reach * Math.cos(angle), 100 + reach * Math.sin(angle)], 8, 7, 12),
        'cream',
        1.4,
      )
    }
  }
  return sketch.picture()
}
