import type { Order } from '../../model/order.ts'
import type { Plan, Use } from '../../model/plan.ts'
import type { Workshop } from '../../model/workshop.ts'
import { shortOpening } from '../../tips/index.ts'
import { counted } from '../../units.ts'
import { demand } from '../demand.ts'
import { planOrder } from '../index.ts'
import { lookUp } from '../lookup.ts'
import { type Change, withChanges } from './change.ts'
import { fewer, type Move } from './search.ts'

/** What a plan takes, as far as tips and stiffness have a say in it. */
export interface Takes {
  bags: number
  tips: number
  bowls: number
  minutes: number
  grams: number
}

/** One move in words, with what it saves on top of those before it. */
export interface FewerMove {
  changes: Change[]
  what: string
  /** Openings before and after; empty where only the stiffness changes. */
  fromTipIds: string[]
  toTipId: string | null
  saves: { bags: number; tips: number; bowls: number; minutes: number }
}

/** A way to do the order with fewer bags, tips and bowls. */
export interface FewerOffer {
  before: Takes
  after: Takes
  /** Largest change of a flower's width, and of its icing, as shares. */
  width: number
  icing: number
  moves: FewerMove[]
  changes: Change[]
}

/** Searches for it; yields how far it is, 0 to 1. An offer without moves says that there is none. */
export function* fewerOffer(order: Order, workshop: Workshop): Generator<number, FewerOffer> {
  const separate: Order = { ...order, mixing: { school: 'separate' } }
  const moves = yield* fewer(order, workshop)
  const before = planOrder(separate, workshop)
  const changes = moves.flatMap((m) => m.changes)
  const after = planOrder(applied(separate, changes), workshop)
  const uses = new Map(before.uses.map((u) => [u.id, { ...u }]))
  return {
    before: takes(before, workshop),
    after: takes(after, workshop),
    ...largestChanges(separate, applied(separate, changes), workshop),
    moves: moves.map((move) => inWords(move, uses, workshop)),
    changes,
  }
}

/** The order with all these changes; the bags are planned anew. */
export function applied(order: Order, changes: readonly Change[]): Order {
  const all = new Map<string, Omit<Change, 'useId'>>()
  for (const { useId, tipId, stiffness } of changes) {
    const before = all.get(useId)
    all.set(useId, { tipId: tipId ?? before?.tipId, stiffness: stiffness ?? before?.stiffness })
  }
  return { ...withChanges(order, all), arrangement: null }
}

function takes(plan: Plan, workshop: Workshop): Takes {
  const tips = new Set(plan.bags.flatMap((b) => b.tipIds))
  const metal = [...tips].filter((id) => workshop.tips.find((t) => t.id === id)?.base !== 'none')
  return {
    bags: plan.bags.length,
    tips: metal.length,
    bowls: plan.batches.length,
    minutes: plan.totals.handsOnMinutes,
    grams: plan.totals.mixedGrams,
  }
}

/** How far any flower of the order changes. */
function largestChanges(before: Order, after: Order, workshop: Workshop): { width: number; icing: number } {
  const measures = (order: Order) => demand(lookUp(order, workshop)).placements.map((p) => p.fitted.measure)
  const then = measures(after)
  const most = (of: (m: (typeof then)[number]) => number) =>
    Math.max(0, ...measures(before).map((m, i) => Math.abs(of(then[i]!) / of(m) - 1)))
  return { width: most((m) => m.diameterMm), icing: most((m) => m.volumeMm3) }
}

/** Says what a move changes, and goes on with `uses` as it leaves them. */
function inWords(move: Move, uses: Map<string, Use>, workshop: Workshop): FewerMove {
  const touched = move.changes.map((c) => ({ ...c, use: uses.get(c.useId)! }))
  const names = listed(
    touched
      .filter(
        ({ use, tipId, stiffness }) =>
          (tipId && tipId !== use.tipId) || (stiffness && stiffness !== use.stiffness),
      )
      .map(({ use }) => layerWords(use)),
  )
  const { tipId, stiffness } = move.changes[0]!
  const from = [...new Set(touched.map(({ use }) => use.tipId!).filter((id) => id !== tipId))]
  const through = tipId ? ` through the ${nameOf(tipId, workshop)}` : ''
  const mixed = stiffness ? `${tipId ? ',' : ''} mixed ${stiffness}` : ''
  for (const change of touched) {
    if (change.tipId) change.use.tipId = change.tipId
    if (change.stiffness) change.use.stiffness = change.stiffness
  }
  const { bags, tips, bowls, minutes } = move.saves
  return {
    changes: move.changes,
    what: `${names.slice(0, 1).toUpperCase()}${names.slice(1)}${through}${mixed}`,
    fromTipIds: tipId ? from : [],
    toTipId: tipId ?? null,
    saves: { bags, tips, bowls, minutes },
  }
}

function nameOf(tipId: string, workshop: Workshop): string {
  const tip = workshop.tips.find((t) => t.id === tipId)!
  return shortOpening(tip.opening) + (tip.stamp ? ` (${tip.stamp})` : '')
}

/** A flower of one layer is not named twice. */
function layerWords({ flowerName, layerName }: Use): string {
  const [flower, layer] = [flowerName.toLowerCase(), layerName.toLowerCase()]
  return flower === layer ? flower : `${flower} ${layer}`
}

const SHOWN = 4

function listed(names: readonly string[]): string {
  const each = [...new Set(names)]
  const shown =
    each.length > SHOWN ? [...each.slice(0, SHOWN), counted(each.length - SHOWN, 'more layer')] : each
  return shown.join(', ')
}
