import { oneBowl } from '../colour/oneBowl.ts'
import type { Order, OrderColour, Piece, Safety } from '../model/order.ts'
import type { Batch, Plan } from '../model/plan.ts'
import { recoloured } from '../model/recolour.ts'
import type { SetOn } from '../model/setOn.ts'
import { respread } from '../model/spreads.ts'
import { partGrams } from '../plan/reserve.ts'
import { newOrder } from './new.ts'

const strictness: readonly Safety[] = ['tight', 'safe', 'unmatchable']

/** Prefix of everything that comes from one of the orders. */
const prefixOf = (order: number) => `o${order}-`

/**
 * Several orders as one, for a bench day: equal colours become one bowl, tips and bags serve all of them. The strictest
 * safety and everybody's allergens hold for all.
 * @throws RangeError when there is no order to merge.
 */
export function mergeOrders(orders: readonly Order[]): Order {
  const first = orders[0]
  if (!first) throw new RangeError('A bench day needs at least one order.')
  const colours: OrderColour[] = []
  const pieces: Piece[] = []
  const setOns: SetOn[] = []
  orders.forEach((order, k) => {
    const merged = new Map(order.colours.map((c) => [c.id, mergeColour(colours, c, prefixOf(k))]))
    const id = (old: string) => `${prefixOf(k)}${old}`.slice(0, 64)
    const to = (colourId: string) => merged.get(colourId) ?? colourId
    for (const piece of order.pieces)
      pieces.push({
        ...respread(piece, to),
        id: id(piece.id),
        name: `${order.title}: ${piece.name}`.slice(0, 80),
        icingKindId: piece.icingKindId ?? order.icingKindId,
        flowers: piece.flowers.map((f) => recoloured(f, to)),
        setOns: piece.setOns.map((s) => ({ ...s, setOnId: id(s.setOnId) })),
      })
    // what is put on stays each order's own: it is counted and made for each
    setOns.push(...order.setOns.map((t) => ({ ...t, id: id(t.id) })))
  })
  return {
    ...newOrder('bench-day', 'Bench day', earliest(orders), first.icingKindId),
    avoid: [...new Set(orders.flatMap((o) => o.avoid))],
    safety: strictness[Math.max(...orders.map((o) => strictness.indexOf(o.safety)))]!,
    practicePerFlower: Math.max(...orders.map((o) => o.practicePerFlower)),
    colours,
    setOns,
    pieces,
  }
}

/** The orders one by one as they would be that day: with the day's safety and practice, so that the two compare. */
export function asOnDay(orders: readonly Order[], day: Order): Order[] {
  const { safety, practicePerFlower } = day
  return orders.map((o) => ({ ...o, safety, practicePerFlower }))
}

const earliest = (orders: readonly Order[]) => orders.map((o) => o.collectAt).sort()[0]!

function mergeColour(colours: OrderColour[], colour: OrderColour, prefix: string): string {
  const like = colours.find((c) => oneBowl(c.hex, colour.hex))
  if (like) {
    if (!like.name.split(' / ').includes(colour.name))
      like.name = `${like.name} / ${colour.name}`.slice(0, 80)
    return like.id
  }
  const id = `${prefix}${colour.id}`.slice(0, 64)
  colours.push({ ...colour, id })
  return id
}

/** A bowl's icing divided among the orders that want it. */
export interface ShareOut {
  batch: Batch
  /** In the order of the orders; those that take nothing are left out. Sums to the bowl. */
  shares: { order: number; grams: number }[]
}

/** Who gets how much of each bowl: what each pipes and holds in reserve, with its part of what stays behind. */
export function shareOut(plan: Plan, orderCount: number): ShareOut[] {
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  return plan.batches.map((batch) => {
    const wanted = Array.from({ length: orderCount }, (_, k) =>
      batch.useIds
        .map((id) => uses.get(id)!)
        .filter((u) => u.pieceId.startsWith(prefixOf(k)))
        .reduce(
          (sum, u) =>
            sum + u.parts.filter((p) => p.colourId === batch.colourId).reduce((s, p) => s + partGrams(p), 0),
          0,
        ),
    )
    const all = wanted.reduce((a, b) => a + b, 0)
    return {
      batch,
      shares: wanted.flatMap((grams, order) =>
        grams > 0 ? [{ order, grams: (grams / all) * batch.grams }] : [],
      ),
    }
  })
}
