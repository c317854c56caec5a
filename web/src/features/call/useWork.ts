import { useCallback, useMemo } from 'react'
import { useObserver } from '../../api/observer'
import type { Bench, NewReading } from '../../api/types'
import { type Entry, entriesOf, marksOf } from './entries'
import { type Entered, type Mark, outbox, type Unsent, useUnsent } from './outbox'
import { backToMark, backToReading, popUndo, rememberUndo } from './undo'

/** One observer's work on one tree: what stands, and how it is changed. */
export type Work = {
  readonly entries: ReadonlyMap<string, Entry>
  readonly marks: ReadonlyMap<string, boolean>
  readonly unsent: readonly Unsent[]
  readonly record: (reading: NewReading) => void
  readonly mark: (item: string, mark: Mark) => void
  readonly acknowledge: () => void
  /** Takes the last entry back; nothing happens if there is none. */
  readonly undo: () => void
}

export function useWork(bench: Bench): Work {
  const observer = useObserver().callSign
  const { surveyId, id: treeId } = bench.tree
  const unsent = useUnsent(observer, treeId)
  const entries = useMemo(() => entriesOf(bench, unsent), [bench, unsent])
  const marks = useMemo(() => marksOf(bench, unsent), [bench, unsent])
  const enter = useCallback(
    (entered: Entered) =>
      outbox.add({ id: crypto.randomUUID(), observer, surveyId, treeId, entered, at: Date.now() }),
    [observer, surveyId, treeId],
  )
  return {
    entries,
    marks,
    unsent,
    record: (reading) => {
      rememberUndo(
        observer,
        treeId,
        backToReading(reading.character, entries.get(reading.character)?.reading),
      )
      enter({ kind: 'reading', reading })
    },
    mark: (item, mark) => {
      rememberUndo(observer, treeId, backToMark(item, marks.get(item)))
      enter({ kind: 'mark', item, mark })
    },
    acknowledge: () => enter({ kind: 'caution' }),
    undo: () => {
      const back = popUndo(observer, treeId)
      if (back) enter(back)
    },
  }
}
