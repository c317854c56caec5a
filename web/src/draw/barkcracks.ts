import { curve, lots, type Point } from './geometry'
import type { Role } from './picture'
import type { Sketch } from './sketch'

/** Half the stem's breadth at a height: a foot flares. */
export type Half = (y: number) => number

/** Corky lines across the stem, round it. */
export function bands(sketch: Sketch, half: Half, bottom: number, count: number, reach: number): void {
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

export function cracks(sketch: Sketch, half: Half, bottom: number): void {
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
export function bosses(sketch: Sketch, half: Half): void {
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
export function scales(sketch: Sketch, half: Half, between: Role = 'dark', skin: Role = 'wood'): void {
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
        plate.map(([px, py]): Point => [px + 2.4, py + (between === 'dark' ? 3.2 : 5)]),
        between,
      )
      sketch.shape(plate, skin, 1.5)
    }
  }
}

/** Thick long plates with deep dark furrows between. */
export function ridges(sketch: Sketch): void {
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
export function strips(sketch: Sketch): void {
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
export function fineCracks(sketch: Sketch): void {
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

/** Broad flat plates of bark, longer than wide, with deep dark cracks between that seldom run straight. */
export function plates(sketch: Sketch, half: Half, bottom: number): void {
  const draw = lots(501)
  const rim = (s: 1 | -1) =>
    Array.from({ length: 11 }, (_, i): Point => [100 + s * half((bottom * i) / 10), (bottom * i) / 10])
  sketch.fill([...rim(-1), ...rim(1).reverse()], 'dark')
  let top = -26
  for (let row = 0; top < bottom; row++) {
    const count = 3 + (row % 2)
    for (let i = 0; i < count; i++) {
      const height = 34 + 16 * draw()
      const y = Math.max(2, top + 16 * draw())
      const end = Math.min(bottom - 3, y + height)
      const wide = (2 * half(y) - 6) / count
      const x = 100 - half(y) + 3 + i * wide
      const [left, right] = [x + 2 + 3 * draw(), x + wide - 2 - 3 * draw()]
      const middle = (y + end) / 2
      if (end - y < 8) continue
      sketch.fill(
        [
          [left + 3, y + 5 * draw()],
          [(left + right) / 2, y - 2],
          [right - 2, y + 6 * draw()],
          [right + 3 * draw(), middle],
          [right - 4 * draw(), end - 3],
          [(left + right) / 2 + 4, end],
          [left + 1, end - 6 * draw()],
          [left - 3 * draw(), middle - 4],
        ],
        'wood',
      )
      for (const share of [0.3, 0.62]) {
        const place = left + (right - left) * share
        sketch.line(
          [
            [place, y + 8],
            [place + 1.5, middle],
            [place, Math.max(middle, end - 10)],
          ],
          { width: 1.1, role: 'hatch' },
        )
      }
    }
    top += 42
  }
}
