import type { HandFault } from './faults.ts'

/** What the devices in use can tell of a hand. */
export interface Senses {
  /** How hard it squeezes; or only when it squeezes and when it lets go. */
  squeeze: 'full' | 'timing'
  height: boolean
  /** Somebody turns the nail; else it turns by itself. */
  nail: boolean
}

/** Faults that need more than where the tip is and when it is down. */
const NEEDS: Partial<Record<HandFault, (senses: Senses) => boolean>> = {
  much: ({ squeeze }) => squeeze === 'full',
  little: ({ squeeze }) => squeeze === 'full',
  uneven: ({ squeeze }) => squeeze === 'full',
  high: ({ height }) => height,
  nail: ({ nail }) => nail,
}

export const canJudge = (fault: HandFault, senses: Senses): boolean => NEEDS[fault]?.(senses) ?? true

/** What is not judged here, in words; null where everything is. */
export function notJudged(senses: Senses, hasNail: boolean): string | null {
  const left = [
    ...(senses.squeeze === 'full' ? [] : ['how hard you squeeze']),
    ...(senses.height ? [] : ['how high you hold the tip']),
    ...(hasNail && !senses.nail ? ['how you turn the nail, which turns by itself'] : []),
  ]
  if (left.length === 0) return null
  const list = left.length === 1 ? left[0]! : `${left.slice(0, -1).join(', ')} and ${left.at(-1)}`
  return `${list[0]!.toUpperCase()}${list.slice(1)}: not sensed here, so not judged.`
}
