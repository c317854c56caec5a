import { useSyncExternalStore } from 'react'

const wide = window.matchMedia('(min-width: 64rem)')

function subscribe(listener: () => void): () => void {
  wide.addEventListener('change', listener)
  return () => wide.removeEventListener('change', listener)
}

/** Whether the window is too narrow for parts side by side. */
export function useNarrow(): boolean {
  return !useSyncExternalStore(subscribe, () => wide.matches)
}
