import { useEffect, useRef } from 'react'
import { Away, Problem } from '../../api/problem'

const AGAIN = 5000 // milliseconds until it is tried once more
const SERVER_ERROR = 500

const under = new Set<string>()

type HandOver<T> = {
  /** what is handed over, of which there is one stream on a page */
  readonly kind: string
  /** what waits, in its order */
  readonly waiting: readonly T[]
  /** Sends one; throws where that fails. */
  readonly send: (one: T) => Promise<void>
  /** The server would not have it. */
  readonly onRefused: (one: T, error: unknown) => void
  /** Something arrived or was refused. */
  readonly onDone: () => void
}

/** Hands what was said on this device to the server, one after the other; it waits here as long as the server is away. */
export function useHandOver<T extends { readonly id: string }>(given: HandOver<T>): void {
  const latest = useRef(given)
  useEffect(() => {
    latest.current = given
  })
  const key = given.waiting.map((one) => one.id).join(' ')
  useEffect(() => {
    if (key === '') return
    let timer: ReturnType<typeof setTimeout> | undefined
    const handOver = async () => {
      const { kind, waiting, send, onRefused, onDone } = latest.current
      if (under.has(kind)) return
      under.add(kind)
      let away = false
      try {
        for (const one of waiting) {
          try {
            await send(one)
          } catch (error) {
            away = error instanceof Away || (error instanceof Problem && error.status >= SERVER_ERROR)
            if (away) break
            onRefused(one, error)
          }
        }
      } finally {
        under.delete(kind)
      }
      if (away) timer = setTimeout(() => void handOver(), AGAIN)
      else onDone()
    }
    void handOver()
    return () => clearTimeout(timer)
  }, [key])
}
