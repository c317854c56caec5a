import { curve, lots, type Point, placed, points } from './geometry'
import { edgeOf, halfEdge, sideVeins } from './leaf'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'

const GALLS = ['none', 'spiral', 'pouch'] as const
const SPOTS = ['none', 'galls', 'horns', 'cushions', 'mine'] as const
const SIGNS = ['none', 'dead-ends', 'diamonds'] as const
const POPLAR = {
  ratio: 1.1,
  widest: 0.3,
  base: 'straight',
  tip: 'drawn-out',
  margin: 'fine',
  teeth: 16,
} as const
const ROUND = {
  ratio: 1.05,
  widest: 0.45,
  base: 'rounded',
  tip: 'short',
  margin: 'uneven',
  teeth: 7,
} as const

/** A poplar's leaf on its stalk; gall: that coils or swells the stalk. */
export function stalkGall(read: Reader): Picture {
  const gall = read.word('gall', GALLS)
  read.done()
  const sketch = new Sketch()
  const onto = (line: readonly Point[]) => placed(line, [100, 104], 98)
  sketch.shape(onto(edgeOf(POPLAR, 5)), 'leaf', 2.4)
  for (const side of [1, -1] as const)
    for (const vein of sideVeins(halfEdge(POPLAR, side), 5, 0.3, side))
      sketch.line(onto(vein), { width: 1.3, start: 1, end: 0.3 })
  sketch.line(onto(points('0,0 0,-0.5 0,-0.96')), { width: 2.6, start: 1, end: 0.3 })
  const stalk = curve(points('100,104 102,136 98,166 104,200'), 8)
  sketch.line(stalk, { width: 6, start: 1, end: 1 })
  if (gall === 'spiral') {
    for (let i = 0; i < 4; i++) {
      const y = 124 + i * 15
      const w = [15, 21, 21, 15][i] ?? 15
      sketch.shape(
        curve(
          [
            [100 - w, y + 6],
            [100 - w * 0.8, y - 7],
            [100 + w * 0.6, y - 13],
            [100 + w, y - 3],
            [100 + w * 0.7, y + 6],
            [100 - w * 0.5, y + 13],
            [100 - w, y + 6],
          ],
          4,
        ),
        'red',
        2.8,
      )
    }
  } else if (gall === 'pouch') {
    sketch.shape(ellipse([101, 138], 22, 26, 26), 'red', 2.8)
    sketch.line(points('94,118 98,126 96,134'), { width: 3 })
  }
  return sketch.picture()
}

/** A leaf with what sits on it; kind: round galls, long rust horns or short cups on cushions beneath, or a mine that winds. */
export function leafSpots(read: Reader): Picture {
  const kind = read.word('kind', SPOTS)
  read.done()
  const sketch = new Sketch()
  const onto = (line: readonly Point[]) => placed(line, [100, 172], 160)
  sketch.shape(onto(edgeOf(ROUND, 5)), kind === 'horns' || kind === 'cushions' ? 'fresh' : 'leaf', 2.6)
  for (const side of [1, -1] as const)
    for (const vein of sideVeins(halfEdge(ROUND, side), 6, 0.3, side))
      sketch.line(onto(vein), { width: 1.5, start: 1, end: 0.3 })
  sketch.line(points('98,200 100,172 100,20'), { width: 3.4, start: 1, end: 0.3 })
  const spots = points('70,86 128,70 64,130 134,122 96,48')
  if (kind === 'galls')
    for (const at of points('88,84 112,76 84,120 118,116 102,140 78,100 122,94'))
      sketch
        .shape(ellipse(at, 10, 9, 18), 'red', 2.2)
        .fill(ellipse([at[0] - 3, at[1] - 3], 2.6, 2, 8), 'pale')
  if (kind === 'horns') {
    for (const [x, y] of spots) {
      sketch.shape(ellipse([x, y], 15, 12, 20), 'orange', 1.8)
      for (const lean of [-9, -3, 3, 9])
        sketch
          .line(
            [
              [x + lean * 0.6, y],
              [x + lean, y - 14],
              [x + lean * 1.7, y - 27],
            ],
            { width: 4.4, start: 1, end: 0.6 },
          )
          .line(
            [
              [x + lean * 0.6, y],
              [x + lean, y - 14],
              [x + lean * 1.6, y - 25],
            ],
            { width: 2.2, start: 1, end: 0.5, role: 'pale' },
          )
    }
  }
  if (kind === 'cushions') {
    for (const [x, y] of spots) {
      sketch.shape(
        curve(
          [
            [x - 19, y + 6],
            [x - 12, y - 10],
            [x + 12, y - 12],
            [x + 19, y + 4],
            [x, y + 15],
            [x - 19, y + 6],
          ],
          5,
        ),
        'orange',
        3,
      )
      for (const [dx, dy] of points('-8,-2 0,-5 8,-2 -3,5 6,5'))
        sketch.dot([x + dx, y + dy], 3.6).dot([x + dx, y + dy], 1.7, 'cream')
    }
  }
  if (kind === 'mine')
    sketch
      .line(curve(points('112,150 132,128 116,108 136,92 112,78 128,60 104,52 88,70 76,58 62,82 80,96'), 6), {
        width: 11,
        start: 0.3,
        end: 1,
        role: 'cream',
      })
      .line(curve(points('112,150 132,128 116,108 136,92 112,78 128,60 104,52 88,70 76,58 62,82 80,96'), 6), {
        width: 1.6,
      })
  return sketch.picture()
}

/** A young crown's shoots and bark; signs: none, shoot ends dead with leaves in tufts below, or sunken diamonds about dead shoots. */
export function dieback(read: Reader): Picture {
  const signs = read.word('signs', SIGNS)
  read.done()
  const sketch = new Sketch()
  const draw = lots(681)
  if (signs === 'diamonds') {
    sketch.fill(points('58,0 142,0 142,200 58,200'), 'grey')
    sketch
      .line(points('58,0 58,200'), { width: 3, start: 1, end: 1 })
      .line(points('142,0 142,200'), { width: 4, start: 1, end: 1 })
    sketch.shape(curve(points('100,34 120,82 122,106 100,166 80,112 82,84 100,34'), 3), 'brown', 3.2)
    sketch.shape(curve(points('101,62 110,92 110,106 100,138 92,108 92,90 101,62'), 3), 'dark', 2)
    sketch.line(points('102,98 140,74 184,40'), { width: 11, start: 1, end: 0.6 })
    sketch.line(points('102,98 140,74 182,42'), { width: 6, start: 1, end: 0.6, role: 'brown' })
    for (const y of [20, 178])
      sketch.line(
        [
          [70, y],
          [86, y + 2],
          [96, y],
        ],
        { width: 1.8, role: 'hatch' },
      )
    return sketch.picture()
  }
  sketch.line(curve(points('100,200 98,130 100,70 100,22'), 8), { width: 8, start: 1, end: 0.4 })
  for (const [y, reach, side] of [
    [168, 70, -1],
    [150, 74, 1],
    [120, 62, -1],
    [100, 62, 1],
    [70, 44, -1],
    [56, 40, 1],
    [24, 0, 1],
  ] as const) {
    const end: Point = [100 + side * reach, y - 19 - reach * 0.26]
    sketch.line(curve([[100, y], [100 + side * reach * 0.5, y - 12 - reach * 0.1], end], 5), {
      width: 4,
      start: 1,
      end: 0.5,
    })
    const dead = signs === 'dead-ends'
    const places: Point[] = dead
      ? [[100 + side * reach * 0.34, y - 6 - reach * 0.08]]
      : [
          end,
          [100 + side * reach * 0.7, y - 22 - reach * 0.16],
          [100 + side * reach * 0.4, y - 10 - reach * 0.08],
        ]
    for (const [x, at] of places) {
      for (let i = 0; i < (dead ? 6 : 4); i++) {
        const angle = 6.28 * draw()
        sketch.shape(placed(points('0,0 0.26,-0.5 0,-1 -0.26,-0.5'), [x, at], 18, angle), 'green', 1.2)
      }
    }
    if (dead)
      for (const lean of [-8, 6])
        sketch.line([end, [end[0] + lean, end[1] - 12]], { width: 1.6, start: 1, end: 0.4 })
  }
  return sketch.picture()
}
