import type { BenchStep, StepKind } from '#core/model/bench'
import { formatMinutes } from '#core/units'

/** What one tap stands for, under the count. */
const ONE: Partial<Record<StepKind, string>> = {
  practise: 'one practised',
  nails: 'one more',
  inPlace: 'one more',
  border: 'one more',
  letter: 'one more',
  place: 'one placed',
  spread: 'one coated',
}
export const tapWords = ({ kind, wanted }: BenchStep): string =>
  wanted === 1 ? 'done' : (ONE[kind] ?? 'one more')

/** So long until a moment: seconds only in the last minutes. */
export function leftWords(ms: number): string {
  if (ms <= 0) return 'now'
  const seconds = Math.ceil(ms / 1000)
  if (seconds < 180) return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} left`
  return `${formatMinutes(Math.ceil(seconds / 60))} left`
}
