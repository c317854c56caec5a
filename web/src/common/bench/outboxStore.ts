import type { Unsent } from './unsent'

const PREFIX = 'goldthistle.outbox.'
const ALL_IN_ONE = 'goldthistle.outbox' // where an earlier version kept a list of them

/**
 * What waits to be sent, one record an entry in this browser's storage: pages of one browser add and take out without
 * writing over each other, and an entry is kept before the key that made it is answered.
 */
export function readAll(): readonly Unsent[] {
  takeOver()
  const found: Unsent[] = []
  for (let i = 0; i < localStorage.length; i++) {
    const key = localStorage.key(i)
    const one = key?.startsWith(PREFIX) ? read(key) : undefined
    if (one) found.push(one)
  }
  return found.sort(inOrder)
}

/** Entries in the order in which they were made. */
export function inOrder(a: Unsent, b: Unsent): number {
  return a.at - b.at || a.turn - b.turn
}

export function put(unsent: Unsent): void {
  localStorage.setItem(PREFIX + unsent.id, JSON.stringify(unsent))
}

export function remove(id: string): void {
  localStorage.removeItem(PREFIX + id)
}

export function has(id: string): boolean {
  return localStorage.getItem(PREFIX + id) !== null
}

/** Hears of what other pages of this browser added or took out. */
export function onElsewhere(listener: () => void): () => void {
  const heard = (event: StorageEvent) => {
    if (event.key === null || event.key.startsWith(PREFIX)) listener()
  }
  window.addEventListener('storage', heard)
  return () => window.removeEventListener('storage', heard)
}

function takeOver(): void {
  const text = localStorage.getItem(ALL_IN_ONE)
  if (text === null) return
  try {
    const list = JSON.parse(text) as readonly Unsent[]
    for (const [turn, one] of list.entries()) put({ ...one, turn })
  } catch {
    // written by something else: as good as nothing
  }
  localStorage.removeItem(ALL_IN_ONE)
}

function read(key: string): Unsent | undefined {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '') as Unsent
  } catch {
    return undefined // written by something else: as good as nothing
  }
}
