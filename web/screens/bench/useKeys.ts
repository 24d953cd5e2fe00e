import { useEffect } from 'react'
import { type BenchAct, benchActs, type Tablet } from '../../bench/tablet.ts'

/** Keys and a foot pedal do what taps do. */
export function useKeys(keys: Tablet['keys'], acts: Record<BenchAct, () => void>): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.repeat) return
      const at = e.target instanceof Element ? e.target : null
      // what is typed is typed
      if (at?.closest('input, textarea')) return
      // what is looked at over the step, by itself, counts nothing of it
      if (at?.closest('[role="dialog"]')) return
      // a button that has the focus is pressed by the key itself
      if ((e.key === 'Enter' || e.key === ' ') && at?.closest('button, a')) return
      const act = benchActs.find((a) => keys[a].includes(e.key))
      if (!act) return
      e.preventDefault()
      acts[act]()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
}
