import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { demand } from '../plan/demand.ts'
import type { Change } from '../plan/fewer/change.ts'
import { applied } from '../plan/fewer/offer.ts'
import { scalesFor } from '../plan/fewer/weigh.ts'
import { effectWords } from '../plan/fewer/words.ts'
import { planFigures } from '../plan/index.ts'
import { lookKept } from '../plan/look/kept.ts'
import { shownPieces } from '../plan/look/shown.ts'
import { lookUp } from '../plan/lookup.ts'

/** A tip that the whole order could do without, and the one that stands in for it in every layer. */
export interface OneTipLess {
  tipId: string
  /** Tips that take over its layers, most layers first. */
  standIns: string[]
  layers: number
  changes: Change[]
  /** Labels of bags that are no longer filled, as far as there are fewer of them. */
  bagsGone: string[]
  bags: number
  minutes: number
  grams: number
  look: number
  /** What it does to the flowers' sizes and icing, in words. */
  effect: string
}

/** Less than this of the look is kept by no stand-in that is told. */
const LEAST_LOOK = 0.9

/** For every tip of an order the best stand-in for all layers that use it, from tips that the order uses anyway. */
export function oneTipLess(order: Order, workshop: Workshop): OneTipLess[] {
  const separate: Order = { ...order, arrangement: null, mixing: { school: 'separate' } }
  const { facts } = scalesFor(separate, workshop)
  const before = planFigures(separate, workshop)
  const at = lookUp(separate, workshop)
  const now = demand(at)
  const shown = shownPieces(at, now.placements)
  const tips = [...new Set(now.uses.flatMap((u) => u.tipId ?? []))]
  return tips
    .flatMap((tipId): OneTipLess[] => {
      const uses = now.uses.filter((u) => u.tipId === tipId)
      const own = uses.map((u) => facts.find((f) => f.use.id === u.id))
      // words, stems, and what a person has chosen have no stand-in
      if (own.some((f) => !f || f.tips.size === 0)) return []
      const counts = new Map<string, number>()
      for (const f of own) for (const t of f!.tips) if (t !== tipId) counts.set(t, (counts.get(t) ?? 0) + 1)
      const order = [...counts].sort((a, b) => b[1] - a[1]).map(([t]) => t)
      const changes = own.map((f) => ({ useId: f!.use.id, tipId: order.find((t) => f!.tips.has(t)) }))
      if (changes.some((c) => c.tipId === undefined)) return []
      const then = applied(separate, changes)
      const there = lookUp(then, workshop)
      const { placements } = demand(there)
      const look = lookKept(shown, shownPieces(there, placements)).order
      if (look < LEAST_LOOK) return []
      const plan = planFigures(then, workshop)
      const still = new Set(plan.bags.map((b) => b.label.replace(/^\d+ · /, '')))
      return [
        {
          tipId,
          standIns: [...new Set(changes.map((c) => c.tipId!))],
          layers: uses.length,
          changes,
          bagsGone: before.bags.map((b) => b.label.replace(/^\d+ · /, '')).filter((l) => !still.has(l)),
          bags: before.bags.length - plan.bags.length,
          minutes: before.totals.handsOnMinutes - plan.totals.handsOnMinutes,
          grams: plan.totals.mixedGrams - before.totals.mixedGrams,
          look,
          effect: effectWords(now.placements, placements),
        },
      ]
    })
    .sort((a, b) => b.minutes - a.minutes)
}
