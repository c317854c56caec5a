import { curve, lots, type Point, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'

const COLLAR = ['none', 'disc', 'star'] as const
const SURFACE = ['smooth', 'pitted'] as const
const LOBES = ['sideways', 'back', 'forward'] as const

/** A round fruit on its stalk from beside and a little from beneath; collar: what is left of the flower under it. */
export function fruit(read: Reader): Picture {
  const collar = read.word('collar', COLLAR)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('92,198 97,172 100,146'), 6), { width: 8, start: 0.9, end: 1 })
  if (collar === 'star') {
    for (let i = 0; i < 5; i++) {
      // dry lobes that stand out from under the fruit
      const x = 100 + (i - 2) * 25
      const drop = 14 - Math.abs(i - 2) * 5
      sketch.shape(
        curve(
          [
            [x - 13, 140],
            [x - 3 + (i - 2) * 4, 152 + drop],
            [x + 13, 140],
            [x - 13, 140],
          ],
          5,
        ),
        'wood',
        2.4,
      )
    }
  }
  sketch.shape(ellipse([100, 84], 62, 60), 'dark', 2.8)
  sketch.fill(curve(points('62,66 72,46 88,38 80,52 70,70 62,66'), 5), 'pale')
  const draw = lots(191)
  for (let i = 0; i < 9; i++) {
    const x = 112 + 34 * draw()
    const y = 84 + 36 * draw()
    sketch.line(
      [
        [x, y],
        [x + 7, y - 6],
      ],
      { width: 1.4, role: 'pale' },
    )
  }
  if (collar === 'star') sketch.shape(ellipse([100, 140], 44, 7), 'wood', 2.4)
  if (collar === 'disc') sketch.shape(ellipse([100, 144], 30, 7), 'wood', 2)
  return sketch.picture()
}

/** A fruit cut through; stones: how many, 1 to 4; surface: of a stone. */
export function stone(read: Reader): Picture {
  const stones = Math.round(read.number('stones', 1, 4, 1))
  const surface = read.word('surface', SURFACE)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('104,6 98,16 100,26'), 4), { width: 6, start: 0.8, end: 1 })
  sketch.shape(ellipse([100, 108], 80, 82), 'dark', 2.6)
  sketch.shape(ellipse([100, 108], 72, 74), 'cream', 1.2)
  const draw = lots(201)
  for (let i = 0; i < 44; i++) {
    const angle = 2 * Math.PI * draw()
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
    sketch.line(
      [
        [100 + 68 * cos, 108 + 69 * sin],
        [100 + 60 * cos, 108 + 61 * sin],
      ],
      { width: 1, role: 'hatch' },
    )
  }
  if (stones === 1) one(sketch, surface, draw)
  else several(sketch, stones)
  return sketch.picture()
}

function one(sketch: Sketch, surface: (typeof SURFACE)[number], draw: () => number): void {
  const shape = ellipse([100, 110], 42, 47)
  sketch.shape(shape, 'wood', 3)
  sketch.line(curve(points('112,64 132,88 134,122 116,154'), 6), { width: 1.8 })
  if (surface === 'pitted') {
    for (const [x, y] of points(
      '78,88 94,80 110,86 72,106 90,104 108,108 122,112 78,126 96,128 114,130 90,146 106,148',
    )) {
      const r = 4 + 2 * draw()
      sketch.fill(
        curve(
          [
            [x - r, y],
            [x, y - r * 0.8],
            [x + r, y],
            [x + r * 0.3, y + r * 0.8],
            [x - r, y],
          ],
          4,
        ),
        'dark',
      )
    }
    for (const x of [84, 101, 117]) {
      sketch.line(
        curve(
          [
            [x, 78],
            [x - 6, 96],
            [x + 3, 116],
            [x - 5, 138],
            [x + 2, 150],
          ],
          4,
        ),
        { width: 2 },
      )
    }
  } else {
    sketch.fill(curve(points('74,98 80,80 94,72 88,86 80,102 74,98'), 5), 'paper')
  }
}

function several(sketch: Sketch, count: number): void {
  for (let i = 0; i < count; i++) {
    const x = 100 + (i - (count - 1) / 2) * (count > 3 ? 33 : 42)
    const shape = curve(
      [
        [x - 17, 98],
        [x - 4, 78],
        [x + 14, 92],
        [x + 17, 124],
        [x + 2, 142],
        [x - 15, 126],
        [x - 17, 98],
      ],
      5,
    )
    sketch.shape(shape, 'wood', 2.6)
    sketch.line(
      curve(
        [
          [x - 2, 90],
          [x + 3, 108],
          [x - 2, 128],
        ],
        5,
      ),
      { width: 1.5 },
    )
  }
}

/** A scale of a fruit catkin, large, its stalk below; lobes: where the side lobes point. */
export function catkinScale(read: Reader): Picture {
  const lobes = read.word('lobes', LOBES)
  read.done()
  const sketch = new Sketch()
  // the side lobe's tip and the two points that lead round it, to the right of the middle
  const lobe: Readonly<Record<(typeof LOBES)[number], readonly Point[]>> = {
    back: points('30,-2 66,6 84,40 66,62 40,42 14,46'),
    sideways: points('28,-2 62,-14 88,0 82,28 46,34 14,42'),
    forward: points('16,-2 36,-34 62,-58 74,-38 56,12 14,42'),
  }
  const right = lobe[lobes].map(([x, y]): Point => [100 + x, 108 + y])
  const left = right.map(([x, y]): Point => [200 - x, y]).reverse()
  const outline = curve(
    [[100, 16], [118, 52], ...right, [109, 190], [91, 190], ...left, [82, 52], [100, 16]],
    7,
  )
  sketch.shape(outline, 'wood', 3)
  sketch.line(curve(points('100,184 100,120 100,34'), 6), { width: 2, start: 1, end: 0.3 })
  for (const side of [1, -1]) {
    const tip = right[2] ?? [150, 100]
    const end: Point = [100 + side * (tip[0] - 100) * 0.82, tip[1]]
    sketch.line(curve([[100, 160], [100 + side * 20, 124], end], 5), { width: 1.6, start: 1, end: 0.3 })
  }
  const draw = lots(211)
  for (let i = 0; i < 22; i++) {
    const [x, y] = [92 + 18 * draw(), 60 + 110 * draw()]
    sketch.line(
      [
        [x, y],
        [x + 4, y - 5],
      ],
      { width: 0.9, role: 'hatch' },
    )
  }
  return sketch.picture()
}
