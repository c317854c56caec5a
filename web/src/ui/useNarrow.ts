import { useSyncExternalStore } from 'react'

function watched(query: string) {
  const media = window.matchMedia(query)
  const subscribe = (listener: () => void) => {
    media.addEventListener('change', listener)
    return () => media.removeEventListener('change', listener)
  }
  return () => useSyncExternalStore(subscribe, () => media.matches)
}

/** Whether the window is too narrow for parts side by side. */
export const useNarrow = watched('(width < 64rem)')

/** Whether it is as narrow as a phone. */
export const usePhone = watched('(width < 40rem)')
