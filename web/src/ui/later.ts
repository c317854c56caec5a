import { type ComponentType, lazy, useSyncExternalStore } from 'react'

/** Why the code of a page has not come yet: nobody answers, or the server answers and has it no more. */
export type Trouble = 'away' | 'gone'

const LONGEST = 15_000 // milliseconds between two tries

let trouble: Trouble | undefined
const listeners = new Set<() => void>()

function tell(now: Trouble | undefined): void {
  trouble = now
  for (const listener of listeners) listener()
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Why what is waited for has not come yet; undefined: it is on its way. */
export function useTrouble(): Trouble | undefined {
  return useSyncExternalStore(subscribe, () => trouble)
}

/** Whether the server answers at all. */
async function answers(): Promise<boolean> {
  try {
    return (await fetch('/api/session', { cache: 'no-store' })).status < 500
  } catch {
    return false
  }
}

/** Until the next try: a little longer each time, and at once when there is a network again. */
function pause(tries: number): Promise<void> {
  return new Promise((resolve) => {
    const done = () => {
      window.clearTimeout(timer)
      window.removeEventListener('online', done)
      resolve()
    }
    const timer = window.setTimeout(done, Math.min(1000 * 2 ** tries, LONGEST))
    window.addEventListener('online', done)
  })
}

/** A component whose code is fetched when it is first shown; what did not come is fetched again, for as long as it takes. */
// biome-ignore lint/suspicious/noExplicitAny: whatever its properties are, as lazy has it
export function later<T extends ComponentType<any>>(load: () => Promise<T>) {
  return lazy(async () => {
    for (let tries = 0; ; tries++) {
      try {
        const it = await load()
        tell(undefined)
        return { default: it }
      } catch {
        tell((await answers()) ? 'gone' : 'away')
        await pause(tries)
      }
    }
  })
}
