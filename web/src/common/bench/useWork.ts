import { useCallback, useMemo, useState } from 'react'
import type { GateMark } from '../../api/codes'
import { useObserver } from '../../api/observer'
import type { NewReading } from '../../api/types'
import type { AsItStands } from './asItStands'
import { type Entry, entriesOf, marksOf } from './entries'
import { forgetReason } from './reasons'
import { backToMark, backToReading, popUndo, rememberUndo } from './undo'
import type { Entered, Unsent } from './unsent'
import { useEnter } from './useEnter'

/** One observer's work on one tree: what stands, and how it is changed. */
export type Work = {
  readonly entries: ReadonlyMap<string, Entry>
  readonly marks: ReadonlyMap<string, boolean>
  readonly unsent: readonly Unsent[]
  readonly record: (reading: NewReading) => void
  readonly mark: (item: string, mark: GateMark) => void
  readonly acknowledge: () => void
  /** Takes the last entry back, or says why there is none to take back. */
  readonly undo: () => void
  /** What is to be said of the last thing done, where its figures do not say it; undefined: nothing. */
  readonly told: string | undefined
}

export function useWork({ bench, unsent }: AsItStands): Work {
  const observer = useObserver().callSign
  const { id: treeId } = bench.tree
  const add = useEnter(bench.tree)
  const entries = useMemo(() => entriesOf(bench, unsent), [bench, unsent])
  const marks = useMemo(() => marksOf(bench, unsent), [bench, unsent])
  const [told, setTold] = useState<string>()
  const enter = useCallback(
    (entered: Entered) => {
      // a reason was written against a reading; with the reading it goes
      if (entered.kind === 'reading' && entered.reading.withdrawn)
        forgetReason(treeId, entered.reading.character)
      add(entered)
    },
    [add, treeId],
  )
  const isSigned = bench.determinations.some((one) => one.observer === observer)
  return {
    entries,
    marks,
    unsent,
    told,
    record: (reading) => {
      rememberUndo(
        observer,
        treeId,
        backToReading(reading.character, entries.get(reading.character)?.reading),
      )
      enter({ kind: 'reading', reading })
      setTold(reading.withdrawn ? 'Taken back.' : undefined)
    },
    mark: (item, mark) => {
      rememberUndo(observer, treeId, backToMark(item, marks.get(item)))
      enter({ kind: 'mark', item, mark })
      setTold(undefined)
    },
    acknowledge: () => enter({ kind: 'caution' }),
    undo: () => {
      const back = popUndo(observer, treeId)
      if (back) enter(back)
      setTold(back ? undone(back) : isSigned ? SIGNED : NOTHING)
    },
  }
}

const NOTHING = 'There is nothing to take back on this tree.'
const SIGNED =
  'What is signed is not undone: change a reading and sign again, then the later signature counts.'

function undone(back: Entered): string {
  if (back.kind === 'reading') {
    return back.reading.withdrawn ? 'Taken back.' : 'Taken back: it reads as it did before.'
  }
  return 'Taken back.'
}
