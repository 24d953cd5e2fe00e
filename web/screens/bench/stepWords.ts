import type { BenchStep, StepKind } from '#core/model/bench'
import { formatMinutes } from '#core/units'

/** What a step is called over its picture. */
export function titleOf({ kind, what, where }: BenchStep): string {
  switch (kind) {
    case 'base':
      return `Make ${what.toLowerCase()}`
    case 'mix':
      return `Mix ${what}`
    case 'thin':
      return `Thin ${what}: ${where}`
    case 'fill':
      return `Fill ${where}`
    case 'practise':
      return `Practise: ${what}`
    case 'nails':
      return `${what}, on nails`
    case 'cold':
      return `${what}: to the ${where.split(',')[0]}`
    case 'place':
      return `Place: ${what}`
    case 'tools':
      return `${what}, with tools`
    case 'putOn':
      return `Put on: ${what}`
    case 'box':
      return `Box: ${where}`
    default:
      return what
  }
}

/** The line under a title: where, or of what. */
export function aboutOf({ kind, what, where }: BenchStep): string {
  if (kind === 'fill') return what
  return kind === 'thin' ? 'from its bowl' : where
}

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

/** A timer by what it waits for, and what is done when it is over. */
const WAITS: Record<string, { running: string; over: string }> = {
  whip: { running: 'whips', over: 'is whipped: go on' },
  deepen: { running: 'deepens', over: 'has deepened: fill its bags' },
  chill: { running: 'chills', over: 'is firm: go on with it' },
  freeze: { running: 'freezes', over: 'is frozen: lift now, straight from the cold' },
  firm: { running: 'firms in the fridge', over: 'is firm: lift now' },
  dry: { running: 'dries', over: 'is dry: go on with it' },
  crust: { running: 'crusts', over: 'has crusted: go on with it' },
  rest: { running: 'rest your hand', over: 'the hand has rested' },
}
export const waitWords = (kind: string, over: boolean): string => WAITS[kind]![over ? 'over' : 'running']

/** So long until a moment: seconds only in the last minutes. */
export function leftWords(ms: number): string {
  if (ms <= 0) return 'now'
  const seconds = Math.ceil(ms / 1000)
  if (seconds < 180) return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} left`
  return `${formatMinutes(Math.ceil(seconds / 60))} left`
}
