import { compared, volumeLog } from './compared.ts'
import type { Drill } from './drill.ts'
import { binLogs, disordered } from './evidence.ts'
import type { Ideal } from './ideal.ts'
import { mean, median, spread } from './numbers.ts'
import type { StrokeRead } from './read.ts'

/** What a try is scored by. */
export const partNames = [
  'width',
  'even',
  'path',
  'ends',
  'tails',
  'gaps',
  'heaps',
  'size',
  'alike',
  'place',
  'order',
  'closing',
  'all',
] as const
export type PartName = (typeof partNames)[number]

/** Something a try is scored by, and how far it is from the ideal, in the part's own measure. */
export interface Measured {
  part: PartName
  /** Natural logarithms for width, even, size and alike; mm for path, ends, tails, place and closing; shares for the others. */
  off: number
}

const ROPE: readonly PartName[] = ['width', 'even', 'path', 'ends', 'tails', 'gaps', 'heaps', 'all']
const PARTS: Record<Drill['looks'], readonly PartName[]> = {
  rope: ROPE,
  strokes: [...ROPE, 'order'],
  row: ['size', 'alike', 'place', 'tails', 'order', 'all'],
  spots: ['size', 'alike', 'place', 'order', 'all'],
}

/** The parts that a drill is scored by. */
export const partsOf = (drill: Drill): PartName[] => [
  ...PARTS[drill.looks],
  ...(drill.closes ? (['closing'] as const) : []),
]

/** How far a try is from the ideal, part by part. */
export function measured(ideal: Ideal, reads: readonly StrokeRead[]): Measured[] {
  const { drill } = ideal
  const pairs = compared(ideal, reads)
  const each = (of: (pair: (typeof pairs)[number]) => number) => pairs.map(of)
  const rms = (values: readonly number[]) => Math.sqrt(mean(values.map((v) => v * v)))
  const volumes = each(volumeLog)
  const bins = pairs.flatMap(({ r, of }) => binLogs(r, of))
  const off: Record<PartName, () => number> = {
    width: () => Math.abs(median(bins)),
    even: () => spread(bins),
    path: () => rms(each(({ r, of }) => Math.max(0, r.off - of.off))),
    ends: () => mean(each(({ r, of }) => r.startOff + Math.abs(r.endOff - of.endOff))),
    tails: () => mean(each(({ r, of }) => Math.max(0, r.tail - of.tail))),
    gaps: () => mean(each(({ r, of }) => Math.max(0, r.gaps - of.gaps))),
    heaps: () => mean(each(({ r, of }) => Math.max(0, r.heaps - of.heaps))),
    size: () => Math.abs(median(volumes)),
    alike: () => spread(volumes),
    place: () => rms(each(({ r }) => r.startOff)),
    order: () => disordered(drill, reads),
    closing: () => closing(ideal, reads),
    all: () => 1 - new Set(reads.map((r) => r.ideal)).size / drill.strokes.length,
  }
  return partsOf(drill).map((part) => ({ part, off: off[part]() }))
}

/** How far from where it should the last one ends before the first one. */
function closing({ drill, reads: ideals }: Ideal, reads: readonly StrokeRead[]): number {
  const sorted = [...reads].sort((a, b) => a.attempts[0]! - b.attempts[0]!)
  const [first, last] = [sorted[0], sorted.at(-1)]
  if (!first || !last || first === last) return drill.high
  const wants = ideals.find((i) => i.ideal === last.ideal)!
  return first.startOff + Math.abs(last.endOff - wants.endOff)
}
