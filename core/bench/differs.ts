import type { Frozen } from '../model/bench.ts'
import type { Order } from '../model/order.ts'
import type { Bag, Plan } from '../model/plan.ts'
import { counted } from '../units.ts'

/** Less icing than this is not weighed out anew, g. */
const A_SPOONFUL_G = 2

/** What an order asks for now that the plan it is worked by does not have, as sentences; none when both are the same. */
export function differs(
  frozen: Pick<Frozen, 'order' | 'plan'>,
  order: Order,
  plan: Pick<Plan, 'batches' | 'bags' | 'colours'>,
  weight: (grams: number) => string,
): string[] {
  return [
    ...pieces(frozen.order, order),
    ...colours(frozen.plan, plan, weight),
    ...bags(frozen.plan.bags, plan.bags),
    ...(frozen.order.collectAt === order.collectAt ? [] : ['It is fetched at another time.']),
  ]
}

function pieces(then: Order, now: Order): string[] {
  const before = new Map(then.pieces.map((p) => [p.id, p]))
  const after = new Set(now.pieces.map((p) => p.id))
  const said = now.pieces.flatMap((p) => {
    const more = p.count - (before.get(p.id)?.count ?? 0)
    if (more === 0) return []
    return [`${Math.abs(more)} ${more > 0 ? 'more' : 'fewer'} of ${p.name}.`]
  })
  const gone = then.pieces.filter((p) => !after.has(p.id)).map((p) => `No ${p.name} any more.`)
  return [...said, ...gone]
}

type Mixed = Pick<Plan, 'batches' | 'colours'>

function colours(then: Mixed, now: Mixed, weight: (grams: number) => string): string[] {
  const grams = (plan: Mixed) => {
    const of = new Map<string, number>()
    for (const b of plan.batches) of.set(b.colourId, (of.get(b.colourId) ?? 0) + b.grams)
    return of
  }
  const names = new Map([...then.colours, ...now.colours].map((c) => [c.id, c.name]))
  const [before, after] = [grams(then), grams(now)]
  return [...names].flatMap(([id, name]) => {
    const more = (after.get(id) ?? 0) - (before.get(id) ?? 0)
    if (Math.abs(more) < A_SPOONFUL_G) return []
    return [`${weight(Math.abs(more))} of ${name} ${more > 0 ? 'are missing' : 'are too much'}.`]
  })
}

/** Bags whose labels would say something else. */
function bags(then: readonly Bag[], now: readonly Bag[]): string[] {
  const label = (b: Bag | undefined) =>
    b && JSON.stringify([b.tipIds, b.stiffness, b.load.map((l) => l.colourId), b.fillings, b.label])
  const before = new Map(then.map((b) => [b.number, b]))
  const after = new Map(now.map((b) => [b.number, b]))
  const other = [...new Set([...before.keys(), ...after.keys()])]
    .filter((n) => label(before.get(n)) !== label(after.get(n)))
    .sort((a, b) => a - b)
  if (other.length === 0) return []
  return [`${counted(other.length, 'bag')} would be labelled otherwise: ${other.join(', ')}.`]
}
