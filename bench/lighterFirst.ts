import { lighterOffer } from '#core/lighter/offer'
import { demoOrder, demoWorkshop } from '#core/plan/testing'

/** Milliseconds from the question to the first versions of the demo order. */
export function firstLighter(): number {
  const [order, workshop] = [demoOrder('observatory'), demoWorkshop()]
  const from = performance.now()
  for (const { offer } of lighterOffer(order, workshop, null)) if (offer) break
  return performance.now() - from
}
