import * as Comlink from 'comlink'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { type BagSearch, searchBags } from '#core/plan/bagOffers'
import { type FewerOffer, fewerOffer } from '#core/plan/fewer/offer'
import { type OtherWays, otherWays } from '#core/plan/fewer/otherWays'

let running = 0
let looking = 0

const searcher = {
  /** Searches and tells how it stands until it is done, or another search or `stop` takes its place. */
  async search(order: Order, workshop: Workshop, tell: (state: BagSearch) => void): Promise<boolean> {
    const own = ++running
    let told = 0
    for (const state of searchBags(order, workshop)) {
      const now = performance.now()
      if (now - told > 120 || state.done === 1) {
        told = now
        tell(state)
      }
      // messages can only be heard between steps
      await new Promise((done) => setTimeout(done))
      if (own !== running) return false
    }
    return true
  },
  /** Looks for fewer bags and tips; null when another look has taken its place. */
  async fewer(order: Order, workshop: Workshop): Promise<(FewerOffer & OtherWays) | null> {
    const own = ++looking
    const search = fewerOffer(order, workshop)
    for (;;) {
      const { value, done } = search.next()
      if (done) return { ...value, ...otherWays(order, workshop) }
      await new Promise((resume) => setTimeout(resume))
      if (own !== looking) return null
    }
  },
  stop(): void {
    running++
  },
}
export type Searcher = typeof searcher

Comlink.expose(searcher)
