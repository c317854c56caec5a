import { curve, lots, type Point, placed, points } from './geometry'
import { edgeOf, hairsOn, halfEdge, sideVeins } from './leaf'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'
import { smallLeaf } from './smallleaf'

const ARRANGEMENT = ['alternate', 'opposite', 'slipped', 'whorled'] as const
const HAIRS = [
  'none',
  'ordinary',
  'two-armed',
  'stiff-rust',
  'few-stars',
  'stars',
  'rough-stars',
  'forked',
] as const
const STIPULES = ['none', 'small', 'large'] as const
const BLADE = {
  ratio: 1.8,
  widest: 0.5,
  base: 'tapered',
  tip: 'pointed',
  margin: 'entire',
  teeth: 10,
} as const

/** A long shoot; arrangement: of its leaves. */
export function arrangement(read: Reader): Picture {
  const how = read.word('arrangement', ARRANGEMENT)
  read.done()
  const sketch = new Sketch()
  const leaves: Readonly<Record<(typeof ARRANGEMENT)[number], readonly (readonly [number, number])[]>> = {
    opposite: [
      [164, 1],
      [164, -1],
      [108, 1],
      [108, -1],
      [54, 1],
      [54, -1],
    ],
    whorled: [
      [164, 1],
      [164, -1],
      [92, 1],
      [92, -1],
    ],
    slipped: [
      [170, 1],
      [158, -1],
      [114, 1],
      [99, -1],
      [58, 1],
      [48, -1],
    ],
    alternate: [
      [172, 1],
      [140, -1],
      [108, 1],
      [76, -1],
      [46, 1],
    ],
  }
  for (const [y, side] of leaves[how]) smallLeaf(sketch, [100, y], side * 1.2, 78, 2)
  if (how === 'whorled') for (const y of [164, 92]) smallLeaf(sketch, [100, y], 0.16, 66, 2)
  return sketch.line(curve(points('99,200 101,130 100,14'), 6), { width: 7, start: 1, end: 0.5 }).picture()
}

/** A piece of a leaf under the lens; kind: of its hairs. */
export function hairKind(read: Reader): Picture {
  const kind = read.word('kind', HAIRS)
  read.done()
  const sketch = new Sketch()
  sketch.shape(ellipse([100, 100], 92, 92, 48), 'leaf', 3)
  for (const y of [62, 112, 158])
    sketch.line(
      curve(
        [
          [16, y + 22],
          [100, y],
          [184, y - 26],
        ],
        6,
      ),
      { width: 3, start: 0.6, end: 0.6 },
    )
  const draw = lots(441)
  if (kind === 'ordinary') {
    for (let i = 0; i < 22; i++) {
      const x = 26 + (i % 8) * 21 + 6 * draw()
      const y = [62, 112, 158][i % 3] ?? 62
      const foot: Point = [x, y + 20 - (x - 16) * 0.29]
      sketch.line(curve([foot, [foot[0] + 5, foot[1] - 12], [foot[0] + 13, foot[1] - 20]], 3), {
        width: 2,
        start: 1,
        end: 0.3,
      })
    }
  } else if (kind === 'two-armed') {
    for (let i = 0; i < 26; i++) {
      const angle = i * 2.39996
      const reach = 78 * Math.sqrt((i + 0.5) / 26)
      const [x, y] = [100 + reach * Math.cos(angle), 100 + reach * Math.sin(angle)]
      sketch
        .line(
          curve(
            [
              [x - 16, y + 5],
              [x, y - 2],
              [x + 16, y - 5],
            ],
            4,
          ),
          { width: 3, start: 0.2, end: 0.2 },
        )
        .dot([x, y], 2.4, 'ink')
    }
  } else if (kind === 'few-stars' || kind === 'stars' || kind === 'rough-stars') {
    const [count, arms, reach] = { 'few-stars': [6, 6, 9], stars: [30, 6, 9], 'rough-stars': [26, 9, 17] }[
      kind
    ] as [number, number, number]
    for (let i = 0; i < count; i++) {
      const angle = i * 2.39996
      const out = 80 * Math.sqrt((i + 0.5) / count)
      const at: Point = [100 + out * Math.cos(angle), 100 + out * Math.sin(angle)]
      for (let k = 0; k < arms; k++) {
        const turn = (k * 2 * Math.PI) / arms + i
        sketch.line(
          [
            at,
            [
              at[0] + reach * Math.cos(turn),
              at[1] + reach * Math.sin(turn) * (kind === 'rough-stars' ? 0.8 : 1),
            ],
          ],
          { width: kind === 'rough-stars' ? 2.6 : 2, start: 1, end: 0.4 },
        )
      }
    }
    if (kind === 'stars') hairsOn(sketch, curve(points('16,84 100,62 184,36'), 6), 9, 16, 447)
  } else if (kind === 'forked') {
    for (let i = 0; i < 18; i++) {
      const angle = i * 2.39996
      const out = 80 * Math.sqrt((i + 0.5) / 18)
      const [x, y] = [100 + out * Math.cos(angle), 100 + out * Math.sin(angle)]
      sketch
        .line(
          [
            [x, y + 9],
            [x + 1, y],
          ],
          { width: 2.6, start: 1, end: 1 },
        )
        .line(
          [
            [x, y],
            [x - 7, y - 12],
          ],
          { width: 2.2, start: 1, end: 0.3 },
        )
        .line(
          [
            [x, y],
            [x + 8, y - 11],
          ],
          { width: 2.2, start: 1, end: 0.3 },
        )
    }
  } else if (kind === 'stiff-rust') {
    for (let i = 0; i < 19; i++) {
      const x = 30 + (i % 7) * 22 + 8 * draw()
      const y = [62, 112, 158][i % 3] ?? 62
      const foot: Point = [x, y + 20 - (x - 16) * 0.29]
      sketch.line([foot, [foot[0] + 2, foot[1] - 12], [foot[0] + 3, foot[1] - 22]], {
        width: 3.4,
        start: 1,
        end: 0.5,
        role: 'rust',
      })
    }
  }
  return sketch.picture()
}

/** Where a leaf sits on its shoot; stipules: at the foot of its stalk. */
export function stipules(read: Reader): Picture {
  const size = read.word('size', STIPULES)
  read.done()
  const sketch = new Sketch()
  smallLeaf(sketch, [104, 108], 0.8, 104, 2)
  if (size !== 'none') {
    const scale = size === 'large' ? 50 : 27
    for (const [side, turn] of [
      [-1, -0.9],
      [1, 0.5],
    ] as const) {
      const ear = curve(
        [
          [0, 0],
          [0.36 * side, -0.18],
          [0.62 * side, -0.62],
          [0.22 * side, -0.98],
          [-0.1 * side, -0.5],
          [0, 0],
        ],
        5,
      )
      sketch.shape(placed(ear, [101 + side * 4, 112], scale, turn), 'leaf', 2)
    }
  }
  sketch.line(curve(points('92,200 98,140 100,100 94,10'), 8), { width: 9, start: 1, end: 0.7 })
  sketch.shape(
    placed(curve(points('0,0 0.3,-0.4 0.04,-1 -0.24,-0.4 0,0'), 4), [106, 100], 24, 0.3),
    'wood',
    2,
  )
  return sketch.picture()
}

/** A leaf torn across and drawn apart; threads: whether white ones hold the halves. */
export function torn(read: Reader): Picture {
  const threads = read.flag('threads')
  read.done()
  const sketch = new Sketch()
  const tear = (y: number): Point[] => [
    [26, y],
    [44, y - 6],
    [62, y + 4],
    [82, y - 5],
    [100, y + 5],
    [122, y - 5],
    [142, y + 5],
    [160, y - 4],
    [174, y],
  ]
  sketch.shape(
    [...curve(points('174,82 170,50 140,20 100,6 60,20 30,50 26,82'), 5), ...tear(82)],
    'leaf',
    2.6,
  )
  sketch.shape(
    [...curve(points('174,124 166,152 130,176 100,182 70,176 34,152 26,124'), 5), ...tear(124)],
    'leaf',
    2.6,
  )
  for (const side of [-1, 1]) {
    for (const [y, to] of [
      [70, 40],
      [166, 134],
    ] as const) {
      sketch.line(
        curve(
          [
            [100, y],
            [100 + side * 30, (y + to) / 2],
            [100 + side * 60, to],
          ],
          4,
        ),
        { width: 1.7, start: 1, end: 0.4 },
      )
    }
  }
  sketch
    .line(points('100,84 100,12'), { width: 4, start: 1, end: 0.4 })
    .line(points('100,198 100,126'), { width: 4.6, start: 1, end: 0.8 })
  if (threads) {
    for (const x of [56, 78, 100, 121, 144]) {
      sketch.line(
        curve(
          [
            [x, 86],
            [x + 2, 104],
            [x - 1, 122],
          ],
          4,
        ),
        { width: 3.4, start: 1, end: 1 },
      )
      sketch.line(
        curve(
          [
            [x, 86],
            [x + 2, 104],
            [x - 1, 122],
          ],
          4,
        ),
        { width: 1.5, start: 1, end: 1, role: 'pale' },
      )
    }
  }
  return sketch.picture()
}

const COURSE = ['arching', 'straight'] as const

/** One half of a blade, large; course: of its side veins. */
export function veinCourse(read: Reader): Picture {
  const course = read.word('course', COURSE)
  read.done()
  const sketch = new Sketch()
  const blade = { ...BLADE, ratio: 1.5 }
  const onto = (line: readonly Point[]) => placed(line, [100, 176], 168)
  sketch.shape(onto(edgeOf(blade, 5).filter((_, i) => i % 2 === 0)), 'leaf', 2.8)
  for (const side of [1, -1] as const) {
    if (course === 'straight') {
      for (const vein of sideVeins(halfEdge(blade, side), 8, 0.08, side))
        sketch.line(onto(vein), { width: 2, start: 1, end: 0.4 })
    } else {
      for (const [from, out, to] of [
        [-0.05, 0.26, -0.72],
        [-0.16, 0.19, -0.8],
        [-0.3, 0.13, -0.88],
      ] as const) {
        sketch.line(
          onto(
            curve(
              [
                [0, from],
                [side * out * 0.78, from - 0.14],
                [side * out, (from + to) / 2 - 0.06],
                [side * out * 0.3, to],
              ],
              5,
            ),
          ),
          { width: 2.2, start: 1, end: 0.3 },
        )
      }
    }
  }
  return sketch.line(onto(points('0,0.12 0,-0.4 0,-0.97')), { width: 4, start: 1, end: 0.3 }).picture()
}
