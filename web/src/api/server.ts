import { useSyncExternalStore } from 'react'
import { apiVersion } from './limits'

const MOST_OFF = 1000 * 60 * 10 // milliseconds by which a device's clock may be off before it is told
const LONGEST = 1000 * 60 // milliseconds; what took longer on its way tells nothing of the clock

/** What answers of the server tell of this page and its device. */
export type Noticed = {
  /** By how many milliseconds the device's clock is ahead of the server's; 0: not so that it matters. */
  readonly ahead: number
  /** Whether this page is too old, or too new, for the server. */
  readonly strange: boolean
}

let noticed: Noticed = { ahead: 0, strange: false }
const listeners = new Set<() => void>()

/** Looks at what an answer tells beside its content; sent is when it was asked for. */
export function notice(headers: Headers, sent: number): void {
  const date = Date.parse(headers.get('date') ?? '')
  const now = Date.now()
  const off = now - date
  const ahead = now - sent < LONGEST && Math.abs(off) > MOST_OFF ? off : 0
  const version = headers.get('x-goldthistle-api')
  const strange = version !== null && version !== apiVersion
  if (strange === noticed.strange && (ahead === 0) === (noticed.ahead === 0)) return
  noticed = { ahead, strange }
  for (const listener of listeners) listener()
}

/** What answers of the server told of this page and its device. */
export function useNoticed(): Noticed {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => noticed,
  )
}
