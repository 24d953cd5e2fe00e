import { useEffect, useRef, useState } from 'react'

/**
 * The answer to what is asked, asked anew whenever `ask` is another function; the last answer meanwhile. What is asked again before its
 * turn came is left out: a slider that is dragged is never behind by more than one answer.
 */
export function useLatest<T>(ask: (() => Promise<T>) | null): { answer?: T; error?: Error } {
  const [state, setState] = useState<{ answer?: T; error?: Error }>({})
  const line = useRef({ next: null as (() => Promise<T>) | null, busy: false, left: false }).current
  useEffect(() => {
    line.left = false
    return () => {
      line.left = true
    }
  }, [line])
  useEffect(() => {
    if (!ask) return
    line.next = ask
    if (!line.busy) void work()

    async function work() {
      line.busy = true
      while (line.next && !line.left) {
        const { next } = line
        line.next = null
        try {
          const answer = await next()
          if (!line.left) setState({ answer })
        } catch (error) {
          if (!line.left) setState((last) => ({ ...last, error: error as Error }))
        }
      }
      line.busy = false
    }
  }, [line, ask])
  return state
}
