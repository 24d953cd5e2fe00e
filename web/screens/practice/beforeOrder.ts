import type { Order } from '#core/model/order'
import type { DrillBefore } from '#core/practice/beforeOrder'

/** What an order has to do with practice. */
export interface BeforeOrder {
  suggested: readonly DrillBefore[]
  /** Keys of the layers that it has. */
  layers: ReadonlySet<string>
  settled: Order['drills']
  settle(): void
}
