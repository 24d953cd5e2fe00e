import { counted } from '../units.ts'
import { compared, hasTail, isFatter, volumeLog } from './compared.ts'
import { binLogs } from './evidence.ts'
import type { Ideal } from './ideal.ts'
import { mean, median } from './numbers.ts'
import type { PartName } from './parts.ts'
import type { StrokeRead } from './read.ts'
import type { Part } from './score.ts'

/** Parts of a try in words. */
export const partLabels: Record<PartName, string> = {
  ...{ width: 'Thickness', even: 'Evenness', path: 'Way', ends: 'Ends', tails: 'Tails', gaps: 'Gaps' },
  ...{ heaps: 'Heaps', size: 'Size', alike: 'Alike', place: 'Places', order: 'Order', closing: 'Closing' },
  all: 'All of it',
}

/** Less than this nobody sees a difference in size, a natural logarithm. */
const SAME = 0.03
/** So many strokes are named; where more stand out, none does. */
const MOST_NAMED = 3

/** What a part's marks come from, in a few words. */
export function partWords(ideal: Ideal, reads: readonly StrokeRead[], { part, off }: Part): string {
  const pairs = compared(ideal, reads)
  const volumes = pairs.map(volumeLog)
  const mm = (value: number) => `${value.toFixed(1)} mm`
  const percent = (log: number) => `${Math.round(100 * Math.abs(Math.exp(log) - 1))} %`
  const share = (value: number) => `${Math.round(100 * value)} %`
  switch (part) {
    case 'width': {
      // a rope's width goes with the root of its section
      const log = median(pairs.flatMap(({ r, of }) => binLogs(r, of))) / 2
      return Math.abs(log) < SAME ? 'as wanted' : `${percent(log)} too ${log > 0 ? 'thick' : 'thin'}`
    }
    case 'even':
      return `give or take ${percent(off / 2)}`
    case 'size': {
      const log = median(volumes) / 3
      return Math.abs(log) < SAME ? 'as wanted' : `${percent(log)} too ${log > 0 ? 'large' : 'small'}`
    }
    case 'alike':
      return unlike(reads, volumes) ?? `give or take ${percent(off / 3)}`
    case 'path':
      return `${mm(mean(reads.map((r) => r.off)))} beside it`
    case 'place':
      return `${mm(off)} off`
    case 'ends':
      return `${mm(off)} off, both together`
    case 'tails': {
      const tails = pairs.filter(hasTail).map(({ r }) => r.tail)
      return tails.length === 0 ? 'none' : `${tails.length}, up to ${Math.max(...tails).toFixed(0)} mm`
    }
    case 'gaps':
      return off === 0 ? 'none' : `${share(off)} of the way bare`
    case 'heaps':
      return off === 0 ? 'none' : `${share(off)} of the way heaped`
    case 'order':
      return off === 0 ? 'one after the other' : `${share(off)} not with their neighbour`
    case 'closing':
      return `last meets first, ${mm(off)} off`
    case 'all': {
      const missing = ideal.drill.strokes.length - new Set(reads.map((r) => r.ideal)).size
      return missing === 0 ? 'nothing left out' : `${counted(missing, 'stroke')} left out`
    }
  }
}

/** The strokes that are fatter or thinner than the rest, by their numbers; null where none stands out, or too many. */
function unlike(reads: readonly StrokeRead[], volumes: readonly number[]): string | null {
  const middle = median(volumes)
  const out = reads.flatMap((r, i) => {
    const by = volumes[i]! - middle
    return isFatter(by) ? [{ number: r.ideal + 1, fat: by > 0 }] : []
  })
  if (out.length === 0 || out.length > MOST_NAMED) return null
  const list = (fat: boolean) =>
    out
      .filter((o) => o.fat === fat)
      .map((o) => o.number)
      .join(' and ')
  return [list(true) && `fat: ${list(true)}`, list(false) && `thin: ${list(false)}`]
    .filter(Boolean)
    .join('; ')
}
