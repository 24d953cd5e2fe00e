import * as Comlink from 'comlink'
import type { LighterChange } from '#core/lighter/change'
import { type LighterOffer, type LighterVersion, lighterOffer, versionOf } from '#core/lighter/offer'
import { type OneTipLess, oneTipLess } from '#core/lighter/oneTip'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { UnplannableOrderError } from '#core/plan/index'

let looking = 0
/** So often, ms, it is told how far a search is. */
const TELL_MS = 150

const lightener = {
  /** Looks for lighter versions and tells of them as they come; ends early when another look has taken its place. */
  async look(
    order: Order,
    workshop: Workshop,
    pieceId: string | null,
    tell: (done: number, offer: LighterOffer | null) => void,
  ): Promise<void> {
    const own = ++looking
    const search = lighterOffer(order, workshop, pieceId)
    let told = 0
    for (;;) {
      const { value, done } = search.next()
      if (done) return tell(1, value)
      const now = performance.now()
      if (value.offer || now - told > TELL_MS) {
        told = now
        tell(value.done, value.offer)
        // messages can only be heard between steps
        await new Promise((resume) => setTimeout(resume))
        if (own !== looking) return
      }
    }
  },
  /** One version counted anew, with the changes that somebody has left in it. */
  version: (order: Order, workshop: Workshop, changes: readonly LighterChange[]): LighterVersion =>
    versionOf(order, workshop, changes),
  oneTip: (order: Order, workshop: Workshop): OneTipLess[] => {
    try {
      return oneTipLess(order, workshop)
    } catch (error) {
      // an order that has no plan has no tips to do without
      if (error instanceof UnplannableOrderError) return []
      throw error
    }
  },
}
export type Lightener = typeof lightener

Comlink.expose(lightener)
