import type { Order } from '../../model/order.ts'
import type { Workshop } from '../../model/workshop.ts'
import { type BatchOffer, batchOffers } from './batches.ts'
import { type BuyOffer, buyOffers } from './buying.ts'
import { type HiddenOffer, hiddenOffer } from './hidden.ts'

/** What saves work beside fewer tips, for the order as it is: batches, something to buy, plain icing under petals. */
export interface OtherWays {
  batches: BatchOffer[]
  buys: BuyOffer[]
  hidden: HiddenOffer | null
}

/** Looks for all of them. */
export function otherWays(order: Order, workshop: Workshop): OtherWays {
  return {
    batches: batchOffers(order, workshop),
    buys: buyOffers(order, workshop),
    hidden: hiddenOffer(order, workshop),
  }
}
