import { useEffect } from 'react'

/** Keys and a foot pedal, which sends those of pages, do what taps do. */
export function useKeys({
  tap,
  back,
  go,
}: {
  tap: () => void
  back: () => void
  go: (by: number) => void
}): void {
  useEffect(() => {
    const acts: Record<string, () => void> = {
      Enter: tap,
      ' ': tap,
      PageDown: tap,
      PageUp: back,
      Backspace: back,
      ArrowRight: () => go(1),
      ArrowLeft: () => go(-1),
    }
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.repeat) return
      // what is typed is typed
      if ((e.target as HTMLElement).closest('input, textarea')) return
      // a button that has the focus is pressed by the key itself
      if ((e.key === 'Enter' || e.key === ' ') && (e.target as HTMLElement).closest('button, a')) return
      const act = acts[e.key]
      if (!act) return
      e.preventDefault()
      act()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
}
