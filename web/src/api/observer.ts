import { createContext, use } from 'react'
import type { Observer } from './types'

export const ObserverContext = createContext<Observer | null>(null)

/** The observer of the page; only below SignedIn. */
export function useObserver(): Observer {
  const observer = use(ObserverContext)
  if (!observer) throw new Error('useObserver is for pages below SignedIn')
  return observer
}
