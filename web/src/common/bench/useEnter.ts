import { useCallback } from 'react'
import { useObserver } from '../../api/observer'
import type { Bench } from '../../api/types'
import { outbox } from './outbox'
import type { Entered } from './unsent'

/** Enters something on a tree: it counts here at once, and the server has it as soon as there is a network. */
export function useEnter(tree: Bench['tree']): (entered: Entered, id?: string) => void {
  const observer = useObserver().callSign
  const { surveyId, id: treeId, plotCode, tag } = tree
  return useCallback(
    (entered, id = crypto.randomUUID()) =>
      outbox.add({
        id,
        observer,
        surveyId,
        treeId,
        where: `${plotCode}, tree ${tag}`,
        entered,
        at: Date.now(),
      }),
    [observer, surveyId, treeId, plotCode, tag],
  )
}
