import { curve, lots, points } from './geometry'
import { ellipse, type Sketch } from './sketch'

/** A dark skin with many short pale flecks. */
export function flecks(sketch: Sketch): void {
  sketch.fill(points('39,0 161,0 161,200 39,200'), 'dark')
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
export function pores(sketch: Sketch): void {
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
export function dots(sketch: Sketch): void {
  sketch.fill(points('39,0 161,0 161,200 39,200'), 'grey')
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

/** Resin blisters on a smooth skin. */
export function blisters(sketch: Sketch, count: number): void {
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
export function canker(sketch: Sketch): void {
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

/** Swollen burrs that stand off the stem, rough with sleeping buds and short sprouts. */
export function burrs(sketch: Sketch): void {
  const draw = lots(511)
  for (const [x, y, r] of [
    [84, 52, 30],
    [122, 104, 36],
    [80, 146, 26],
  ] as const) {
    sketch.shape(ellipse([x, y], r, r * 0.86, 22), 'brown', 3)
    for (let i = 0; i < r * 0.8; i++) {
      const [angle, out] = [2 * Math.PI * draw(), r * 0.78 * Math.sqrt(draw())]
      sketch.dot([x + out * Math.cos(angle), y + 0.86 * out * Math.sin(angle)], 1.6 + 1.2 * draw(), 'dark')
    }
    for (const lean of [-0.5, 0.1, 0.6]) {
      sketch.line(
        [
          [x + r * lean, y - r * 0.6],
          [x + r * lean * 1.2, y - r * 0.9],
          [x + r * lean * 1.3, y - r * 1.2],
        ],
        { width: 2, start: 1, end: 0.4 },
      )
    }
  }
}
