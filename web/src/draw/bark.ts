import { curve, lots, type Point } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

const PATTERNS = [
  'smooth',
  'bands',
  'cracked',
  'bosses',
  'scaly',
  'flecks',
  'dull',
  'dots',
  'ridged',
  'strips',
  'fine',
  'blisters-few',
  'blisters-many',
  'canker',
] as const
type Pattern = (typeof PATTERNS)[number]

/** Half the stem's breadth at a height: a foot flares. */
type Half = (y: number) => number

/**
 * A piece of stem; pattern: smooth with a few cross bands, many corky bands, dark shallow cracks, thick black bosses,
 * lifted scales, pale flecks, dull with small pores, pale dots, deep ridges, thin strips, fine cracks, resin blisters, or a
 * sunken canker; foot: whether it stands on the ground.
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
  texture(sketch, pattern, half, bottom)
  sketch.line(left, { width: 3.2, start: 0.9, end: 0.8 }).line(right, { width: 4.6, start: 0.9, end: 0.8 })
  if (foot) ground(sketch)
  return sketch.picture()
}

function ground(sketch: Sketch): void {
  sketch.line(
    curve(
      [
        [0, 186],
        [40, 183],
        [100, 188],
        [150, 184],
        [200, 187],
      ],
      6,
    ),
    { width: 2.4 },
  )
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

function texture(sketch: Sketch, pattern: Pattern, half: Half, bottom: number): void {
  if (pattern === 'smooth') bands(sketch, half, bottom, 6, 0.55)
  else if (pattern === 'bands') bands(sketch, half, bottom, 17, 0.9)
  else if (pattern === 'cracked') cracks(sketch, half, bottom)
  else if (pattern === 'bosses') bosses(sketch, half)
  else if (pattern === 'scaly') scales(sketch, half)
  else if (pattern === 'flecks') flecks(sketch)
  else if (pattern === 'dots') dots(sketch)
  else if (pattern === 'ridged') ridges(sketch)
  else if (pattern === 'strips') strips(sketch)
  else if (pattern === 'fine') fineCracks(sketch)
  else if (pattern === 'blisters-few') blisters(sketch, 5)
  else if (pattern === 'blisters-many') blisters(sketch, 34)
  else if (pattern === 'canker') canker(sketch)
  else pores(sketch)
}

/** Corky lines across the stem, round it. */
function bands(sketch: Sketch, half: Half, bottom: number, count: number, reach: number): void {
  const draw = lots(101)
  for (let i = 0; i < count; i++) {
    const y = 10 + ((bottom - 24) * (i + 0.3 * draw())) / count
    const w = half(y) * reach * (0.35 + 0.65 * draw())
    const x = 100 + (half(y) - w) * (1.7 * draw() - 0.85)
    const bow = 2.5
    sketch.line(
      curve(
        [
          [x - w, y],
          [x, y + bow],
          [x + w, y],
        ],
        5,
      ),
      { width: 3.6, start: 0.3, end: 0.3 },
    )
    if (reach > 0.8)
      sketch.line(
        curve(
          [
            [x - w * 0.8, y + 4],
            [x, y + bow + 4],
            [x + w * 0.7, y + 4],
          ],
          5,
        ),
        { width: 1.1, role: 'hatch' },
      )
  }
}

function cracks(sketch: Sketch, half: Half, bottom: number): void {
  bands(sketch, half, bottom, 4, 0.5)
  const draw = lots(111)
  for (let i = 0; i < 9; i++) {
    const x = 100 + (half(150) - 12) * ((2 * (i + 0.5)) / 9 - 1)
    const [top, foot] = [96 + 46 * draw(), 168 + 12 * draw()]
    const shift = () => 7 * (draw() - 0.5)
    sketch.line(
      curve(
        [
          [x, top],
          [x + shift(), top + (foot - top) * 0.35],
          [x + shift(), top + (foot - top) * 0.7],
          [x + shift(), foot],
        ],
        4,
      ),
      {
        width: 4,
        start: 0.2,
        end: 0.5,
        role: 'dark',
      },
    )
    if (i % 2 === 0)
      sketch.line(
        [
          [x, top + 28],
          [x + 8, top + 33],
          [x + 14, top + 31],
        ],
        { width: 2.2, role: 'dark' },
      )
  }
}

/** Thick black lozenges at the foot of the stem. */
function bosses(sketch: Sketch, half: Half): void {
  const draw = lots(121)
  const rows = [
    [76, 2],
    [100, 4],
    [126, 5],
    [152, 6],
    [172, 7],
  ] as const
  for (const [y, count] of rows) {
    const room = half(y) - 4
    for (let i = 0; i < count; i++) {
      const x = 100 + room * ((2 * (i + 0.5)) / count - 1) + 4 * (draw() - 0.5)
      const [w, h] = [(room / count) * (0.72 + 0.2 * draw()), 11 + 5 * draw()]
      sketch.fill(
        [
          [x - w, y],
          [x - w * 0.3, y - h * 0.9],
          [x + w * 0.35, y - h],
          [x + w, y + h * 0.1],
          [x + w * 0.4, y + h],
          [x - w * 0.5, y + h * 0.85],
        ],
        'dark',
      )
      sketch.line(
        [
          [x - w * 0.6, y - h * 0.15],
          [x - w * 0.1, y - h * 0.55],
          [x + w * 0.3, y - h * 0.5],
        ],
        { width: 1.6, role: 'pale' },
      )
      sketch.line(
        [
          [x - w * 0.2, y + h * 0.5],
          [x + w * 0.1, y + h * 0.1],
          [x + w * 0.5, y + h * 0.3],
        ],
        { width: 1.3, role: 'pale' },
      )
    }
  }
  for (const y of [22, 48])
    sketch.line(
      curve(
        [
          [66, y],
          [90, y + 2],
          [112, y],
        ],
        4,
      ),
      { width: 2.4 },
    )
}

/** Small plates with lifted edges that throw a shade. */
function scales(sketch: Sketch, half: Half): void {
  const draw = lots(131)
  for (let row = 0; row < 8; row++) {
    for (let i = 0; i < 5; i++) {
      const y = 14 + row * 24 + 5 * (draw() - 0.5)
      const x = 100 - half(y) + 15 + i * 25 + (row % 2) * 10 + 4 * (draw() - 0.5)
      if (x > 100 + half(y) - 8) continue
      const [w, h] = [9 + 4 * draw(), 9 + 4 * draw()]
      const plate: Point[] = [
        [x - w, y - h * 0.6],
        [x, y - h],
        [x + w, y - h * 0.5],
        [x + w * 0.8, y + h * 0.7],
        [x - w * 0.4, y + h],
      ]
      sketch.fill(
        plate.map(([px, py]): Point => [px + 2.4, py + 3.2]),
        'dark',
      )
      sketch.shape(plate, 'wood', 1.5)
    }
  }
}

/** A dark skin with many short pale flecks. */
function flecks(sketch: Sketch): void {
  sketch.fill(
    [
      [39, 0],
      [161, 0],
      [161, 200],
      [39, 200],
    ],
    'dark',
  )
  const draw = lots(141)
  for (let i = 0; i < 58; i++) {
    const [x, y] = [48 + 104 * ((i * 0.618) % 1), 6 + (188 * i) / 58 + 4 * (draw() - 0.5)]
    const w = 4 + 4 * draw()
    sketch.line(
      [
        [x - w, y],
        [x, y + 0.8],
        [x + w, y],
      ],
      { width: 3.6, start: 0.5, end: 0.5, role: 'pale' },
    )
  }
}

/** A dull skin with small pores and faint lengthwise lines. */
function pores(sketch: Sketch): void {
  const draw = lots(151)
  for (let i = 0; i < 26; i++) {
    const [x, y] = [46 + 108 * ((i * 0.618) % 1), 8 + (184 * i) / 26]
    sketch.line(
      [
        [x - 2.5, y],
        [x, y + 0.4],
        [x + 2.5, y],
      ],
      { width: 1.7, role: 'hatch' },
    )
  }
  for (let i = 0; i < 15; i++) {
    const x = 44 + 112 * draw()
    const y = 10 + 150 * draw()
    sketch.line(
      [
        [x, y],
        [x + 2 * (draw() - 0.5), y + 14],
        [x, y + 26],
      ],
      { width: 0.9, role: 'hatch' },
    )
  }
}

/** Pale dots and short dashes on a grey skin. */
function dots(sketch: Sketch): void {
  sketch.fill(
    [
      [39, 0],
      [161, 0],
      [161, 200],
      [39, 200],
    ],
    'grey',
  )
  const draw = lots(451)
  for (let i = 0; i < 40; i++) {
    const [x, y] = [48 + 104 * ((i * 0.618) % 1), 6 + (188 * i) / 40]
    const w = 2 + 2 * draw()
    sketch.line(
      [
        [x - w, y],
        [x, y + 0.6],
        [x + w, y],
      ],
      { width: 4.4, start: 0.8, end: 0.8 },
    )
    sketch.line(
      [
        [x - w, y],
        [x, y + 0.6],
        [x + w, y],
      ],
      { width: 2.4, start: 0.8, end: 0.8, role: 'pale' },
    )
  }
}

/** Thick long plates with deep dark furrows between. */
function ridges(sketch: Sketch): void {
  const draw = lots(461)
  for (let i = 0; i < 6; i++) {
    const x = 50 + i * 20
    const bend = () => 9 * (draw() - 0.5)
    sketch.line(
      curve(
        [
          [x, -2],
          [x + bend(), 50],
          [x + bend(), 100],
          [x + bend(), 150],
          [x, 202],
        ],
        4,
      ),
      { width: 7, start: 0.8, end: 0.8, role: 'dark' },
    )
    for (const y of [30, 84, 140])
      sketch.line(
        [
          [x, y + 20 * draw()],
          [x + 18, y + 12 + 20 * draw()],
        ],
        { width: 4, start: 0.9, end: 0.3, role: 'dark' },
      )
  }
  for (let i = 0; i < 26; i++) {
    const [x, y] = [46 + 110 * draw(), 190 * draw()]
    sketch.line(
      [
        [x, y],
        [x + 1, y + 10],
      ],
      { width: 1, role: 'hatch' },
    )
  }
}

/** Thin scales and strips that come off lengthwise. */
function strips(sketch: Sketch): void {
  const draw = lots(471)
  for (let i = 0; i < 20; i++) {
    const [x, y] = [52 + 92 * ((i * 0.618) % 1), 2 + (i * 176) / 20]
    const [w, h] = [6 + 3 * draw(), 24 + 16 * draw()]
    const strip: Point[] = [
      [x - w, y],
      [x + w * 0.4, y - 3],
      [x + w, y + h * 0.6],
      [x + w * 0.3, y + h],
      [x - w * 0.7, y + h * 0.8],
    ]
    sketch.shape(strip, 'rust', 1.5)
    sketch.line(
      [
        [x, y + 4],
        [x + 1, y + h * 0.7],
      ],
      { width: 1 },
    )
  }
}

/** Many short fine cracks. */
function fineCracks(sketch: Sketch): void {
  const draw = lots(481)
  for (let i = 0; i < 54; i++) {
    const [x, y] = [46 + 108 * ((i * 0.618) % 1), 4 + (i * 184) / 54]
    sketch.line(
      [
        [x, y],
        [x + 3 * (draw() - 0.5), y + 8],
        [x + 2 * (draw() - 0.5), y + 15],
      ],
      { width: 1.8, start: 0.4, end: 0.4 },
    )
  }
}

/** Resin blisters on a smooth skin. */
function blisters(sketch: Sketch, count: number): void {
  const draw = lots(491)
  for (let i = 0; i < count; i++) {
    const [x, y] = [52 + 96 * ((i * 0.618) % 1), 10 + ((i + 0.4) * 180) / count]
    const w = 6 + 3 * draw()
    sketch.shape(
      [
        [x - w, y],
        [x - w * 0.4, y - 4.4],
        [x + w * 0.4, y - 4.4],
        [x + w, y],
        [x + w * 0.4, y + 4.4],
        [x - w * 0.4, y + 4.4],
      ],
      'pale',
      1.8,
    )
    sketch.line(
      [
        [x - w * 0.5, y - 1.4],
        [x, y - 2.4],
      ],
      { width: 1 },
    )
  }
  for (const y of [40, 100, 160])
    sketch.line(
      [
        [60, y],
        [76, y + 1],
      ],
      { width: 1.2, role: 'hatch' },
    )
}

/** A sunken wound with rims of swollen bark about it, and resin. */
function canker(sketch: Sketch): void {
  for (const [i, grow] of [34, 25, 16].entries()) {
    const shape = curve(
      [
        [100, 100 - grow * 1.9],
        [100 + grow, 100 - grow * 0.6],
        [100 + grow * 0.9, 100 + grow],
        [100, 100 + grow * 1.9],
        [100 - grow, 100 + grow * 0.8],
        [100 - grow * 0.9, 100 - grow],
        [100, 100 - grow * 1.9],
      ],
      6,
    )
    sketch.shape(shape, i === 2 ? 'dark' : i === 1 ? 'brown' : 'wood', 2.6)
  }
  for (const [x, to] of [
    [92, 168],
    [108, 182],
  ] as const) {
    sketch.line(
      [
        [x, 124],
        [x, to],
      ],
      { width: 5, start: 0.6, end: 1, role: 'pale' },
    )
    sketch.line(
      [
        [x + 2.4, 128],
        [x + 2.4, to],
      ],
      { width: 1.3 },
    )
  }
  for (const y of [20, 40])
    sketch.line(
      curve(
        [
          [56, y],
          [80, y + 2],
          [100, y],
        ],
        4,
      ),
      { width: 2 },
    )
}
