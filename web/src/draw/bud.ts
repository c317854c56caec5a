import { curve, lots, type Point, placed } from './geometry'
import { edgeOf } from './leaf'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

const COVER = ['scaled', 'naked'] as const
const STAGE = ['closed', 'breaking', 'full'] as const

/** The twig below an end bud, with a leaf scar on each side. */
function stem(sketch: Sketch, top: number): void {
  sketch.fill(
    [
      [86, 200],
      [88, top],
      [112, top],
      [114, 200],
    ],
    'wood',
  )
  sketch.line(
    [
      [86, 200],
      [87, 170],
      [88, top],
    ],
    { width: 2.4, start: 0.8, end: 0.7 },
  )
  sketch.line(
    [
      [114, 200],
      [113, 170],
      [112, top],
    ],
    { width: 3.4, start: 0.8, end: 0.7 },
  )
  sketch.line(
    curve(
      [
        [90, 186],
        [96, 192],
        [104, 189],
      ],
      5,
    ),
    { width: 1.8 },
  )
}

/** An end bud, large; cover: overlapping scales, or none but two small folded and felted leaves. */
export function bud(read: Reader): Picture {
  const cover = read.word('cover', COVER)
  read.done()
  const sketch = new Sketch()
  stem(sketch, 138)
  if (cover === 'scaled') scales(sketch)
  else foldedLeaves(sketch)
  return sketch.picture()
}

function scales(sketch: Sketch): void {
  const whole = curve(
    [
      [100, 12],
      [122, 50],
      [132, 92],
      [122, 132],
      [100, 144],
      [78, 132],
      [68, 92],
      [78, 50],
      [100, 12],
    ],
    7,
  )
  sketch.shape(whole, 'wood', 2.8)
  const scale = (points: readonly Point[]) => sketch.shape(curve(points, 6), 'wood', 2.2)
  scale([
    [84, 60],
    [100, 22],
    [116, 60],
    [112, 92],
    [88, 92],
    [84, 60],
  ])
  scale([
    [70, 96],
    [80, 58],
    [101, 74],
    [104, 112],
    [84, 130],
    [70, 96],
  ])
  scale([
    [130, 96],
    [121, 60],
    [101, 82],
    [97, 116],
    [116, 132],
    [130, 96],
  ])
  scale([
    [78, 130],
    [92, 104],
    [112, 106],
    [122, 130],
    [100, 146],
    [78, 130],
  ])
  for (const [x, y] of [
    [90, 44],
    [78, 84],
    [92, 122],
  ] as const) {
    sketch.line(
      curve(
        [
          [x, y],
          [x - 3, y + 8],
          [x - 1, y + 15],
        ],
        4,
      ),
      { width: 1, role: 'hatch' },
    )
  }
}

function foldedLeaves(sketch: Sketch): void {
  const leaf = (side: 1 | -1) =>
    curve(
      [
        [100 + side * 2, 140],
        [100 + side * 20, 112],
        [100 + side * 26, 74],
        [100 + side * 15, 36],
        [100 + side * 3, 14],
        [100 - side * 2, 60],
        [100 + side * 2, 140],
      ],
      8,
    )
  sketch.shape(leaf(-1), 'rust', 2.6).shape(leaf(1), 'rust', 2.6)
  const draw = lots(81)
  for (let i = 0; i < 90; i++) {
    // felt: short hairs laid upwards over both leaves, some past the edge
    const side = i % 2 === 0 ? 1 : -1
    const y = 26 + 108 * draw()
    const room = 24 * Math.sin((Math.PI * (y - 6)) / 142)
    const x = 100 + side * (2 + room * draw())
    sketch.line(
      [
        [x, y],
        [x + side * 3, y - 8],
        [x + side * 5, y - 11],
      ],
      { width: 1.3, start: 1, end: 0.4 },
    )
  }
  for (const side of [-1, 1]) {
    sketch.line(
      curve(
        [
          [100 + side * 6, 134],
          [100 + side * 14, 84],
          [100 + side * 7, 30],
        ],
        6,
      ),
      { width: 1.6 },
    )
  }
}

/** The end of a shoot in spring; stage: buds shut, leaves half out, or leaves open and flat. */
export function shoot(read: Reader): Picture {
  const stage = read.word('stage', STAGE)
  read.done()
  const sketch = new Sketch()
  const axis = curve(
    [
      [96, 200],
      [104, 140],
      [98, 84],
      [101, 52],
    ],
    8,
  )
  sketch.line(axis, { width: 8, start: 1, end: 0.55 })
  const nodes: readonly (readonly [Point, 1 | -1])[] = [
    [[101, 158], 1],
    [[103, 124], -1],
    [[100, 92], 1],
  ]
  for (const [at, side] of nodes) {
    if (stage === 'closed') smallBud(sketch, at, side * 0.5, 26)
    else if (stage === 'breaking') opening(sketch, at, side * 0.62)
    else flatLeaf(sketch, at, side * 1.15, 74)
  }
  if (stage === 'closed') smallBud(sketch, [101, 56], 0, 36)
  else if (stage === 'breaking') opening(sketch, [101, 58], 0)
  else {
    flatLeaf(sketch, [100, 60], -0.75, 62)
    flatLeaf(sketch, [101, 58], 0.35, 56)
  }
  return sketch.picture()
}

function smallBud(sketch: Sketch, at: Point, angle: number, length: number): void {
  const shape = curve(
    [
      [0, 0],
      [0.22, -0.3],
      [0.17, -0.68],
      [0, -1],
      [-0.17, -0.68],
      [-0.22, -0.3],
      [0, 0],
    ],
    5,
  )
  sketch.shape(placed(shape, at, length, angle), 'wood', 2)
  sketch.line(
    placed(
      curve(
        [
          [-0.2, -0.36],
          [0, -0.54],
          [0.17, -0.4],
        ],
        4,
      ),
      at,
      length,
      angle,
    ),
    { width: 1.3 },
  )
  sketch.line(
    placed(
      curve(
        [
          [-0.1, -0.66],
          [0.03, -0.8],
          [0.12, -0.7],
        ],
        4,
      ),
      at,
      length,
      angle,
    ),
    { width: 1.1 },
  )
}

/** Scales thrown back and small leaves still folded. */
function opening(sketch: Sketch, at: Point, angle: number): void {
  for (const lean of [-0.42, 0.42, 0]) {
    const shape = curve(
      [
        [0, 0],
        [0.16, -0.35],
        [0.13, -0.78],
        [0, -1.05],
        [-0.13, -0.78],
        [-0.16, -0.35],
        [0, 0],
      ],
      3,
    )
    const turned = placed(shape, at, lean === 0 ? 48 : 42, angle + lean)
    sketch.shape(turned, 'leaf', 2)
    sketch.line(
      placed(
        [
          [0, -0.05],
          [0, -0.5],
          [0, -0.95],
        ],
        at,
        lean === 0 ? 48 : 42,
        angle + lean,
      ),
      { width: 1.4 },
    )
  }
  for (const side of [-1, 1]) {
    const scale = curve(
      [
        [0, 0.02],
        [0.24 * side, -0.1],
        [0.34 * side, -0.36],
        [0.14 * side, -0.24],
        [0, 0.02],
      ],
      3,
    )
    sketch.shape(placed(scale, at, 44, angle), 'wood', 1.6)
  }
}

function flatLeaf(sketch: Sketch, at: Point, angle: number, length: number): void {
  const blade = {
    ratio: 1.9,
    widest: 0.5,
    base: 'tapered',
    tip: 'pointed',
    margin: 'entire',
    teeth: 10,
  } as const
  const to = placed([[0, -0.16]], at, length, angle)[0] ?? at
  const onto = (points: readonly Point[]) => placed(points, to, length, angle)
  sketch.shape(onto(edgeOf(blade, 3).filter((_, i) => i % 3 === 0)), 'leaf', 2)
  for (const y of [-0.22, -0.4, -0.58]) {
    for (const side of [-1, 1]) {
      sketch.line(
        onto(
          curve(
            [
              [0, y],
              [side * 0.1, y - 0.09],
              [side * 0.18, y - 0.2],
            ],
            2,
          ),
        ),
        { width: 1, start: 0.9, end: 0.3 },
      )
    }
  }
  sketch.line(
    [
      at,
      ...onto([
        [0, 0],
        [0, -0.5],
        [0, -0.96],
      ]),
    ],
    { width: 2.4, start: 1, end: 0.25 },
  )
}
