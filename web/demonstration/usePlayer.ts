import { useEffect, useRef, useState } from 'react'

/** Where a show stands, and whether it runs. */
export interface Player {
  second: number
  playing: boolean
  rate: number
  play(): void
  pause(): void
  /** Goes to a second and stays there. */
  seek(second: number): void
  setRate(rate: number): void
}

/** Plays a span of seconds; at its end it stops, and begins anew when it is played again. */
export function usePlayer([from, to]: readonly [number, number]): Player {
  const [second, setSecond] = useState(from)
  const [playing, setPlaying] = useState(false)
  const [rate, setRate] = useState(1)
  const at = useRef(second)
  const seek = (next: number) => {
    at.current = Math.min(to, Math.max(from, next))
    setSecond(at.current)
  }

  // another span begins at its own beginning
  useEffect(() => {
    at.current = from
    setSecond(from)
    void to
  }, [from, to])

  useEffect(() => {
    if (!playing) return
    let last = performance.now()
    let asked = requestAnimationFrame(function step(now) {
      at.current = Math.min(to, at.current + ((now - last) / 1000) * rate)
      last = now
      setSecond(at.current)
      if (at.current >= to) setPlaying(false)
      else asked = requestAnimationFrame(step)
    })
    return () => cancelAnimationFrame(asked)
  }, [playing, rate, to])

  return {
    second,
    playing,
    rate,
    setRate,
    play: () => {
      if (at.current >= to) seek(from)
      setPlaying(true)
    },
    pause: () => setPlaying(false),
    seek: (next) => {
      setPlaying(false)
      seek(next)
    },
  }
}
