import type { Ideal } from './ideal.ts'
import { measured, type PartName } from './parts.ts'
import type { StrokeRead } from './read.ts'

/** A part of a try and its marks out of 100. */
export interface Part {
  part: PartName
  off: number
  marks: number
}

/** A try's marks: of its parts, and of all. */
export interface Score {
  parts: Part[]
  total: number
}

/**
 * Where a part has half its marks, in the part's own measure, and how sharply they fall there. Set so that a steady hand has
 * about 97 of each and three quarters of beginners have 30 or less.
 */
const HALF: Record<PartName, readonly [half: number, sharp: number]> = {
  width: [0.45, 1.6],
  even: [0.7, 2.2],
  path: [1.2, 2],
  ends: [4, 2],
  tails: [3, 1.6],
  gaps: [0.06, 1.6],
  heaps: [0.12, 1.6],
  size: [0.45, 1.6],
  alike: [0.35, 2.1],
  place: [1.4, 2.5],
  order: [0.2, 2],
  closing: [4, 2],
  all: [0.1, 1.5],
}

/** Of all: so much for what the parts have in the middle, the rest for the three weakest, in these shares. */
const FOR_MEAN = 0.35
const FOR_WEAKEST = [0.5, 0.3, 0.2]

/** Scores a try. The weakest parts count most: one thing that spoils the piece is not made up for by the rest. */
export function scoreOf(ideal: Ideal, reads: readonly StrokeRead[]): Score {
  if (reads.length === 0) return { parts: [], total: 0 }
  const parts = measured(ideal, reads).map(({ part, off }) => {
    const [half, sharp] = HALF[part]
    return { part, off, marks: 100 / (1 + (off / half) ** sharp) }
  })
  const middle = parts.reduce((sum, p) => sum + p.marks, 0) / parts.length
  const weakest = [...parts].sort((a, b) => a.marks - b.marks)
  const weak = FOR_WEAKEST.reduce((sum, share, i) => sum + share * weakest[i]!.marks, 0)
  return { parts, total: FOR_MEAN * middle + (1 - FOR_MEAN) * weak }
}
