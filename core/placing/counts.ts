import type { Kind } from './body.ts'
import { ranksOf } from './body.ts'
import type { Ground } from './ground.ts'
import type { Count } from './lay.ts'

/** Ground that a kind takes up, mm². */
const takesMm2 = (kind: Kind) => Math.PI * kind.r ** 2

/** Share of a ground that so many flowers would take up, leaves not counted; 0 for a ground that is none. */
export function fullnessOf(ground: Pick<Ground, 'mm2'>, counts: readonly Count[]): number {
  if (ground.mm2 === 0) return 0
  return (
    counts.reduce((sum, { kind, count }) => (kind.lies ? sum : sum + count * takesMm2(kind)), 0) / ground.mm2
  )
}

/**
 * How many of each it takes to fill a ground to a share, in the proportions that there are now: at least one of each, and of
 * the largest an odd number, since pairs look set. Leaves go with the flowers.
 */
export function countsFor(ground: Pick<Ground, 'mm2'>, now: readonly Count[], fullness: number): Count[] {
  const full = fullnessOf(ground, now)
  if (full === 0) return [...now]
  const factor = fullness / full
  const ranks = ranksOf(now.map((c) => c.kind))
  return now.map(({ kind, count }, i) => {
    const wanted = Math.max(1, Math.round(count * factor))
    const odd = ranks[i] === 2 && wanted > 1 && wanted % 2 === 0
    return { kind, count: odd ? wanted + (count * factor > wanted ? 1 : -1) : wanted }
  })
}
