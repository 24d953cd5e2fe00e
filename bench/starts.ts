import type { ServedBenchmark } from './benchmark.ts'
import { killStarts } from './kills.ts'

const STARTS = 200

export const startsBenchmark: ServedBenchmark = {
  id: 'starts',
  what: `of ${STARTS} starts killed at random moments, those after which Kanten did not start again`,
  unit: 'starts',
  against: 'none: the aim is 0',
  measure: async () => {
    // two at a time, each on a state folder of its own
    const failures = await Promise.all([killStarts(STARTS / 2, 1), killStarts(STARTS / 2, 2)])
    for (const words of failures.flat()) console.error(words)
    return { value: failures.flat().length, baseline: null }
  },
}
