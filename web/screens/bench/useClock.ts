import { useEffect, useState } from 'react'

/** What the clock on the wall shows, ms since 1970; looked at as often as somebody watches seconds. */
export function useClock(everyMs: number): number {
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const look = () => setNow(Date.now())
    const timer = setInterval(look, everyMs)
    // a tablet that slept looks at once
    document.addEventListener('visibilitychange', look)
    return () => {
      clearInterval(timer)
      document.removeEventListener('visibilitychange', look)
    }
  }, [everyMs])
  return now
}
