import { useKeptText } from '../../api/kept'
import { useObserver } from '../../api/observer'
import type { NewReading } from '../../api/types'

/** How something is read: how surely, from what, from where. What is not said is left out, and assumed. */
export type Manner = Pick<NewReading, 'certainty' | 'material' | 'position'>

/** How a check is read as it was said before anything was seen; it waits in this browser until something is. */
export function useManner(treeId: string, character: string) {
  const observer = useObserver().callSign
  const [text, setText] = useKeptText(`manner.${observer}.${treeId}.${character}`)
  const manner: Manner = text === '' ? {} : JSON.parse(text)
  const change = (next: Manner) => setText(Object.keys(next).length === 0 ? '' : JSON.stringify(next))
  return [manner, change] as const
}
