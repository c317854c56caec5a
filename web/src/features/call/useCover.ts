import { useKeptFlag } from '../../api/kept'
import { useObserver } from '../../api/observer'

/** Whether what a state would mean is covered until one is chosen: people see what they hope to see. */
export type Cover = { readonly on: boolean; readonly toggle: () => void }

export function useCover(): Cover {
  const observer = useObserver().callSign
  const [on, setOn] = useKeptFlag(`cover.${observer}`)
  return { on, toggle: () => setOn(!on) }
}
