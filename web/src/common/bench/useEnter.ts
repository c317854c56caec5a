import { createContext, useCallback, useContext } from 'react'
import { useObserver } from '../../api/observer'
import type { Bench } from '../../api/types'
import { outbox } from './outbox'
import type { Entered } from './unsent'

type Enter = (entered: Entered, id?: string) => void

/** Where what is entered goes instead of to the server, as in practice. */
export const EnterInstead = createContext<Enter | undefined>(undefined)

/** Enters something on a tree: it counts here at once, and the server has it as soon as there is a network. */
export function useEnter(tree: Bench['tree']): Enter {
  const instead = useContext(EnterInstead)
  const observer = useObserver().callSign
  const { surveyId, id: treeId, plotCode, tag } = tree
  const enter = useCallback<Enter>(
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
  return instead ?? enter
}
