import { useEffect, useRef, useState } from 'react'

/** A clock that is set differs by more than this from the time that has passed, ms. */
const JUMP_MS = 60_000

/**
 * By how much the clock of this device was set while the bench was open, ms; 0 when it was not, or once somebody has looked at it.
 * What passed is told by the browser's own count, which goes on while the tablet sleeps only where its system counts so: a sleep alone
 * that is longer than the jump is taken for one only where the page was in view all the time.
 */
export function useClockJump(now: number): { jumpMs: number; seen: () => void } {
  const [jumpMs, setJump] = useState(0)
  const last = useRef<{ wall: number; count: number } | null>(null)
  useEffect(() => {
    const count = performance.now()
    const before = last.current
    last.current = { wall: now, count }
    if (!before || document.visibilityState === 'hidden') return
    const jumped = now - before.wall - (count - before.count)
    if (Math.abs(jumped) > JUMP_MS) setJump((sum) => sum + jumped)
  }, [now])
  useEffect(() => {
    // whoever comes back from sleep begins anew
    const hide = () => {
      if (document.visibilityState === 'hidden') last.current = null
    }
    document.addEventListener('visibilitychange', hide)
    return () => document.removeEventListener('visibilitychange', hide)
  }, [])
  return { jumpMs, seen: () => setJump(0) }
}
