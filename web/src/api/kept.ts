import { useCallback, useState } from 'react'

const PREFIX = 'goldthistle.'

/** Reads what was kept in this browser under a key; the stand-in if there is nothing or it cannot be read. */
export function readKept<T>(key: string, standIn: T): T {
  const text = localStorage.getItem(PREFIX + key)
  if (text === null) return standIn
  try {
    return JSON.parse(text) as T
  } catch {
    return standIn // written by something else: as good as nothing
  }
}

/** Keeps a value in this browser; undefined forgets it. */
export function keep(key: string, value: unknown): void {
  if (value === undefined) localStorage.removeItem(PREFIX + key)
  else localStorage.setItem(PREFIX + key, JSON.stringify(value))
}

/** Text that survives a reload until it is cleared: nothing typed is lost. */
export function useKeptText(key: string): readonly [string, (text: string) => void] {
  const [text, setText] = useState(() => readKept(key, ''))
  const change = useCallback(
    (next: string) => {
      setText(next)
      keep(key, next === '' ? undefined : next)
    },
    [key],
  )
  return [text, change]
}
