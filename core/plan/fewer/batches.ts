import { greedy } from '../../bags/greedy.ts'
import { simulate } from '../../bags/simulate.ts'
import { onPlaced } from '../../model/onPiece.ts'
import type { Order } from '../../model/order.ts'
import type { Workshop } from '../../model/workshop.ts'
import { orderBags } from '../bagProblem.ts'
import { demand } from '../demand.ts'
import { nailMinutes } from '../hands.ts'
import { lookUp } from '../lookup.ts'
import { flowersPiped } from '../piped.ts'
import { reserve } from '../reserve.ts'
import { minutesPerSquare, mostSquares } from '../work/batchWait.ts'

/** A flower that would better be piped over a batch of squares, layer group by layer group. */
export interface BatchOffer {
  pieceId: string
  placedId: string
  flowerName: string
  /** Flowers to pipe, and squares at a time. */
  flowers: number
  squares: number
  /** Layers that wait for the batch, by name. */
  waiting: string[]
  /** Minutes that the longest-standing square waits before a layer goes on it. */
  waitMinutes: number
  /** What it saves on top of the offers before it. */
  saves: { minutes: number; changes: number; washes: number }
}

/** Batches that are tried; between them little changes. */
const SIZES = [2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60]
/** Less than this is not worth another way of working. */
const LEAST_GAIN = 3

/** The order with a flower piped over so many squares at a time. */
export function inBatches(order: Order, pieceId: string, placedId: string, squares: number | null): Order {
  const other = onPlaced(order, { pieceId, placedId }, (placed) => ({ ...placed, batch: squares }))
  return { ...other, arrangement: null }
}

/**
 * Flowers on nails whose tips go round from bag to bag for every single one, each with the number of squares at which
 * that costs least: the best of all is taken, then the best beside it. What a person has settled stays.
 */
export function batchOffers(order: Order, workshop: Workshop): BatchOffer[] {
  let now: Order = { ...order, arrangement: null, mixing: { school: 'separate' } }
  let before = minutesOf(now, workshop)
  const open = candidates(now, workshop)
  const offers: BatchOffer[] = []
  while (open.length > 0) {
    const tried = open.flatMap((c) =>
      c.sizes.map((squares) => {
        const then = inBatches(now, c.pieceId, c.placedId, squares)
        return { c, squares, then, worked: minutesOf(then, workshop) }
      }),
    )
    // of sizes that save alike the smallest waits least
    const best = tried.reduce<(typeof tried)[number] | null>(
      (least, t) => (least && t.worked.minutes > least.worked.minutes - ALIKE ? least : t),
      null,
    )
    if (!best || before.minutes - best.worked.minutes < LEAST_GAIN) break
    const { c, squares, worked } = best
    offers.push({
      pieceId: c.pieceId,
      placedId: c.placedId,
      flowerName: c.flowerName,
      flowers: c.flowers,
      squares,
      waiting: c.waiting,
      waitMinutes: squares * c.longestMinutes,
      saves: {
        minutes: before.minutes - worked.minutes,
        changes: before.changes - worked.changes,
        washes: before.washes - worked.washes,
      },
    })
    now = best.then
    before = worked
    open.splice(open.indexOf(c), 1)
  }
  return offers
}

const ALIKE = 0.5

/** Minutes of bags, tips and nails, as far as the way of working decides them. */
function minutesOf(order: Order, workshop: Workshop) {
  const at = lookUp(order, workshop)
  const uses = reserve(at, demand(at).uses)
  const { problem } = orderBags(at, uses)
  const { minutes, changes, washes } = simulate(problem, greedy(problem))
  return { minutes: minutes + nailMinutes(uses, workshop.settings), changes, washes }
}

interface Candidate {
  pieceId: string
  placedId: string
  flowerName: string
  flowers: number
  waiting: string[]
  longestMinutes: number
  sizes: number[]
}

/** Flowers on nails with a layer that may wait, not settled yet, and the squares that do not crust meanwhile. */
function candidates(order: Order, workshop: Workshop): Candidate[] {
  const at = lookUp(order, workshop)
  const { placements, uses } = demand(at)
  const all = reserve(at, uses)
  return placements.flatMap(({ piece, placed, flower, fitted }): Candidate[] => {
    const waiting = fitted.layers.slice(1).filter(({ layer }) => layer.mayWait)
    if (flower.setting !== 'nail' || placed.batch !== null || waiting.length === 0) return []
    const own = all.filter((u) => u.pieceId === piece.id && u.placedId === placed.id)
    const flowers = flowersPiped(own[0]!)
    const waits = new Set(waiting.map(({ layer }) => layer.id))
    const longestMinutes = minutesPerSquare(own, (u) => waits.has(u.layerId!))
    const most = mostSquares(longestMinutes, at.icing(own[0]!.icingKindId).crustMinutes)
    const sizes = [...SIZES.filter((s) => s < flowers), Math.min(60, flowers)].filter(
      (s) => s > 1 && s <= most,
    )
    return [
      {
        pieceId: piece.id,
        placedId: placed.id,
        flowerName: flower.name,
        flowers,
        waiting: waiting.map(({ layer }) => layer.name),
        longestMinutes,
        sizes,
      },
    ]
  })
}
