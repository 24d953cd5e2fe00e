import { greedy } from '../../bags/greedy.ts'
import type { BagProblem } from '../../bags/problem.ts'
import { simulate } from '../../bags/simulate.ts'
import type { Order } from '../../model/order.ts'
import type { BagStock, Workshop } from '../../model/workshop.ts'
import { shortOpening } from '../../tips/index.ts'
import { orderBags } from '../bagProblem.ts'
import { SHORT_BAG_MM } from '../bagStock.ts'
import { demand } from '../demand.ts'
import { planFigures } from '../index.ts'
import { type Lookup, lookUp } from '../lookup.ts'
import { reserve } from '../reserve.ts'

/** Something to buy that would save more than a wash. */
export interface BuyOffer {
  kind: 'tip' | 'bag'
  /** Tip id; null for a bag, which the drawer does not have yet. */
  tipId: string | null
  name: string
  why: string
  saves: { minutes: number; grams: number }
}

/** One tip more saves a wash, a minute or so; only where it saves this many is it worth a decision. */
const TIP_DECIDE = 10
/** Minutes, and grams of icing, from which a smaller bag is worth telling. */
const BAG_DECIDE = 2
const BAG_GRAMS = 40

/** What would be worth buying for this order: a tip that goes round within one flower, and a bag shorter than any owned. */
export function buyOffers(order: Order, workshop: Workshop): BuyOffer[] {
  const separate: Order = { ...order, arrangement: null, mixing: { school: 'separate' } }
  const at = lookUp(separate, workshop)
  return [...tipOffers(at), ...bagOffer(separate, workshop)].sort((a, b) => b.saves.minutes - a.saves.minutes)
}

function tipOffers(at: Lookup): BuyOffer[] {
  const { problem, tipIds } = orderBags(at, reserve(at, demand(at).uses))
  if (problem.pairs.length === 0) return []
  const now = simulate(problem, greedy(problem)).minutes
  return roundWithinAFlower(problem).flatMap((tip) => {
    const richer: BagProblem = {
      ...problem,
      tips: problem.tips.map((t, i) => (i === tip ? { ...t, copies: t.copies + 1 } : t)),
    }
    const minutes = now - simulate(richer, greedy(richer)).minutes
    if (minutes < TIP_DECIDE) return []
    const { opening, stamp } = at.tip(tipIds[tip]!)
    return [
      {
        kind: 'tip',
        tipId: tipIds[tip]!,
        name: `one more ${shortOpening(opening)}${stamp ? ` (${stamp})` : ''}`,
        why: 'two bags want it within one flower, so that it is changed and washed for every single one',
        saves: { minutes, grams: 0 },
      },
    ]
  })
}

/** Tips of metal that two bags want while one and the same flower is on its nail, many times over. */
function roundWithinAFlower({ jobs, pairs, tips }: BagProblem): number[] {
  const found = new Set<number>()
  for (const { pairs: own, repeats } of jobs) {
    if (repeats < 2) continue
    const wanted = [...new Set(own)].map((p) => pairs[p]!.tip)
    for (const [i, tip] of wanted.entries())
      if (tips[tip]!.fit !== 'none' && wanted.indexOf(tip) < i) found.add(tip)
  }
  return [...found]
}

/** A bag of 15 cm, of which a hand can work a spoonful. */
const SMALL_BAG: BagStock = {
  id: 'small-bag-to-buy',
  name: 'Bag 15 cm',
  kind: 'disposable',
  lengthMm: 150,
  residueGrams: 5,
  owned: 50,
}

function bagOffer(order: Order, workshop: Workshop): BuyOffer[] {
  const has = workshop.bags.some((b) => b.kind !== 'parchment' && b.owned > 0 && b.lengthMm < SHORT_BAG_MM)
  if (has) return []
  const now = planFigures(order, workshop).totals
  const then = planFigures(order, { ...workshop, bags: [...workshop.bags, SMALL_BAG] }).totals
  const minutes = now.handsOnMinutes - then.handsOnMinutes
  const grams = now.mixedGrams - then.mixedGrams
  if (minutes < BAG_DECIDE && grams < BAG_GRAMS) return []
  return [
    {
      kind: 'bag',
      tipId: null,
      name: 'bags of 15 cm',
      why: 'less has to go in for a hand to work with them, and less stays behind',
      saves: { minutes, grams },
    },
  ]
}
