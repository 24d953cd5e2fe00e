import { useCallback, useState } from 'react'

const KEY = 'kanten.bench.hands'

/** Whose hands work at this device; it remembers them. */
export function useHands(): [by: string | null, choose: (by: string | null) => void] {
  const [by, setBy] = useState(read)
  const choose = useCallback((next: string | null) => {
    setBy(next)
    try {
      if (next === null) localStorage.removeItem(KEY)
      else localStorage.setItem(KEY, next)
    } catch {
      // a browser that keeps nothing asks again next time
    }
  }, [])
  return [by, choose]
}

function read(): string | null {
  try {
    return localStorage.getItem(KEY)
  } catch {
    return null
  }
}
