import { useSyncExternalStore } from 'react'
import { keep, readKept, subscribeToKept } from '../api/kept'

/** How far an observer has come on the first round: a step from 0, or that they are through. */
type Progress = number | 'through'

function key(observer: string): string {
  return `guide.${observer}`
}

/** The step of the first round that an observer is at; undefined: none is to be shown. */
export function useGuide(observer: string, isNew: boolean) {
  const progress = useSyncExternalStore(subscribeToKept, () =>
    readKept<Progress | undefined>(key(observer), undefined),
  )
  const step = progress === 'through' ? undefined : (progress ?? (isNew ? 0 : undefined))
  return {
    step,
    goTo: (next: number) => keep(key(observer), next),
    leave: () => keep(key(observer), 'through'),
  }
}

/** Begins the first round anew. */
export function guideAgain(observer: string): void {
  keep(key(observer), 0)
}
