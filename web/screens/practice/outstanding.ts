import type { Ideal } from '#core/practice/ideal'
import type { Tried } from './useTried.ts'

/** A tail longer than it should be by this is one, mm; a stroke fatter or thinner by this stands out, a natural logarithm. */
const TAIL_MM = 1.5
const FATTER = 0.35

/** The strokes of a drill that are looked at first: those with tails, and those that are much fatter or thinner. */
export function outstandingStrokes(ideal: Ideal, { reads }: Pick<Tried, 'reads'>): ReadonlySet<number> {
  return new Set(
    reads.flatMap((r) => {
      const of = ideal.reads.find((i) => i.ideal === r.ideal)!
      const by = Math.log((r.volume || 1e-3) / of.volume)
      return r.tail - of.tail > TAIL_MM || Math.abs(by) > FATTER ? [r.ideal] : []
    }),
  )
}
