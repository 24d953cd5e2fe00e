interface Named {
  id: string
  what: string
  /** What the baseline is, in words. */
  against: string
}

/** Work that is timed, and what it is compared with in the same run. */
export interface Timed extends Named {
  unit: 'ms'
  /** How often it is run; less often for what takes long. */
  rounds?: number
  run(): void
  baseline(): void
}

/** Something measured that is not a time. */
export interface Measured extends Named {
  unit:
    | 'percent'
    | 'percentage points'
    | 'CIEDE2000'
    | 'layers'
    | 'bags'
    | 'minutes'
    | 'milliseconds'
    | 'mm'
    | 'mm2'
    | 'faults'
  measure(): number
}

/** Something measured on a server or in a browser, which takes its time; compared with a baseline where there is one. */
export interface ServedBenchmark extends Named {
  unit: 'ms' | 'starts' | 'kB'
  measure(): Promise<{ value: number; baseline: number | null }>
}

export type Benchmark = Timed | Measured

/** Median milliseconds of `work` over `rounds`, after warming up. */
export function medianMs(work: () => void, rounds = 25): number {
  for (let i = 0; i < Math.min(5, rounds); i++) work()
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  })
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)]!
}
