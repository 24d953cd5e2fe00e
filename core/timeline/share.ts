import { oneBowl } from '../colour/oneBowl.ts'
import { dayOf } from './clock.ts'
import type { OrderWork } from './problem.ts'

/** A bowl serves orders that are due within so many days of each other, if its icing keeps so long. */
const BOWL_DAYS = 2

/**
 * Orders whose equal colours come from one bowl: the bowl of the order that is due first takes on the others', and these
 * wait for it instead of their own. Bowls of a chain of colours stay by themselves.
 */
export function sharedBowls(works: readonly OrderWork[]): OrderWork[] {
  const owners: { work: OrderWork; id: string; hex: string; kindId: string }[] = []
  return [...works]
    .sort((a, b) => a.due - b.due)
    .map((work) => {
      const instead = new Map<string, { orderId: string; id: string }>()
      for (const a of work.activities) {
        if (a.kind !== 'mix' || work.order.mixing.school === 'carryOver') continue
        const colour = work.colours.find((c) => c.id === a.colourIds[0])
        if (!colour) continue
        const kindId = a.id.split(' ')[1]!
        const owner = owners.find(
          (o) =>
            o.kindId === kindId &&
            dayOf(work.due) - dayOf(o.work.due) <= Math.min(BOWL_DAYS, work.coldDays(kindId)) &&
            oneBowl(o.hex, colour.hex),
        )
        if (owner) instead.set(a.id, { orderId: owner.work.order.id, id: owner.id })
        else owners.push({ work, id: a.id, hex: colour.hex, kindId })
      }
      return { ...work, instead }
    })
}
