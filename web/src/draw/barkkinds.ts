import type { Half } from './barkcracks'
import { curve, lots, type Point } from './geometry'
import type { Role } from './picture'
import { ellipse, type Sketch } from './sketch'

/** Crooked ridges that swell and meet, with dark deep clefts between; cleft: what is seen in them; turn: how crooked they run. */
export function ridgesBetween(
  sketch: Sketch,
  half: Half,
  bottom: number,
  options: { count: number; cleft: Role; turn: number; breadth: number; seam?: Role },
): void {
  const { count, cleft, turn, breadth, seam } = options
  const draw = lots(801)
  for (let i = 0; i < count; i++) {
    const share = (2 * (i + 0.5)) / count - 1
    const line: Point[] = []
    let bend = 0
    for (let y = -4; y <= bottom + 4; y += 20) {
      bend = bend * 0.4 + turn * (draw() - 0.5)
      line.push([100 + share * (half(y) - 8) + bend, y])
    }
    sketch.line(curve(line, 3), { width: breadth, start: 0.8, end: 0.8, role: cleft })
    if (seam) sketch.line(curve(line, 3), { width: breadth * 0.42, start: 0.6, end: 0.6, role: seam })
    if (turn > 8 && i + 1 < count) {
      for (const y of [14 + 40 * draw(), 78 + 40 * draw(), 138 + 36 * draw()]) {
        const x = 100 + share * (half(y) - 8)
        sketch.line(
          [
            [x, y],
            [x + (half(y) * 1) / count, y + 10 * (draw() - 0.5)],
            [x + (half(y) * 2) / count, y + 16 * (draw() - 0.3)],
          ],
          { width: breadth * 0.8, start: 0.9, end: 0.6, role: cleft },
        )
      }
    }
  }
}

/** Shallow ridges that cross as a net. */
export function net(sketch: Sketch, half: Half, bottom: number): void {
  for (let row = 0; row < 6; row++) {
    for (let i = 0; i < 4; i++) {
      const wide = half(row * 36) / 2.1
      const x = 100 - half(row * 36) + 12 + i * wide + (row % 2 ? wide / 2 : 0)
      const y = row * 36
      if (x > 100 + half(y)) continue
      sketch.line(
        curve(
          [
            [x, y],
            [x - wide * 0.42, Math.min(bottom, y + 20)],
            [x - wide * 0.1, Math.min(bottom, y + 38)],
          ],
          4,
        ),
        { width: 3, start: 0.8, end: 0.8 },
      )
      sketch.line(
        curve(
          [
            [x, y],
            [x + wide * 0.42, Math.min(bottom, y + 18)],
            [x + wide * 0.5, y + Math.min(36, bottom - y)],
          ],
          4,
        ),
        { width: 3, start: 0.8, end: 0.8 },
      )
    }
  }
}

/** Close deep cracks both ways that leave small blocks; seam: what is seen in the cracks; skin: of the blocks. */
export function blocks(
  sketch: Sketch,
  half: Half,
  bottom: number,
  seam: Role = 'dark',
  skin: Role = 'brown',
): void {
  const draw = lots(811)
  const step = 29
  const rim = (side: 1 | -1) =>
    Array.from({ length: 9 }, (_, i): Point => [100 + side * half((bottom * i) / 8), (bottom * i) / 8])
  sketch.fill([...rim(-1), ...rim(1).reverse()], seam)
  for (let y = 0; y < bottom - 8; y += step) {
    const shift = 5 * (draw() - 0.5)
    for (let i = 0; i < 4; i++) {
      const wide = (2 * half(y + 12) - 4) / 4
      const x = 102 - half(y + 12) + i * wide
      const j = () => 6 * (draw() - 0.5)
      const gap = 4
      const top = y + gap + (i % 2 ? shift : -shift)
      const low = y + step - gap + (i % 2 ? shift : -shift)
      sketch.shape(
        [
          [x + gap + 3, top + j()],
          [x + wide / 2, top - 2],
          [x + wide - gap - 2, top + j()],
          [x + wide - gap, (top + low) / 2],
          [x + wide - gap - 3, low + j()],
          [x + wide / 2, low + 1],
          [x + gap + 2, low + j()],
          [x + gap, (top + low) / 2],
        ],
        skin,
        1.4,
      )
    }
  }
}

/** Rows of diamond-shaped pits in a smooth skin. */
export function diamonds(sketch: Sketch, half: Half, bottom: number): void {
  const draw = lots(821)
  for (let row = 0; row < 6; row++) {
    for (let i = 0; i < 3; i++) {
      const y = 18 + row * 31 + 6 * draw()
      if (y > bottom - 14) continue
      const x = 100 - half(y) + 22 + i * ((2 * half(y) - 30) / 2.6) + (row % 2 ? 14 : 0) + 4 * draw()
      if (x > 100 + half(y) - 10) continue
      sketch.fill(
        [
          [x - 8, y],
          [x, y - 12],
          [x + 8, y],
          [x, y + 12],
        ],
        'dark',
      )
    }
  }
}

/** Where a scion was set on a stock: a ring and a step, another bark below. */
export function graft(sketch: Sketch, half: Half): void {
  const line = curve(
    [
      [100 - half(110) - 9, 108],
      [76, 116],
      [104, 110],
      [130, 118],
      [100 + half(110) + 9, 110],
    ],
    6,
  )
  sketch.fill([...line, [100 + half(110) + 9, 200], [100 - half(110) - 9, 200]], 'brown')
  const draw = lots(831)
  for (let i = 0; i < 7; i++) {
    const x = 100 - half(150) + 6 + i * 18
    sketch.line(
      curve(
        [
          [x, 126 + 8 * draw()],
          [x + 5 * (draw() - 0.5), 156],
          [x + 4 * (draw() - 0.5), 200],
        ],
        4,
      ),
      { width: 4.4, start: 0.5, end: 0.8, role: 'dark' },
    )
  }
  sketch.line(line, { width: 8, start: 0.8, end: 0.8 })
  for (const s of [-1, 1])
    sketch.line(
      [
        [100 + s * (half(110) + 8), 108],
        [100 + s * (half(110) + 8), 160],
        [100 + s * (half(110) + 6), 200],
      ],
      { width: 4, start: 1, end: 1 },
    )
}

/** A shining skin with long pores across. */
export function crossPores(sketch: Sketch, half: Half, bottom: number): void {
  sketch.fill(
    [
      [100 - half(20) * 0.62, 0],
      [100 - half(20) * 0.3, 0],
      [100 - half(20) * 0.3, bottom],
      [100 - half(20) * 0.62, bottom],
    ],
    'pale',
  )
  const draw = lots(841)
  for (let i = 0; i < 17; i++) {
    const y = 10 + (i * (bottom - 16)) / 17
    const w = 12 + 16 * draw()
    const x = 100 + (half(y) - w) * (1.7 * draw() - 0.85)
    sketch.line(
      [
        [x - w, y],
        [x, y + 1.4],
        [x + w, y],
      ],
      { width: 4.2, start: 0.6, end: 0.6, role: 'rust' },
    )
  }
}

/** A few burrs on an otherwise ridged stem. */
export function fewBurrs(sketch: Sketch, half: Half, bottom: number): void {
  ridgesBetween(sketch, half, bottom, { count: 5, cleft: 'ink', turn: 5, breadth: 3 })
  const draw = lots(851)
  const [x, y, r] = [126, 100, 30]
  sketch.shape(ellipse([x, y], r, r * 0.86, 22), 'brown', 3)
  for (let i = 0; i < 22; i++) {
    const [angle, out] = [2 * Math.PI * draw(), r * 0.78 * Math.sqrt(draw())]
    sketch.dot([x + out * Math.cos(angle), y + 0.86 * out * Math.sin(angle)], 1.8, 'dark')
  }
}
