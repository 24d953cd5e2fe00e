import type { Ideal } from './ideal.ts'
import type { StrokeRead } from './read.ts'

/** A stroke of a try beside the ideal's for the same place. */
export interface Compared {
  r: StrokeRead
  of: StrokeRead
}

/** Every stroke of a try beside its ideal. */
export function compared(ideal: Ideal, reads: readonly StrokeRead[]): Compared[] {
  const own = new Map(ideal.reads.map((i) => [i.ideal, i]))
  return reads.map((r) => ({ r, of: own.get(r.ideal)! }))
}

/** A tail that is longer than it should be by this, mm, is one. */
export const TAIL_MM = 1.5
export const hasTail = ({ r, of }: Compared): boolean => r.tail - of.tail > TAIL_MM

/** Icing of a stroke against the ideal's, a natural logarithm. */
export const volumeLog = ({ r, of }: Compared): number => Math.log((r.volume || 1e-3) / of.volume)

/** A stroke is fatter or thinner than the others when its volume is by this, a natural logarithm. */
const STANDS_OUT = 0.35
export const isFatter = (log: number): boolean => Math.abs(log) > STANDS_OUT

/** Numbers of a drill's strokes, from 0, that are looked at first: those with tails, and those much fatter or thinner than they should be. */
export const outstanding = (pairs: readonly Compared[]): number[] =>
  pairs.filter((p) => hasTail(p) || isFatter(volumeLog(p))).map(({ r }) => r.ideal)
