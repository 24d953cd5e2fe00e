import type { Use } from '../../model/plan.ts'
import { pairKey } from '../keys.ts'
import { coloursNeeded } from './progress.ts'

/**
 * Counts, for a chain of colours, the bags that have to be kept aside: a bag of colour k of which some layer cannot be
 * piped yet because what it stands on is of a colour still to come; and the earlier colour of a stripe, which waits for
 * the later one. Only the set of colours done matters, not their order.
 * @param colourIds of the chain; bit i of a mask is the i-th.
 */
export function keptBags(
  uses: readonly Use[],
  colourIds: readonly string[],
  icingKindId: string,
): (mask: number, k: number) => number {
  const bitOf = new Map(colourIds.map((id, i) => [id, 1 << i]))
  const maskOf = (use: Use) =>
    use.icingKindId === icingKindId
      ? use.parts.reduce((mask, p) => mask | (bitOf.get(p.colourId) ?? 0), 0)
      : 0
  const needed = coloursNeeded(uses, maskOf)
  const pairs = new Map<string, { own: number; needs: number[] }>()
  for (const use of uses) {
    const own = maskOf(use)
    if (use.tipId === null || own === 0) continue
    const pair = pairs.get(pairKey(use)) ?? { own, needs: [] }
    pairs.set(pairKey(use), pair)
    pair.needs.push(needed.get(use)!)
  }
  const bags = [...pairs.values()]
  return (mask, k) =>
    bags.filter(({ own, needs }) => {
      if ((own & (1 << k)) === 0) return false
      return (own & ~mask) !== 0 || needs.some((need) => (need & ~mask) !== 0)
    }).length
}
