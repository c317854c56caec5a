import { useRef } from 'react'

/**
 * Ids for what is sent: the same thing sent again, since its answer was lost, has the same id, and another thing another one.
 */
export function useIds() {
  const known = useRef(new Map<string, string>())
  return {
    of: (thing: string): string => {
      const id = known.current.get(thing) ?? crypto.randomUUID()
      known.current.set(thing, id)
      return id
    },
    /** It was answered; the same words are something new from now on. */
    done: (thing: string) => known.current.delete(thing),
  }
}
