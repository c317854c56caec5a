import { curve, lots, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

const INNER = ['lemon', 'cream', 'browning', 'yellow', 'orange'] as const
const RIM = { lemon: 'red', cream: 'green', browning: 'orange', yellow: 'wood', orange: 'wood' } as const
const CORE = { lemon: 'lemon', cream: 'cream', browning: 'cream', yellow: 'lemon', orange: 'orange' } as const

/**
 * A scraped branch with its inner bark; colour: lemon (with the wine-red layer under the skin), cream under a green
 * skin, browning as it stands, plain yellow or orange. Each has a pattern of its own.
 */
export function scrape(read: Reader): Picture {
  const colour = read.word('colour', INNER)
  read.done()
  const sketch = new Sketch()
  sketch.fill(points('52,0 148,0 150,200 50,200'), 'wood')
  sketch.line(points('52,0 51,100 50,200'), { width: 3, start: 0.9, end: 0.9 })
  sketch.line(points('148,0 149,100 150,200'), { width: 4, start: 0.9, end: 0.9 })
  for (const [y, x] of [
    [14, 70],
    [22, 118],
    [182, 84],
    [188, 124],
  ] as const) {
    sketch.line(
      [
        [x - 9, y],
        [x + 9, y],
      ],
      { width: 2.4, role: 'ink' },
    )
  }
  const patch = (inset: number) =>
    curve(
      [
        [100, 30 + inset],
        [126 - inset, 50 + inset / 2],
        [130 - inset, 100],
        [124 - inset, 152 - inset / 2],
        [100, 172 - inset],
        [76 + inset, 152 - inset / 2],
        [70 + inset, 100],
        [74 + inset, 50 + inset / 2],
        [100, 30 + inset],
      ],
      6,
    )
  sketch.shape(patch(0), RIM[colour], 2.4)
  if (colour === 'lemon') {
    for (let i = 0; i < 26; i++) {
      const y = 44 + i * 4.6
      sketch
        .line(
          [
            [73, y],
            [80, y - 4],
          ],
          { width: 1.2 },
        )
        .line(
          [
            [120, y],
            [127, y - 4],
          ],
          { width: 1.2 },
        )
    }
  }
  sketch.shape(patch(9), CORE[colour], 1.8)
  const draw = lots(71)
  if (colour === 'lemon') {
    for (let i = 0; i < 46; i++) sketch.dot([86 + 28 * draw(), 54 + 92 * draw()], 1.5, 'ink')
  } else if (colour === 'orange') {
    for (let i = 0; i < 15; i++)
      sketch.line(
        [
          [84, 62 + i * 6.6],
          [116, 52 + i * 6.6],
        ],
        { width: 1.4 },
      )
  } else if (colour === 'browning') {
    for (let i = 0; i < 5; i++) {
      const [x, y] = [88 + 22 * draw(), 60 + 17 * i]
      sketch.fill(
        curve(
          [
            [x - 9, y],
            [x, y - 7],
            [x + 10, y - 2],
            [x + 5, y + 8],
            [x - 9, y],
          ],
          5,
        ),
        'orange',
      )
      for (let j = -1; j < 2; j++)
        sketch.line(
          [
            [x - 6, y + 3 * j + 3],
            [x + 7, y + 3 * j - 3],
          ],
          { width: 1.2 },
        )
    }
  }
  return sketch.picture()
}
