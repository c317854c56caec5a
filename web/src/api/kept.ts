import { useCallback, useSyncExternalStore } from 'react'

const PREFIX = 'goldthistle.'
const listeners = new Set<() => void>()
/** What this page alone keeps, since the device is full. */
const here = new Map<string, string>()

/** Reads what was kept in this browser under a key; the stand-in if there is nothing or it cannot be read. */
export function readKept<T>(key: string, standIn: T): T {
  const text = here.get(key) ?? localStorage.getItem(PREFIX + key)
  if (text === null) return standIn
  try {
    return JSON.parse(text) as T
  } catch {
    return standIn // written by something else: as good as nothing
  }
}

/** Keeps a value in this browser, or where there is no room in this page; undefined forgets it. */
export function keep(key: string, value: unknown): void {
  here.delete(key)
  if (value === undefined) localStorage.removeItem(PREFIX + key)
  else {
    const text = JSON.stringify(value)
    try {
      localStorage.setItem(PREFIX + key, text)
    } catch {
      here.set(key, text)
    }
  }
  for (const listener of listeners) listener()
}

/** Hears of every change to what is kept, in this page or another of the browser. */
export function subscribeToKept(listener: () => void): () => void {
  listeners.add(listener)
  window.addEventListener('storage', listener) // another page of this browser
  return () => {
    listeners.delete(listener)
    window.removeEventListener('storage', listener)
  }
}

/** Text that survives a reload until it is cleared, shared by all who use the key: nothing typed is lost. */
export function useKeptText(key: string): readonly [string, (text: string) => void] {
  const text = useSyncExternalStore(subscribeToKept, () => readKept(key, ''))
  const change = useCallback((next: string) => keep(key, next === '' ? undefined : next), [key])
  return [text, change]
}

/** A yes or no that this browser remembers. */
export function useKeptFlag(key: string): readonly [boolean, (on: boolean) => void] {
  const on = useSyncExternalStore(subscribeToKept, () => readKept(key, false))
  const change = useCallback((next: boolean) => keep(key, next ? true : undefined), [key])
  return [on, change]
}
