import { useKeptFlag } from '../../api/kept'
import { useObserver } from '../../api/observer'

/** Whether what a state would mean is covered until one is chosen: people see what they hope to see. */
export type Cover = { readonly on: boolean; readonly toggle: () => void }

/** @param always covered, as in a blind reading, whatever the observer chose */
export function useCover(always: boolean): Cover {
  const observer = useObserver().callSign
  const [on, setOn] = useKeptFlag(`cover.${observer}`)
  return { on: on || always, toggle: () => !always && setOn(!on) }
}
