import type { Bag, Use } from '../model/plan.ts'
import { bagMinutes, fillBag } from './fill.ts'
import type { Lookup } from './lookup.ts'

/** Couplers not yet on a bag. */
export interface CouplersLeft {
  standard: number
  large: number
}

/** Uses that share a bag, and what their tips fit: only tips of one fit can share a coupler. */
interface Part {
  uses: readonly Use[]
  fit: 'standard' | 'large' | 'none'
  bag: Bag
}

/**
 * Divides uses of one load among bags. Starts with a bag for each tip and joins the two whose joining saves most
 * minutes, as long as any does and a coupler is left. A cut bag is a bag of its own for each size of cut.
 */
export function partition(at: Lookup, uses: readonly Use[], left: CouplersLeft): Bag[] {
  let parts = byTip(at, uses)
  for (;;) {
    const best = bestJoin(at, uses, parts, left)
    if (!best) return parts.map((p) => p.bag)
    const joinedBefore = [best.a, best.b].filter((p) => p.bag.coupler !== 'none').length
    left[best.joined.fit === 'large' ? 'large' : 'standard'] -= 1 - joinedBefore
    parts = [...parts.filter((p) => p !== best.a && p !== best.b), best.joined]
  }
}

function byTip(at: Lookup, uses: readonly Use[]): Part[] {
  return [...new Set(uses.map((u) => u.tipId!))].map((tipId) => {
    const own = uses.filter((u) => u.tipId === tipId)
    return { uses: own, fit: at.tip(tipId).base, bag: fillBag(at, own, 'none') }
  })
}

function bestJoin(at: Lookup, all: readonly Use[], parts: readonly Part[], left: CouplersLeft) {
  let best: { a: Part; b: Part; joined: Part; saved: number } | null = null
  for (const [i, a] of parts.entries())
    for (const b of parts.slice(i + 1)) {
      if (a.fit === 'none' || a.fit !== b.fit) continue
      const hasCoupler = a.bag.coupler !== 'none' || b.bag.coupler !== 'none'
      if (!hasCoupler && left[a.fit] < 1) continue
      // in the order of the flowers' layers, so that changes are counted as they happen
      const joinedUses = all.filter((u) => a.uses.includes(u) || b.uses.includes(u))
      const bag = fillBag(at, joinedUses, a.fit)
      const saved = bagMinutes(at, a.bag) + bagMinutes(at, b.bag) - bagMinutes(at, bag)
      if (saved > (best?.saved ?? 0)) best = { a, b, joined: { uses: joinedUses, fit: a.fit, bag }, saved }
    }
  return best
}
