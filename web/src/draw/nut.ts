import { curve, distance, lots, type Point, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { ellipse, Sketch } from './sketch'

const RIBS = ['none', 'faint', 'strong'] as const
const GIVES = ['easily', 'hard', 'not'] as const
const SHELL = ['thin', 'medium', 'woody'] as const

/** A dry nut; ribs: along it. */
export function nut(read: Reader): Picture {
  const ribs = read.word('ribs', RIBS)
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('96,198 98,180 100,164'), 4), { width: 6, start: 1, end: 1 })
  const bulge = ribs === 'strong' ? 7 : 0
  const outline = Array.from({ length: 60 }, (_, i): Point => {
    const angle = (i * 2 * Math.PI) / 60 - Math.PI / 2
    const rib = bulge * Math.abs(Math.cos(angle * 1.5)) * Math.abs(Math.cos(angle))
    return [100 + (58 + rib) * Math.cos(angle), 94 + 70 * Math.sin(angle)]
  })
  sketch.shape(outline, 'wood', 3)
  if (ribs !== 'none') {
    for (const x of [-46, -17, 17, 46]) {
      const line = curve(
        [
          [100 + x * 0.2, 28],
          [100 + x, 94],
          [100 + x * 0.2, 160],
        ],
        8,
      )
      sketch.line(line, { width: ribs === 'strong' ? 6 : 2, start: 0.4, end: 0.4 })
      if (ribs === 'strong')
        sketch.line(
          curve(
            [
              [96 + x * 0.2, 32],
              [95 + x, 94],
              [96 + x * 0.2, 156],
            ],
            8,
          ),
          { width: 3, role: 'pale' },
        )
    }
  } else sketch.fill(curve(points('62,84 68,60 82,44 78,66 70,90 62,84'), 5), 'pale')
  const draw = lots(501)
  for (let i = 0; i < 26; i++) {
    const [x, y] = [112 + 36 * draw(), 90 + 50 * draw()]
    if (distance((x - 100) / 58, (y - 94) / 70) < 0.95)
      sketch.line(
        [
          [x, y],
          [x + 4, y - 4],
        ],
        { width: 1.1, role: 'hatch' },
      )
  }
  return sketch.line(points('100,26 100,12'), { width: 3, start: 1, end: 0.4 }).picture()
}

/** A nut between finger and thumb; gives: how it yields. */
export function crushed(read: Reader): Picture {
  const gives = read.word('gives', GIVES)
  read.done()
  const sketch = new Sketch()
  const gap = gives === 'easily' ? 17 : gives === 'hard' ? 28 : 34
  if (gives === 'easily') {
    sketch.shape(
      points('58,104 70,90 84,98 98,88 112,98 128,90 142,104 126,112 112,106 98,114 82,106 70,113'),
      'wood',
      2.4,
    )
    for (const [x, y] of points('40,96 34,112 160,94 164,112 152,124'))
      sketch.shape(
        [
          [x - 5, y],
          [x, y - 5],
          [x + 5, y + 1],
        ],
        'wood',
        1.4,
      )
  } else {
    sketch.shape(ellipse([100, 100], gives === 'hard' ? 42 : 38, gap + 2), 'wood', 3)
    if (gives === 'hard') sketch.line(points('82,74 90,92 84,104 94,124'), { width: 2.6 })
    else sketch.fill(curve(points('76,96 82,82 92,76 88,90 76,96'), 4), 'pale')
  }
  const finger = (dir: 1 | -1) => {
    const y = (v: number) => 100 + dir * v
    sketch.shape(
      [
        ...curve(
          [
            [200, y(gap + 34)],
            [150, y(gap + 38)],
            [92, y(gap + 30)],
            [70, y(gap + 16)],
            [82, y(gap + 2)],
            [120, y(gap)],
            [200, y(gap + 6)],
          ],
          5,
        ),
      ],
      'paper',
      2.6,
    )
    sketch.line(
      curve(
        [
          [74, y(gap + 22)],
          [82, y(gap + 27)],
          [98, y(gap + 30)],
        ],
        4,
      ),
      { width: 1.6 },
    )
  }
  finger(-1)
  finger(1)
  if (gives === 'not')
    for (const x of [40, 52])
      sketch
        .line(
          [
            [x, 86],
            [x - 10, 80],
          ],
          { width: 2 },
        )
        .line(
          [
            [x, 114],
            [x - 10, 120],
          ],
          { width: 2 },
        )
  return sketch.picture()
}

/** A nut cut across; shell: how thick. */
export function shell(read: Reader): Picture {
  const thickness = { thin: 4, medium: 12, woody: 26 }[read.word('shell', SHELL)]
  read.done()
  const sketch = new Sketch()
  sketch.shape(ellipse([100, 100], 82, 80, 56), 'brown', 3)
  if (thickness > 6) {
    for (let i = 0; i < 40; i++) {
      const angle = (i * 2 * Math.PI) / 40
      const at = (r: number): Point => [100 + r * Math.cos(angle), 100 + r * 0.98 * Math.sin(angle)]
      sketch.line([at(80), at(82 - thickness)], { width: 1.4 })
    }
  }
  sketch.shape(ellipse([100, 100], 82 - thickness, 80 - thickness, 56), 'cream', 2.4)
  for (let i = 0; i < 5; i++) {
    const angle = (i * 2 * Math.PI) / 5 - 0.3
    sketch.line(
      [
        [100, 100],
        [100 + (78 - thickness) * Math.cos(angle), 100 + (76 - thickness) * Math.sin(angle)],
      ],
      { width: 1.4 },
    )
  }
  sketch.shape(ellipse([112, 88], 22, 18), 'wood', 2.4)
  return sketch.picture()
}
