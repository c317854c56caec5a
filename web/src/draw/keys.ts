import { leaflet } from './feathered'
import { beside, curve, lots, type Point, placed, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'

const TIPS = ['notched', 'blunt', 'pointed'] as const
const PLACES = ['side', 'end'] as const
const FLOWERS = ['branched-tufts', 'simple-tufts', 'plumes'] as const
const SCALES = ['toothed', 'cut', 'fingers'] as const

/** A flat key, its stalk above, hanging; lengths in key lengths from the stalk at 0,0 down to 0,1. */
function keyOutline(tip: (typeof TIPS)[number]): Point[] {
  const end: Readonly<Record<(typeof TIPS)[number], string>> = {
    notched: '0.12,0.92 0.07,1 0,0.85 -0.06,1.01 -0.115,0.92',
    blunt: '0.1,0.93 0.05,0.985 0,1 -0.05,0.985 -0.1,0.93',
    pointed: '0.085,0.86 0.04,0.94 0,1.02 -0.04,0.94 -0.085,0.86',
  }
  return curve(
    points(
      `0,0 0.045,0.1 0.06,0.3 0.1,0.46 0.125,0.7 ${end[tip]} -0.125,0.7 -0.1,0.46 -0.06,0.3 -0.045,0.1 0,0`,
    ),
    4,
  )
}

/** One key, hanging. tip: of its wing; seed: how far the seed reaches, share of the key, 0.2 to 0.8. */
export function key(read: Reader): Picture {
  const tip = read.word('tip', TIPS)
  const seed = read.number('seed', 0.2, 0.8, 0.5)
  read.done()
  const sketch = new Sketch()
  const onto = (line: readonly Point[]) => line.map(([x, y]): Point => [100 + x * 300, 14 + y * 176])
  sketch.line(points('94,-2 97,6 100,16'), { width: 3.4, start: 1, end: 1 })
  sketch.shape(onto(keyOutline(tip)), 'straw', 2.8)
  sketch.shape(
    onto(
      curve(
        [
          [0, 0.03],
          [0.045, seed * 0.3],
          [0.05, seed * 0.7],
          [0, seed],
          [-0.05, seed * 0.7],
          [-0.045, seed * 0.3],
          [0, 0.03],
        ],
        5,
      ),
    ),
    'brown',
    2,
  )
  for (const x of [-0.05, 0, 0.05])
    sketch.line(
      onto(
        curve(
          [
            [x * 0.4, seed + 0.02],
            [x * 0.9, 0.78],
            [x, 0.9],
          ],
          4,
        ),
      ),
      { width: 1.1, role: 'hatch' },
    )
  return sketch.picture()
}

/** A bunch of keys; place: from the side of a twig below its end, or at the end of a leafy shoot; branched: whether its stalks branch again. */
export function keyBunch(read: Reader): Picture {
  const place = read.word('place', PLACES)
  const branched = read.flag('branched')
  read.done()
  const sketch = new Sketch()
  const hang = (at: Point, length: number, lean: number) =>
    sketch.shape(
      placed(
        keyOutline('blunt')
          .filter((_, i) => i % 4 === 0)
          .map(([x, y]): Point => [x * 1.7, y]),
        at,
        length,
        lean,
      ),
      'straw',
      1.5,
    )
  if (place === 'side') {
    sketch.line(curve(points('0,52 70,40 140,34 196,20'), 8), { width: 8, start: 1, end: 0.7 })
    sketch.shape(curve(points('186,26 192,10 202,8 200,22 190,30 186,26'), 4), 'dark', 2)
    const axis = curve(points('92,38 100,70 98,108 100,140'), 8)
    sketch.line(axis, { width: 3.6, start: 1, end: 0.6 })
    for (const [i, one] of placesOn(axis, 7).slice(1).entries()) {
      for (const side of [-1, 1]) {
        const out = beside(one, side * (branched ? 30 - 3 * i : 16), 6)
        sketch.line([one.at, out], { width: 2 })
        if (branched)
          for (const lean of [-13, 9]) {
            const end: Point = [out[0] + lean, out[1] + 10]
            sketch.line([out, end], { width: 1.5 })
            hang(end, 34, -lean * 0.015)
          }
        else hang(out, 42, -side * 0.3)
      }
    }
  } else {
    sketch.line(curve(points('100,200 98,150 100,112'), 6), { width: 7, start: 1, end: 0.7 })
    for (const side of [-1, 1]) {
      sketch.line(
        curve(
          [
            [100, 138],
            [100 + side * 46, 132],
            [100 + side * 84, 150],
          ],
          5,
        ),
        { width: 2.6, start: 1, end: 0.6 },
      )
      for (const [x, y, a] of [
        [40, 134, 0.5],
        [40, 134, 2.4],
        [66, 140, 0.7],
        [66, 140, 2.5],
      ] as const)
        leaflet(sketch, [100 + side * x, y], side * a, 30, { slim: 2, margin: 'entire', veins: 0 })
    }
    for (const [x, y] of points('46,66 70,34 100,20 130,34 154,66 84,72 116,72')) {
      sketch.line(
        curve(
          [
            [100, 112],
            [(100 + x) / 2, (112 + y) / 2 - 8],
            [x, y],
          ],
          4,
        ),
        { width: 2 },
      )
      for (const lean of branched ? [-8, 8] : [0]) {
        sketch.line(
          [
            [x, y],
            [x + lean, y + 6],
          ],
          { width: 1.4 },
        )
        hang([x + lean, y + 6], 32, -lean * 0.03)
      }
    }
  }
  return sketch.picture()
}

/** Two winged fruits that hang together; angle: between their wings, 30 to 180 degrees. */
export function wingedPair(read: Reader): Picture {
  const angle = read.number('angle', 30, 180, 120)
  read.done()
  const sketch = new Sketch()
  const foot: Point = [100, 74]
  sketch.line(points('98,6 101,40 100,66'), { width: 3.4, start: 0.8, end: 1 })
  for (const side of [-1, 1]) {
    const turn = Math.PI - (side * angle * Math.PI) / 360
    const onto = (line: string) =>
      placed(
        curve(points(line), 5).map(([x, y]): Point => [x * side, y]),
        foot,
        100,
        turn,
      )
    sketch.shape(
      onto('0,-0.1 0.12,-0.3 0.2,-0.7 0.14,-0.98 -0.02,-1 -0.1,-0.6 -0.1,-0.25 0,-0.1'),
      'straw',
      2.4,
    )
    for (const x of [0.02, 0.08])
      sketch.line(onto(`0,-0.22 ${x},-0.55 ${x + 0.04},-0.86`), { width: 1.1, role: 'hatch' })
    sketch.shape(
      onto('-0.02,0.02 0.13,-0.06 0.13,-0.2 0,-0.26 -0.12,-0.18 -0.11,-0.04 -0.02,0.02'),
      'brown',
      2.4,
    )
  }
  return sketch.picture()
}

/** Flowers at the end of a twig in spring; form: dark tufts without petals, branched or in one row, or creamy plumes. */
export function ashFlowers(read: Reader): Picture {
  const form = read.word('form', FLOWERS)
  read.done()
  const sketch = new Sketch()
  const draw = lots(631)
  if (form === 'plumes') {
    sketch.line(curve(points('100,200 98,160 100,128'), 6), { width: 7, start: 1, end: 0.7 })
    for (const side of [-1, 1])
      leaflet(sketch, [100, 156], side * 1.2, 66, { slim: 2, margin: 'entire', veins: 3 })
    for (let i = 0; i < 40; i++) {
      const angle = -1.25 + 2.5 * ((i * 0.618) % 1)
      const reach = 34 + 82 * draw()
      const at: Point = [100 + Math.sin(angle) * reach, 128 - Math.cos(angle) * reach]
      if (i % 3 === 0) sketch.line([[100, 128], at], { width: 1.4 })
      const star = Array.from({ length: 8 }, (_, k): Point => {
        const reach = k % 2 === 0 ? 12 : 2.4
        return [
          at[0] + reach * Math.cos(0.3 + (k * Math.PI) / 4),
          at[1] + reach * Math.sin(0.3 + (k * Math.PI) / 4),
        ]
      })
      sketch.shape(star, 'cream', 1.4)
    }
    return sketch.picture()
  }
  sketch.line(curve(points('100,200 98,110 100,36'), 8), { width: 12, start: 1, end: 0.8 })
  sketch.shape(curve(points('88,38 90,18 100,6 110,18 112,38 88,38'), 4), 'dark', 2)
  for (const [y, side] of [
    [150, -1],
    [150, 1],
    [84, -1],
    [84, 1],
  ] as const) {
    const from: Point = [100 + side * 5, y]
    if (form === 'simple-tufts') {
      const axis = curve([from, [100 + side * 40, y - 12], [100 + side * 80, y - 8]], 5)
      sketch.line(axis, { width: 2.4, start: 1, end: 0.6 })
      for (const one of placesOn(axis, 7).slice(1))
        for (const up of [-7, 7])
          sketch.line([one.at, beside(one, up, 2)], { width: 1.4 }).dot(beside(one, up, 2), 3.6, 'red')
    } else {
      for (let i = 0; i < 9; i++) {
        const angle = side * (0.5 + 1.5 * (i / 8))
        const reach = 46 + 16 * draw()
        const arm: Point = [from[0] + Math.sin(angle) * reach, from[1] - Math.cos(angle) * reach * 0.8]
        sketch.line([from, arm], { width: 1.7 })
        for (const turn of [-0.7, 0, 0.7]) {
          const end: Point = [arm[0] + 11 * Math.sin(angle + turn), arm[1] - 11 * Math.cos(angle + turn)]
          sketch.line([arm, end], { width: 1.2 }).dot(end, 4, 'red')
        }
      }
    }
  }
  return sketch.picture()
}

/** A scale of a catkin, large; edge: whole or toothed, cut unevenly, or cut deep into fingers with a long fringe. */
export function fringedScale(read: Reader): Picture {
  const edge = read.word('edge', SCALES)
  read.done()
  const sketch = new Sketch()
  const [count, deep, hairs] = { toothed: [7, 8, 3], cut: [6, 34, 8], fingers: [6, 84, 26] }[edge] as [
    number,
    number,
    number,
  ]
  const rim: Point[] = []
  const draw = lots(641)
  for (let i = 0; i <= count; i++) {
    const angle = -1.15 + (2.3 * i) / count
    const at = (reach: number, turn = angle): Point => [
      100 + reach * Math.sin(turn) * 0.86,
      150 - reach * Math.cos(turn),
    ]
    const full = 112 - (edge === 'cut' ? 16 * (i % 2) : 0)
    if (edge === 'toothed') rim.push(at(112), at(112 - deep, angle + 1.15 / count))
    else
      rim.push(
        at(full * 0.94, angle - 0.55 / count),
        at(full),
        at(full * 0.94, angle + 0.55 / count),
        at(full - deep, angle + 1.05 / count),
      )
  }
  rim.pop()
  sketch.shape([[92, 150], ...rim, [108, 150], [104, 192], [96, 192]], 'brown', 2.8)
  for (let i = 0; i < hairs; i++) {
    const angle = -1.2 + 2.4 * ((i * 0.618) % 1)
    const foot: Point = [100 + 96 * Math.sin(angle) * 0.86, 150 - 96 * Math.cos(angle)]
    const long = edge === 'fingers' ? 34 : 18
    const end: Point = [
      foot[0] + long * Math.sin(angle + 0.3 * (draw() - 0.5)),
      foot[1] - long * Math.cos(angle),
    ]
    sketch.line([foot, [(foot[0] + end[0]) / 2 + 3, (foot[1] + end[1]) / 2], end], {
      width: 1.4,
      start: 1,
      end: 0.3,
    })
  }
  return sketch.line(points('100,188 100,150 100,110'), { width: 2, start: 1, end: 0.3 }).picture()
}

/** A ripe capsule that opens; valves: 2 to 4; down: whether white down comes out. */
export function capsule(read: Reader): Picture {
  const valves = Math.round(read.number('valves', 2, 4, 2))
  const down = read.flag('down')
  read.done()
  const sketch = new Sketch()
  drawCapsule(sketch, valves)
  if (down) {
    const draw = lots(651)
    for (let i = 0; i < 46; i++) {
      const [x, y] = [60 + 80 * draw(), 26 + 76 * draw()]
      sketch.dot([x, y], 9 + 5 * draw(), 'pale')
    }
    for (let i = 0; i < 40; i++) {
      const [x, y] = [52 + 96 * draw(), 18 + 88 * draw()]
      sketch.line(
        curve(
          [
            [x, y],
            [x + 8, y - 7],
            [x + 17, y - 2],
          ],
          3,
        ),
        { width: 1.1 },
      )
    }
  }
  return sketch.picture()
}

/** An open capsule with so many valves, thrown back. */
export function drawCapsule(sketch: Sketch, valves: number): void {
  sketch.line(points('96,200 99,180 100,160'), { width: 5, start: 1, end: 1 })
  for (let i = 0; i < valves; i++) {
    const angle = valves === 1 ? 0 : -0.95 + (1.9 * i) / (valves - 1)
    const valve = curve(points('-0.16,0 -0.3,-0.45 -0.12,-0.92 0.02,-1.06 0.14,-0.9 0.3,-0.45 0.16,0'), 5)
    sketch.shape(placed(valve, [100, 146], 118, angle), 'green', 2.8)
    sketch.line(placed(points('0,-0.1 0,-0.5 0,-0.9'), [100, 146], 118, angle), {
      width: 2,
      start: 1,
      end: 0.4,
    })
  }
  sketch.shape(ellipse([100, 152], 26, 22, 24), 'green', 2.8)
}
