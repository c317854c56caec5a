import { catalogue } from '../../draw/draw'
import { ownPictureOf } from '../../draw/ownPicture'
import type { DrawFile } from './sheetFile'

/** What every part may be drawn with, by part and parameter. */
export const ALLOWED = catalogue()

/** Whether every parameter is one that the part is drawn with. */
export function isDrawable(draw: DrawFile): boolean {
  if (ownPictureOf(draw.part, draw)) return true
  const allowed = ALLOWED.get(draw.part)
  return Object.entries(draw).every(([name, value]) => {
    if (name === 'part') return true
    const kind = allowed?.get(name)
    if (!kind) return false
    if (kind.kind === 'number') return typeof value === 'number' && value >= kind.least && value <= kind.most
    return kind.kind === 'word' ? kind.words.includes(String(value)) : typeof value === 'boolean'
  })
}
