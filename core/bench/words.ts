import type { BenchStep } from '../model/bench.ts'

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
    case 'drill':
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

/** A timer by what it waits for, and what is done when it is over. */
const WAITS: Record<string, { running: string; over: string }> = {
  whip: { running: 'whips', over: 'is whipped: go on' },
  deepen: { running: 'deepens', over: 'has deepened: fill its bags' },
  chill: { running: 'chills', over: 'is firm: go on with it' },
  freeze: { running: 'freezes', over: 'is frozen: lift now, straight from the cold' },
  firm: { running: 'firms in the fridge', over: 'is firm: lift now' },
  dry: { running: 'dries', over: 'is dry: go on with it' },
  crust: { running: 'crusts', over: 'has crusted: go on with it' },
  rest: { running: 'rests', over: 'has rested: go on' },
}
export const waitWords = (kind: string, over: boolean): string => WAITS[kind]![over ? 'over' : 'running']
