import { createContext, use } from 'react'
import type { Refusal } from '../../api/problem'
import type { SheetFile } from '../../common/draft/sheetFile'

/** What the parts of the editor share. */
export type Editor = {
  readonly sheet: SheetFile
  readonly refusals: readonly Refusal[]
  /** Places whose ids are saved, and stay. */
  readonly saved: readonly string[]
  /** Whether it is another's draft. */
  readonly readOnly: boolean
  /** Whether only occurrence and months may differ from the original. */
  readonly regional: boolean
  readonly change: (make: (sheet: SheetFile) => SheetFile) => void
}

export const EditorContext = createContext<Editor | null>(null)

/** The draft of the page; only below EditPage. */
export function useEditor(): Editor {
  const editor = use(EditorContext)
  if (!editor) throw new Error('useEditor is for parts of the editor')
  return editor
}

/** What the core says of a place of the sheet, and of what stands within it; undefined: nothing. */
export function wrongIn(refusals: readonly Refusal[], ...places: readonly string[]): string | undefined {
  const there = refusals.filter((one) =>
    places.some(
      (place) => one.key === place || one.key.startsWith(`${place}.`) || one.key.startsWith(`${place}[`),
    ),
  )
  return there.length === 0
    ? undefined
    : there.map((one) => `Found ${one.found}, expected ${one.expected}.`).join(' ')
}

/** How many things are wrong in some places. */
export function countIn(refusals: readonly Refusal[], ...places: readonly string[]): number {
  return refusals.filter((one) =>
    places.some(
      (place) => one.key === place || one.key.startsWith(`${place}.`) || one.key.startsWith(`${place}[`),
    ),
  ).length
}
