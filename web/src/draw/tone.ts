import { lots, type Point } from './geometry'
import type { Role } from './picture'
import type { Sketch } from './sketch'

/** A colour that is a character, with the pattern that says the same without colour. */
export type Tone = {
  readonly role: Role
  readonly pattern: 'plain' | 'dots' | 'dashes' | 'hatched' | 'crossed'
}

/** Colours of twigs, crowns, undersides and woods, by the word that a sheet uses. */
export const TONES = {
  plain: { role: 'wood', pattern: 'plain' },
  straw: { role: 'straw', pattern: 'plain' },
  orange: { role: 'orange', pattern: 'dashes' },
  red: { role: 'red', pattern: 'hatched' },
  brown: { role: 'brown', pattern: 'crossed' },
  grey: { role: 'grey', pattern: 'dots' },
  green: { role: 'green', pattern: 'dashes' },
  bluish: { role: 'bloom', pattern: 'dots' },
  sage: { role: 'sage', pattern: 'plain' },
  pale: { role: 'leaf', pattern: 'plain' },
  lemon: { role: 'lemon', pattern: 'dots' },
  cream: { role: 'cream', pattern: 'plain' },
  pink: { role: 'pink', pattern: 'dashes' },
  dark: { role: 'dark', pattern: 'plain' },
  rust: { role: 'rust', pattern: 'crossed' },
  white: { role: 'pale', pattern: 'plain' },
  fresh: { role: 'fresh', pattern: 'plain' },
} as const satisfies Readonly<Record<string, Tone>>

export type ToneName = keyof typeof TONES

/** The words for tones; the first stands in where none is given. */
export const TONE_NAMES = Object.keys(TONES) as [ToneName, ...ToneName[]]

/** Whether a point lies within a closed line (even-odd). */
export function isInside([x, y]: Point, line: readonly Point[]): boolean {
  let inside = false
  for (let i = 0, j = line.length - 1; i < line.length; j = i++) {
    const [ax, ay] = line[i] ?? [0, 0]
    const [bx, by] = line[j] ?? [0, 0]
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside
  }
  return inside
}

/** Fills a shape with a tone: its colour and its pattern, so many units apart. */
export function toned(
  sketch: Sketch,
  line: readonly Point[],
  { role, pattern }: Tone,
  apart = 11,
  width = 2.4,
): void {
  sketch.shape(line, role, width)
  if (pattern === 'plain') return
  const draw = lots(301)
  const xs = line.map((point) => point[0])
  const ys = line.map((point) => point[1])
  for (let y = Math.min(...ys); y < Math.max(...ys); y += apart) {
    for (let x = Math.min(...xs); x < Math.max(...xs); x += apart) {
      const at: Point = [x + apart * draw(), y + apart * draw()]
      if (!isInside(at, line)) continue
      if (pattern === 'dots') sketch.dot(at, 1.1, 'ink')
      else if (pattern === 'dashes') sketch.line([at, [at[0] + 4, at[1]]], { width: 1.1 })
      else sketch.line([at, [at[0] + 3.5, at[1] - 4]], { width: 1.2 })
      if (pattern === 'crossed')
        sketch.line(
          [
            [at[0], at[1] - 4],
            [at[0] + 3.5, at[1]],
          ],
          { width: 1.2 },
        )
    }
  }
}
