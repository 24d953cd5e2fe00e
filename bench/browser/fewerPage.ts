import { starterWorkshop } from '#core/catalogue/starter'
import { readBakeryFile, withBakery } from '#core/files/bakeryFile'
import { orderFileSchema } from '#core/files/orderFile'
import { fewerOffer } from '#core/plan/fewer/offer'

declare global {
  /** Looks for fewer bags and tips of an order, cold, and tells the milliseconds. */
  var lookForFewer: (order: unknown, bakery: unknown) => number
}

globalThis.lookForFewer = (orderFile, bakeryFile) => {
  const bakery = readBakeryFile(bakeryFile, starterWorkshop)
  if (!bakery.ok) throw new Error('The bakery does not read.')
  const workshop = withBakery(starterWorkshop, bakery.value)
  const { order } = orderFileSchema.parse(orderFile)
  const from = performance.now()
  const search = fewerOffer(order, workshop)
  while (!search.next().done) {}
  return performance.now() - from
}
