import { useEffect, useState } from 'react'

const A_MOMENT = 400 // milliseconds; a server that answers at once takes less

/** Whether a moment has passed since the part was first shown: until then nothing is said of what is still on its way. */
export function useLate(): boolean {
  const [late, setLate] = useState(false)
  useEffect(() => {
    const timer = window.setTimeout(() => setLate(true), A_MOMENT)
    return () => window.clearTimeout(timer)
  }, [])
  return late
}
