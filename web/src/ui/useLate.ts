import { useEffect, useState } from 'react'

const A_MOMENT = 400 // milliseconds; a server that answers at once takes less

/** Whether something has lasted for a moment: until then nothing is said of what is still on its way. */
export function useLate(lasts = true): boolean {
  const [late, setLate] = useState(false)
  useEffect(() => {
    if (!lasts) return
    const timer = window.setTimeout(() => setLate(true), A_MOMENT)
    return () => {
      window.clearTimeout(timer)
      setLate(false)
    }
  }, [lasts])
  return late
}
