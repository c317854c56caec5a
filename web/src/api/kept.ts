import { useCallback, useSyncExternalStore } from 'react'

const PREFIX = 'goldthistle.'
const listeners = new Set<() => void>()
/** What this page alone keeps, since the device is full. */
const here = new Map<string, string>()

function textOf(key: string): string | null {
  return here.get(key) ?? localStorage.getItem(PREFIX + key)
}

function parsed<T>(text: string | null, standIn: T): T {
  if (text === null) return standIn
  try {
    return JSON.parse(text) as T
  } catch {
    return standIn // written by something else: as good as nothing
  }
}

/** Reads what was kept in this browser under a key; the stand-in if there is nothing or it cannot be read. */
export function readKept<T>(key: string, standIn: T): T {
  return parsed(textOf(key), standIn)
}

const known = new Map<string, { readonly text: string | null; readonly value: unknown }>()

/** The same, parsed once for as long as it stays as it is, so that what is large is the same value again. */
export function sameKept<T>(key: string, standIn: T): T {
  const text = textOf(key)
  const before = known.get(key)
  if (before && before.text === text) return before.value as T
  const value = parsed(text, standIn)
  known.set(key, { text, value })
  return value
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
