/** One benchmark: a measured value, what it is compared with in the same run, and their ratio. */
export interface Benchmark {
  id: string
  what: string
  unit: 'ms'
  /** What the baseline is, in words. */
  against: string
  run(): void
  baseline(): void
}

/** Median milliseconds of `work` over `rounds`, after warming up. */
export function medianMs(work: () => void, rounds = 25): number {
  for (let i = 0; i < 5; i++) work()
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  })
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!
}
