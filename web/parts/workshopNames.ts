import type { NameOf } from '#core/merge/words'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { shortOpening } from '#core/tips/index'

/** What ids of flowers, tips, icing kinds, bags, dyes and an order's colours stand for. */
export function namesIn(workshop: Workshop, order?: Order): NameOf {
  const names = new Map<string, string>([
    ...workshop.tips.map((t) => [t.id, shortOpening(t.opening)] as const),
    ...[...workshop.flowers, ...workshop.icings, ...workshop.bags, ...workshop.dyes].map(
      (thing) => [thing.id, thing.name] as const,
    ),
    ...(order?.colours ?? []).map((c) => [c.id, c.name] as const),
  ])
  return (id) => names.get(id)
}
