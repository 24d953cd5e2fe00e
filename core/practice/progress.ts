import type { PracticeMark } from '../model/practiceTry.ts'
import { STEADY } from './advice.ts'
import { mean, median } from './numbers.ts'

/** So many at either end are compared. */
export const FEW = 5
/** Fewer tries than this say nothing of a slope: made-up hands that all learn alike were told apart by it three to one. */
export const SLOPE_FROM = 20
/** A drill is in the hand after so many steady tries in a row, on two days. */
const IN_A_ROW = 3

/** How a drill goes over time. */
export interface Progress {
  tries: number
  /** Means of the first and the last few; null before there are as many of each. */
  first: number | null
  last: number | null
  /** Marks that are missing, halved after so many further times as many tries; null before there are enough to say. */
  halvesAfter: number | null
  inTheHand: boolean
}

/** @param marks of one drill and person, oldest first. */
export function progressOf(marks: readonly Pick<PracticeMark, 'marks' | 'at'>[]): Progress {
  const own = marks.map((m) => m.marks)
  const enough = own.length >= 2 * FEW
  const row = marks.slice(-IN_A_ROW)
  return {
    tries: own.length,
    first: enough ? mean(own.slice(0, FEW)) : null,
    last: enough ? mean(own.slice(-FEW)) : null,
    halvesAfter: own.length >= SLOPE_FROM ? halving(own) : null,
    inTheHand:
      row.length === IN_A_ROW &&
      row.every((m) => m.marks >= STEADY) &&
      new Set(row.map((m) => m.at.slice(0, 10))).size >= 2,
  }
}

/** What is missing of a hundred never goes to nothing: so much is taken for chance. */
const FLOOR = 3

/**
 * By how many times the tries must grow for what is missing to halve, if it falls as a power of their number: the median of the slopes
 * between all pairs of tries (Theil and Sen), on logarithms. Null where it does not fall.
 */
function halving(marks: readonly number[]): number | null {
  const points = marks.map((m, i) => [Math.log(i + 1), Math.log(Math.max(FLOOR, 100 - m))] as const)
  const slopes: number[] = []
  for (let i = 0; i < points.length; i++)
    for (let j = i + 1; j < points.length; j++)
      slopes.push((points[j]![1] - points[i]![1]) / (points[j]![0] - points[i]![0]))
  const power = -median(slopes)
  return power > 0.02 ? 2 ** (1 / power) : null
}

/** What a drill's last tries have in the middle; null where there are none. */
export const lastMarks = (marks: readonly number[]): number | null =>
  marks.length === 0 ? null : median(marks.slice(-FEW))
