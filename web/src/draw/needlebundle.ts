import { curve, lots, type Point, placed, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'

const TWIST = ['straight', 'half', 'full'] as const
const FACES = ['alike', 'faint', 'pale'] as const
const DUCTS = ['skin', 'mixed', 'flesh'] as const
const BUDS = ['egg', 'sudden', 'cylinder'] as const
const SCALES = ['plain', 'part', 'loose', 'glued'] as const

/** A needle's middle line up from the sheath, and half its breadth along it: a twisted one narrows where it turns its edge. */
function ribbon(line: readonly Point[], half: number, turns: number): { left: Point[]; right: Point[] } {
  const places = placesOn(line, 44)
  const left: Point[] = []
  const right: Point[] = []
  places.forEach(({ at, along }, i) => {
    const share = i / 43
    const taper = Math.min(1, (1 - share) * 9 + 0.15)
    const w = half * taper * Math.max(0.16, Math.abs(Math.cos(Math.PI * turns * share)))
    left.push([at[0] + along[1] * w, at[1] - along[0] * w])
    right.push([at[0] - along[1] * w, at[1] + along[0] * w])
  })
  return { left, right }
}

/**
 * A bundle of needles in its sheath. needles: 2, 3 or 5; twist: of each about its length; faces: how pale the flat inner face is
 * beside the round outer one; length: share of the longest.
 */
export function needleBundle(read: Reader): Picture {
  const needles = Math.round(read.number('needles', 2, 5, 2))
  const twist = read.word('twist', TWIST)
  const faces = read.word('faces', FACES)
  const length = read.number('length', 0.4, 1, 1)
  read.done()
  const sketch = new Sketch()
  const half = needles === 2 ? 11 : needles === 3 ? 8.5 : 5.5
  const turns = { straight: 0, half: 1, full: 3 }[twist]
  for (let i = 0; i < needles; i++) {
    const lean = needles === 1 ? 0 : (2 * i) / (needles - 1) - 1
    const wide = needles === 2 ? 42 : 62
    const top = 160 - 152 * length
    const line = curve(
      [
        [100 + lean * 5, 164],
        [100 + lean * wide * 0.5, 112],
        [100 + lean * wide * 0.9, 60 + (top - 8) * 0.4],
        [100 + lean * wide, top],
      ].map(([x, y]): Point => [x ?? 0, y ?? 0]),
      10,
    )
    const { left, right } = ribbon(line, half, turns)
    sketch.shape([...left, ...[...right].reverse()], 'green', 2.2)
    if (needles === 2 && turns === 0) {
      const inner = i === 0 ? right : left
      const middle = line.length > 0 ? placesOn(line, 44).map((one) => one.at) : []
      const face = faces === 'pale' ? 'pale' : faces === 'faint' ? 'bloom' : 'green'
      const cut = middle.map(([x, y], k): Point => {
        const [ix, iy] = inner[k] ?? [x, y]
        const share = faces === 'faint' ? 0.35 : 0.05
        return [x + (ix - x) * share, y + (iy - y) * share]
      })
      sketch.fill([...inner.slice(2, -3), ...cut.slice(2, -3).reverse()], face)
      sketch.line(cut.slice(2, -3), { width: 1.3, start: 0.8, end: 0.4 })
      if (faces === 'pale')
        for (let k = 6; k < 38; k += 3) {
          const [a, b] = [inner[k], cut[k]]
          if (a && b) sketch.dot([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], 1, 'ink')
        }
      sketch.line(inner, { width: 2, start: 0.8, end: 0.5 })
    } else {
      for (let k = 2; turns > 0 && k < 43; k++) {
        // the inner face shows pale on every second half turn
        const share = k / 43
        const [a, b] = [left[k], right[k]]
        if (a && b && Math.cos(Math.PI * turns * share) < -0.25)
          sketch.line([a, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], b], {
            width: 2.4,
            start: 0.8,
            end: 0.8,
            role: 'pale',
          })
      }
      sketch.line(left, { width: 1.6 }).line(right, { width: 1.8 })
    }
  }
  sketch.shape(curve(points('84,196 82,172 88,152 100,148 112,152 118,172 116,196'), 5), 'brown', 2.6)
  for (const y of [162, 174, 185])
    sketch.line(
      curve(
        [
          [84, y],
          [100, y + 4],
          [116, y],
        ],
        3,
      ),
      { width: 1.5 },
    )
  return sketch.picture()
}

/** A shoot whose needles come out in bundles. years: lengths of years that still bear needles, 1 to 9. */
export function pineShoot(read: Reader): Picture {
  const years = Math.round(read.number('years', 1, 9, 2))
  read.done()
  const sketch = new Sketch()
  drawPineShoot(sketch, years)
  return sketch.picture()
}

/** The places on a pine's shoot where a year's length ends, from the tip down. */
export function drawPineShoot(sketch: Sketch, years: number): readonly Point[] {
  const axis = curve(points('78,200 88,150 96,100 100,40'), 10)
  const places = placesOn(axis, 91)
  const tall = Math.min(34, 76 / years + 8)
  sketch.line(axis, { width: 11, start: 1, end: 0.7 })
  sketch.line(axis, { width: 7, start: 1, end: 0.7, role: 'wood' })
  const ends: Point[] = []
  for (let year = 0; year < years; year++) {
    const top = 90 - year * Math.floor(88 / Math.max(years, 3))
    const bottom = Math.max(1, top - Math.floor(88 / Math.max(years, 3)) + 3)
    for (let k = bottom; k < top; k += 4) {
      const place = places[k]
      if (!place) continue
      for (const side of [-1, 1]) {
        for (const lean of [-0.1, 0.1]) {
          const end = placed([[0, -1]], place.at, tall + 20, side * (0.85 + lean))[0] ?? place.at
          sketch.line([place.at, [(place.at[0] + end[0]) / 2, (place.at[1] + end[1]) / 2 + 1], end], {
            width: 2.6,
            start: 1,
            end: 0.4,
            role: lean > 0 ? 'ink' : 'green',
          })
        }
      }
    }
    const end = places[bottom]
    if (end) {
      ends.push(end.at)
      sketch.line(
        [
          [end.at[0] - 8, end.at[1]],
          [end.at[0], end.at[1] + 2],
          [end.at[0] + 8, end.at[1]],
        ],
        { width: 3 },
      )
    }
  }
  sketch.shape(curve(points('93,42 92,22 100,6 108,22 107,42 93,42'), 4), 'brown', 2.2)
  return ends
}

/** A needle of a bundle of two cut across, large; place: of its resin ducts; ducts: how many, 0 to 18. */
export function needleDucts(read: Reader): Picture {
  const place = read.word('place', DUCTS)
  const ducts = Math.round(read.number('ducts', 0, 18, 6))
  read.done()
  const sketch = new Sketch()
  drawDucts(sketch, ducts, place)
  return sketch.picture()
}

/** The section with its ducts: against the skin, free in the green, or by turns. */
export function drawDucts(sketch: Sketch, ducts: number, place: (typeof DUCTS)[number]): Point[] {
  const half = curve(
    points('12,78 50,70 100,67 150,70 188,78 180,112 152,144 100,158 48,144 20,112 12,78'),
    7,
  )
  sketch.shape(half, 'fresh', 4)
  const round = (share: number, deep: number): Point => {
    // along the skin from the left corner round the arched side, then back along the flat one
    const arched = Math.max(6, Math.ceil(ducts * 0.7))
    const angle = Math.PI * (0.06 + 0.88 * share)
    if (share <= 1) return [100 - (84 - deep) * Math.cos(angle), 82 + (70 - deep) * Math.sin(angle)]
    return [40 + ((share - 1) * 120 * arched) / Math.max(1, ducts), 74 + deep]
  }
  sketch.shape(ellipse([100, 106], 44, 22, 32), 'cream', 2.2)
  for (const x of [82, 118]) sketch.shape(ellipse([x, 106], 10, 10, 20), 'wood', 1.6)
  const size = ducts > 10 ? 5.6 : 8
  return Array.from({ length: ducts }, (_, i) => {
    const free = place === 'flesh' || (place === 'mixed' && i % 2 === 1)
    const deep = free ? 24 : size + 1
    const at = round(ducts === 1 ? 0.5 : i / (ducts - 1), deep)
    sketch.shape(ellipse(at, size, size, 18), 'pale', 3)
    return at
  })
}

/** An end bud; shape: of the whole; scales: with free fringed tips, glued in part, or sealed under a crust of resin. */
export function pineBud(read: Reader): Picture {
  const shape = read.word('shape', BUDS)
  const scales = read.word('budScales', SCALES)
  read.done()
  const sketch = new Sketch()
  for (const side of [-1, 1]) {
    for (const [x, y] of points('84,186 86,172 88,160'))
      sketch.line(
        [
          [100 + side * (100 - x), y],
          [100 + side * 46, y - 34],
          [100 + side * 66, y - 70],
        ],
        { width: 5, start: 1, end: 0.4, role: 'green' },
      )
  }
  sketch.fill(points('84,200 86,160 114,160 116,200'), 'wood')
  sketch.line(points('84,200 86,160'), { width: 2.4 }).line(points('116,200 114,160'), { width: 3.4 })
  const outline: Readonly<Record<(typeof BUDS)[number], string>> = {
    egg: '100,22 116,54 130,96 130,132 114,162 86,162 70,132 70,96 84,54 100,22',
    sudden: '100,6 104,44 118,58 142,84 144,124 122,162 78,162 56,124 58,84 82,58 96,44 100,6',
    cylinder: '100,10 114,22 118,56 119,120 115,162 85,162 81,120 82,56 86,22 100,10',
  }
  const whole = curve(points(outline[shape]), 6)
  sketch.shape(whole, 'rust', 3)
  const half = (y: number) =>
    Math.max(...whole.filter((p) => Math.abs(p[1] - y) < 6).map((p) => p[0] - 100), 4)
  const draw = lots(661)
  for (let row = 0; row < 7; row++) {
    const y = (shape === 'sudden' ? 66 : 44) + row * (shape === 'sudden' ? 14 : 17)
    const room = half(y)
    for (let i = 0; i < 3; i++) {
      const x = 100 - room + ((i + (row % 2 ? 0.25 : 0.6)) * 2 * room) / 3
      sketch.line(
        curve(
          [
            [x - 9, y + 6],
            [x, y - 8],
            [x + 9, y + 6],
          ],
          3,
        ),
        { width: 1.8 },
      )
      if (scales === 'loose') {
        const side = x < 100 ? -1 : 1
        const edge = Math.abs(x - 100) > room * 0.4
        for (const lean of [0, 0.5, 1])
          sketch.line(
            [
              [x, y - 6],
              [x + side * (edge ? 14 + 8 * lean : 4), y - 14 + 6 * lean],
              [x + side * (edge ? 20 + 10 * draw() : 8), y - 20 + 12 * lean],
            ],
            { width: 1.9, start: 1, end: 0.3 },
          )
      }
    }
  }
  if (scales === 'glued') {
    const crust = whole.map(([x, y]): Point => [100 + (x - 100) * 0.98, y + 2])
    sketch.shape(crust, 'bloom', 2)
    for (const [x, y] of points('86,84 112,70 94,118 116,128 84,146 104,100'))
      sketch.shape(ellipse([x, y], 6, 4.6, 12), 'pale', 1.2)
  } else if (scales === 'part') {
    for (const [x, y] of points('88,92 112,118 92,140'))
      sketch.shape(ellipse([x, y], 10, 9, 14), 'bloom', 1.6)
  }
  return sketch.picture()
}
