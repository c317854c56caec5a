import { beside, curve, lots, type Point, placesOn, points } from './geometry'
import { MARGINS, toothed } from './margin'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'

const BORDERS = ['none', 'faint', 'clear'] as const
const GLANDS = ['none', 'pinheads', 'knobs'] as const
const FEEL = ['leathery', 'medium', 'thin'] as const

/** A piece of a leaf's edge under the lens; teeth: shown, 3 to 12; tips: whether each bears a hard blunt tip. */
export function margin(read: Reader): Picture {
  const kind = read.word('margin', MARGINS)
  const teeth = read.number('teeth', 3, 12, 5)
  const tips = read.flag('tips')
  const border = read.word('border', BORDERS)
  read.done()
  const sketch = new Sketch()
  // drawn in edge lengths, so that teeth are as high as on a whole leaf of that many
  const edge = curve(points('0,0 0.06,-0.3 0.07,-0.65 0.02,-1'), 12)
  const rim = toothed(edge, kind, teeth, 1, 9).map(([x, y]): Point => [112 + x * 200, 203 + y * 208])
  sketch.fill([...rim, [0, -6], [0, 206]], 'leaf')
  for (let i = 0; i < 5; i++) {
    const y = 190 - i * 41
    sketch.line(
      curve(
        [
          [0, Math.min(y + 34, 206)],
          [60, y + 6],
          [108, y - 26],
        ],
        5,
      ),
      { width: 2.6, start: 1, end: 0.3 },
    )
    sketch.line(
      curve(
        [
          [44, y + 14],
          [50, y - 8],
          [44, y - 26],
        ],
        4,
      ),
      { width: 1, role: 'hatch' },
    )
    sketch.line(
      curve(
        [
          [78, y - 6],
          [80, y - 20],
          [76, y - 32],
        ],
        4,
      ),
      { width: 1, role: 'hatch' },
    )
  }
  if (border !== 'none') {
    // a line of light inside the edge, all along or in pieces
    const inside = rim.map(([x, y]): Point => [x - 9, y])
    const runs =
      border === 'clear'
        ? [inside]
        : [
            inside.slice(2, Math.floor(inside.length * 0.3)),
            inside.slice(Math.floor(inside.length * 0.58), Math.floor(inside.length * 0.76)),
          ]
    for (const run of runs) {
      if (run.length < 2) continue
      sketch.line(run, { width: border === 'clear' ? 15 : 11, start: 1, end: 1 })
      sketch.line(run, { width: border === 'clear' ? 11 : 8, start: 1, end: 1, role: 'lemon' })
    }
  }
  sketch.line(rim, { width: 4, start: 0.9, end: 0.9 })
  if (tips) {
    const places = placesOn(edge, 201)
    for (let i = 0; i < teeth; i++) {
      const share = 0.1 + (0.87 / teeth) * (i + 0.93)
      const place = places[Math.round(share * 200)]
      if (!place) continue
      const [x, y] = beside(place, -0.042)
      sketch
        .dot([112 + x * 200, 203 + y * 208], 5.2, 'ink')
        .dot([111 + x * 200, 201.6 + y * 208], 1.8, 'paper')
    }
  }
  return sketch.picture()
}

/** The foot of a blade and its stalk, large; glands: at the top of the stalk. */
export function petiole(read: Reader): Picture {
  const glands = read.word('glands', GLANDS)
  read.done()
  const sketch = new Sketch()
  const right = curve(points('104,112 128,100 164,62 186,10'), 8)
  const left = right.map(([x, y]): Point => [200 - x, y]).reverse()
  sketch.fill([...right, [14, 10], ...left], 'leaf')
  for (const side of [1, -1]) {
    for (const y of [84, 54, 26]) {
      sketch.line(
        curve(
          [
            [100, y],
            [100 + side * 26, y - 22],
            [100 + side * (52 - y * 0.2), y - 36],
          ],
          5,
        ),
        { width: 2, start: 1, end: 0.3 },
      )
    }
  }
  sketch.line(right, { width: 3.4, start: 0.9, end: 0.5 }).line(left, { width: 2.6, start: 0.5, end: 0.9 })
  const stalk = curve(points('96,200 98,160 100,112'), 6)
  sketch.line(stalk, { width: 17, start: 1, end: 0.8 })
  sketch.line(stalk, { width: 11, start: 1, end: 0.8, role: 'leaf' })
  sketch.line(curve(points('100,112 101,60 100,6'), 6), { width: 7, start: 1, end: 0.4 })
  if (glands === 'knobs') {
    for (const [x, y, side] of [
      [107, 122, 1],
      [91, 134, -1],
      [107, 146, 1],
    ] as const) {
      sketch.line(
        [
          [x, y + 2],
          [x + side * 9, y - 2],
        ],
        { width: 7, start: 1, end: 1 },
      )
      sketch.dot([x + side * 14, y - 4], 8.5, 'ink').dot([x + side * 12.6, y - 6.4], 3.4, 'paper')
    }
  } else if (glands === 'pinheads') {
    for (const [x, y] of points('110,122 90,126'))
      sketch.dot([x, y], 9, 'ink').dot([x - 1.6, y - 2], 3.2, 'paper')
  }
  return sketch.picture()
}

/** A leaf held by its stalk between finger and thumb, from beside; feel: how stiff it is. */
export function held(read: Reader): Picture {
  const feel = read.word('feel', FEEL)
  read.done()
  const sketch = new Sketch()
  const line: Readonly<Record<(typeof FEEL)[number], readonly Point[]>> = {
    leathery: points('48,104 84,92 132,80 194,70'),
    medium: points('48,104 84,88 136,92 188,122'),
    thin: points('48,104 78,86 110,108 122,188'),
  }
  const axis = placesOn(curve(line[feel], 10), 40)
  const half = (i: number) => 13 * Math.sin(Math.PI * Math.min(1, i / 39)) ** 0.8
  const [thick, droop] = feel === 'leathery' ? [6, 1] : feel === 'medium' ? [3.4, 1.2] : [1.8, 1.5]
  const near = axis.map((place, i) => beside(place, -half(i) * droop))
  const far = axis.map((place, i) => beside(place, half(i) * 0.55))
  sketch.fill([...near, ...[...far].reverse()], 'leaf')
  for (const i of [8, 13, 18, 23, 28, 33]) {
    const [mid, rim] = [axis[i], near[i + 3]]
    if (mid && rim) sketch.line([mid.at, rim], { width: 1.4, start: 1, end: 0.3 })
  }
  sketch.line(far, { width: 1.8 }).line(near, { width: thick, start: 0.5, end: 0.3 })
  sketch.line(
    axis.map((place) => place.at),
    { width: thick * 0.8 + 1, start: 0.9, end: 0.3 },
  )
  if (feel === 'thin') {
    sketch.line(curve(points('110,122 104,146 108,168'), 5), { width: 1.2, role: 'hatch' })
  }
  fingers(sketch)
  return sketch.picture()
}

function fingers(sketch: Sketch): void {
  sketch.shape(curve(points('0,84 26,86 48,92 56,100 50,107 30,108 0,112'), 6), 'paper', 2.6)
  sketch.shape(curve(points('0,134 22,130 46,116 54,108 46,103 28,108 0,108'), 6), 'paper', 2.6)
  sketch.line(curve(points('44,93 51,95 54,101'), 4), { width: 1.6 })
}

/** A glass with an extract; cloud: whether it clouds. */
export function tube(read: Reader): Picture {
  const cloud = read.flag('cloud')
  read.done()
  const sketch = new Sketch()
  sketch.fill(
    curve(points('74,70 74,160 82,184 100,190 118,184 126,160 126,70'), 5),
    cloud ? 'orange' : 'paper',
  )
  if (cloud) {
    const draw = lots(221)
    for (let i = 0; i < 90; i++) {
      const y = 80 + 100 * draw() ** 0.6
      sketch.dot([79 + 42 * draw(), Math.min(y, 178)], 0.9 + 1.3 * draw(), 'ink')
    }
  } else {
    for (const y of [96, 120, 144])
      sketch.line(
        [
          [84, y],
          [90, y + 1],
        ],
        { width: 1, role: 'hatch' },
      )
  }
  sketch.shape(ellipse([100, 70], 26, 5), cloud ? 'orange' : 'paper', 1.6)
  sketch.line(curve(points('72,14 74,40 74,160 82,184 100,191'), 8), { width: 3, start: 0.8, end: 0.9 })
  sketch.line(curve(points('128,14 126,40 126,160 118,184 100,191'), 8), { width: 4, start: 0.8, end: 0.9 })
  sketch.contour(ellipse([100, 14], 30, 6), 2.4)
  sketch.line(points('82,30 82,60'), { width: 1.4, role: 'hatch' })
  return sketch.picture()
}
