import { curve, lots, type Point, placed, points } from './geometry'
import { edgeOf } from './leaf'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'
import { smallLeaf } from './smallleaf'

const STYLES = ['one', 'mostly-one', 'mixed', 'two'] as const
const FLOWERS = ['heads', 'green-four', 'green-five'] as const
const STANCE = ['up', 'hanging'] as const
const LEAVES = ['bare', 'splitting', 'open'] as const
const WHEN = ['before', 'with', 'after'] as const

/** How many styles, or stubs, four flowers, or fruits, of one tree have. */
const COUNTS: Readonly<Record<(typeof STYLES)[number], readonly number[]>> = {
  one: [1, 1, 1, 1],
  'mostly-one': [1, 1, 1, 2],
  mixed: [1, 2, 1, 2],
  two: [2, 2, 3, 2],
}
const QUARTERS: readonly Point[] = points('52,52 148,52 52,148 148,148')

/** Four flowers of one tree; styles: how many stand in each. */
export function styles(read: Reader): Picture {
  const counts = COUNTS[read.word('styles', STYLES)]
  read.done()
  const sketch = new Sketch()
  for (const [i, at] of QUARTERS.entries()) {
    petals(sketch, at, 44, 5, 'paper')
    for (let j = 0; j < 10; j++) {
      const angle = (j * 2 * Math.PI) / 10
      const end: Point = [at[0] + 25 * Math.cos(angle), at[1] + 25 * Math.sin(angle)]
      sketch.line([at, end], { width: 1 }).dot(end, 2, 'ink')
    }
    sketch.shape(ellipse(at, 19, 19), 'fresh', 1.8)
    const count = counts[i] ?? 1
    for (let k = 0; k < count; k++) {
      const x = at[0] + (k - (count - 1) / 2) * 15
      sketch
        .line(
          [
            [x, at[1] + 13],
            [x, at[1] - 10],
          ],
          { width: 8, start: 1, end: 1 },
        )
        .dot([x, at[1] - 11], 7.6, 'ink')
    }
  }
  return sketch.picture()
}

/** Four haws of one tree from the tip; stubs: how many withered styles stand on each. */
export function stubs(read: Reader): Picture {
  const counts = COUNTS[read.word('stubs', STYLES)]
  read.done()
  const sketch = new Sketch()
  for (const [i, at] of QUARTERS.entries()) {
    sketch.shape(ellipse(at, 41, 40), 'red', 2.6)
    sketch.shape(petalsOutline(at, 22, 5, 0.5), 'wood', 2)
    sketch.shape(ellipse(at, 15, 15), 'paper', 1.8)
    const count = counts[i] ?? 1
    for (let k = 0; k < count; k++) {
      const x = at[0] + (k - (count - 1) / 2) * 11
      sketch.line(
        [
          [x, at[1] + 11],
          [x + 1, at[1] - 14],
        ],
        { width: 6.4, start: 1, end: 0.6 },
      )
    }
  }
  return sketch.picture()
}

function petalsOutline([x, y]: Point, size: number, count: number, depth: number): Point[] {
  const steps = count * (size < 20 ? 4 : 8)
  return Array.from({ length: steps }, (_, i): Point => {
    const angle = (i * 2 * Math.PI) / steps
    const reach = size * (1 - depth + depth * Math.abs(Math.cos((angle * count) / 2)) ** 0.6)
    return [x + Math.sin(angle) * reach, y - Math.cos(angle) * reach]
  })
}

function petals(sketch: Sketch, at: Point, size: number, count: number, role: 'paper' | 'green'): void {
  sketch.shape(petalsOutline(at, size, count, 0.5), role, 1.8)
}

/** Flowers of a shrub; form: white in a flat head, or green in the leaf angles with parts in fours or fives. */
export function blossom(read: Reader): Picture {
  const form = read.word('form', FLOWERS)
  read.done()
  const sketch = new Sketch()
  if (form === 'heads') {
    sketch.line(points('100,198 100,120'), { width: 5, start: 1, end: 0.9 })
    for (let i = -4; i < 5; i++) {
      const top: Point = [100 + i * 20, 76 + Math.abs(i) * 2.4]
      sketch.line(curve([[100, 128], [100 + i * 12, 104], top], 4), { width: 2, start: 1, end: 0.7 })
    }
    for (let i = -4; i < 5; i++) {
      const at: Point = [100 + i * 20, 66 + Math.abs(i) * 2.4]
      petals(sketch, at, 15, 4, 'paper')
      sketch.dot(at, 2.6, 'ink')
    }
    for (const side of [-1, 1]) smallLeaf(sketch, [100, 152], side * 1.25, 78, 0)
    return sketch.picture()
  }
  const parts = form === 'green-four' ? 4 : 5
  sketch.line(curve(points('30,198 60,120 64,10'), 6), { width: 6, start: 1, end: 0.6 })
  smallLeaf(sketch, [57, 120], 1.2, 96, 0)
  smallLeaf(sketch, [62, 50], -1.0, 60, 0)
  const count = form === 'green-four' ? 7 : 3
  for (let i = 0; i < count; i++) {
    const angle = 0.5 + (i * 1.9) / Math.max(1, count - 1)
    const end: Point = [58 + 42 * Math.sin(angle), 122 - 42 * Math.cos(angle) * 0.9]
    sketch.line([[58, 122], end], { width: 1.6 })
    petals(sketch, end, 8, parts, 'green')
  }
  const big: Point = [150, 50]
  petals(sketch, big, 40, parts, 'green')
  sketch.shape(ellipse(big, 11, 11), 'paper', 1.8).dot(big, 4, 'ink')
  return sketch.picture()
}

/** A flower bunch on its long wing among leaves; stance: which way it points. */
export function cyme(read: Reader): Picture {
  const stance = read.word('stance', STANCE)
  read.done()
  const sketch = new Sketch()
  const up = stance === 'up'
  sketch.line(curve(points('4,104 60,96 130,98 196,90'), 6), { width: 5, start: 1, end: 0.6 })
  for (const [x, side] of [
    [40, 1],
    [170, 1],
  ] as const)
    heart(sketch, [x, 98], up ? 1 : -1, side)
  const dir = up ? -1 : 1
  const wing = curve(
    [
      [104, 98],
      [96, 98 + dir * 30],
      [100, 98 + dir * 62],
      [110, 98 + dir * 66],
      [116, 98 + dir * 30],
      [104, 98],
    ],
    5,
  )
  sketch.shape(wing, 'cream', 2.2)
  const stalk: Point = [112, 98 + dir * 44]
  const tip: Point = [132, 98 + dir * 70]
  sketch.line([[106, 98 + dir * 8], stalk, tip], { width: 2.2, start: 1, end: 0.8 })
  for (const [dx, dy] of points('-16,16 2,24 18,18 26,2')) {
    const at: Point = [tip[0] + dx, tip[1] + dir * dy]
    sketch.line([tip, at], { width: 1.6 })
    petals(sketch, at, 8, 5, 'paper')
    sketch.dot(at, 2, 'ink')
  }
  return sketch.picture()
}

function heart(sketch: Sketch, at: Point, dir: 1 | -1, side: 1 | -1): void {
  const blade = {
    ratio: 1.05,
    widest: 0.36,
    base: 'heart',
    tip: 'short',
    margin: 'entire',
    teeth: 10,
  } as const
  const angle = dir > 0 ? Math.PI + 0.2 * side : 0.2 * side
  const to = placed([[0, -0.25]], at, 62, angle)[0] ?? at
  sketch.shape(
    placed(
      edgeOf(blade, 5).filter((_, i) => i % 4 === 0),
      to,
      62,
      angle,
    ),
    'leaf',
    2,
  )
  sketch.line([at, to, ...placed([[0, -0.9]], to, 62, angle)], { width: 1.8 })
}

/** A catkin in full flower; leaves: how far they have come beside it. */
export function catkin(read: Reader): Picture {
  const leaves = read.word('leaves', LEAVES)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('90,198 98,130 94,70 102,6'), 8), { width: 6, start: 1, end: 0.5 })
  for (const [y, side] of [
    [146, 1],
    [94, -1],
  ] as const) {
    const at: Point = [98 + side * 24, y - 18]
    const draw = lots(361)
    for (let i = 0; i < 15; i++) {
      const angle = i * 2.4
      const foot: Point = [at[0] + 9 * Math.cos(angle) * draw(), at[1] + 17 * Math.sin(angle) * draw()]
      const end: Point = [at[0] + 19 * Math.cos(angle), at[1] + 29 * Math.sin(angle)]
      sketch.line([foot, end], { width: 1 }).dot(end, 2.3, 'ink').dot(end, 1.2, 'lemon')
    }
    sketch.shape(ellipse(at, 10, 20, 24), 'grey', 1.6)
    sketch.line(
      [
        [98, y],
        [at[0] - side * 4, at[1] + 16],
      ],
      { width: 3.4, start: 1, end: 1 },
    )
  }
  for (const [y, side] of [
    [166, -1],
    [116, 1],
    [60, 1],
    [40, -1],
  ] as const) {
    const at: Point = [98 + side * 2, y]
    if (leaves === 'open') {
      smallLeaf(sketch, at, side * 0.9, 44, 0)
      smallLeaf(sketch, at, side * 1.5, 34, 0)
    } else if (leaves === 'splitting') {
      sketch.shape(
        placed(curve(points('0,0 0.3,-0.4 0.05,-1 -0.26,-0.4 0,0'), 4), at, 22, side * 0.6),
        'wood',
        1.8,
      )
      sketch.shape(
        placed(curve(points('0,-0.5 0.14,-0.9 0,-1.5 -0.12,-0.9 0,-0.5'), 4), at, 22, side * 0.6),
        'green',
        1.4,
      )
    } else {
      sketch.shape(
        placed(curve(points('0,0 0.3,-0.4 0.05,-1 -0.26,-0.4 0,0'), 4), at, 13, side * 0.5),
        'wood',
        1.8,
      )
    }
  }
  return sketch.picture()
}

/** A branch beside the hedge around it; when: it flowers before, with or after its neighbours. */
export function flowering(read: Reader): Picture {
  const when = read.word('when', WHEN)
  read.done()
  const sketch = new Sketch()
  const branch = (x: number, state: 'bud' | 'flower' | 'over', large: boolean) => {
    const size = large ? 13 : 8
    sketch.line(
      curve(
        [
          [x, 196],
          [x + 3, 120],
          [x - 2, large ? 20 : 70],
        ],
        6,
      ),
      { width: large ? 5 : 3, start: 1, end: 0.5 },
    )
    for (let i = 0; i < (large ? 6 : 3); i++) {
      const y = (large ? 34 : 84) + i * (large ? 27 : 34)
      const at: Point = [x + (i % 2 ? 1 : -1) * size * 1.5, y]
      sketch.line([[x, y + 8], at], { width: 2 })
      if (state === 'flower') {
        petals(sketch, at, size, 5, 'paper')
        sketch.dot(at, 2.2, 'ink')
      } else if (state === 'bud') sketch.shape(ellipse(at, size * 0.42, size * 0.48, 16), 'green', 1.8)
      else
        sketch.shape(ellipse(at, size * 0.5, size * 0.6, 16), 'brown', 1.8).line(
          [
            [at[0], at[1] - size * 0.5],
            [at[0], at[1] - size],
          ],
          { width: 2.4 },
        )
    }
  }
  const around = when === 'before' ? 'bud' : when === 'with' ? 'flower' : 'over'
  for (const x of [18, 46, 154, 182]) branch(x, around, false)
  branch(100, 'flower', true)
  return sketch.picture()
}
