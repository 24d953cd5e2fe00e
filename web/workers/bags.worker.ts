import * as Comlink from 'comlink'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { type BagSearch, searchBags } from '#core/plan/bagOffers'

let running = 0

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
  stop(): void {
    running++
  },
}
export type Searcher = typeof searcher

Comlink.expose(searcher)
