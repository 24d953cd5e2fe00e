import { search } from '../bags/anneal.ts'
import { exact } from '../bags/exact.ts'
import type { Arrangement } from '../bags/problem.ts'
import { simulate } from '../bags/simulate.ts'
import type { ArrangementChoice, Order } from '../model/order.ts'
import type { Bag } from '../model/plan.ts'
import type { Settings, Workshop } from '../model/workshop.ts'
import { orderBags } from './bagProblem.ts'
import { asChoice, bags } from './bags.ts'
import { bagCount } from './counts.ts'
import { demand } from './demand.ts'
import { lookUp } from './lookup.ts'
import { reserve } from './reserve.ts'

/** A way to bag and pipe the order, as it can be chosen. */
export interface BagOffer {
  id: string
  words: string
  choice: ArrangementChoice
  bags: number
  changes: number
  washes: number
  wasteGrams: number
  /** Hands on bags and tips: filling, changing, washing. */
  minutes: number
  /** True where nothing better by the bakery's own weights exists. */
  proved: boolean
}

/** How the search stands: what has been found so far, and how far it is, 0 to 1. */
export interface BagSearch {
  offers: BagOffer[]
  done: number
}

/** What is counted more heavily to find plans that lean one way. */
const leanings: { id: string; words: string; weigh(s: Settings): Partial<Settings> }[] = [
  { id: 'own', words: 'Best by what you find bothersome', weigh: () => ({}) },
  {
    id: 'bags',
    words: 'Fewest bags',
    weigh: (s) => ({ bagMinutes: s.bagMinutes * 4, refillMinutes: s.refillMinutes }),
  },
  {
    id: 'changes',
    words: 'Least changing and washing',
    weigh: (s) => ({ changeMinutes: s.changeMinutes * 5, washMinutes: s.washMinutes * 5 }),
  },
  {
    id: 'waste',
    words: 'Least icing left in bags',
    weigh: (s) => ({ minutesPerGram: s.minutesPerGram * 5 }),
  },
]

/** Steps of each of a search's three coolings: the bakery's own weights get the most. */
const STEPS = { own: 5000, other: 1500 }

/**
 * Searches for bag plans: first by the bakery's own weights, then leaning towards fewer bags, fewer changes and less
 * waste. A generator: the caller may stop at any report and keep what there is.
 */
export function* searchBags(order: Order, workshop: Workshop): Generator<BagSearch, BagSearch> {
  const free = { ...order, arrangement: null }
  const found: BagOffer[] = []
  for (const [i, leaning] of leanings.entries()) {
    const own = leaning.id === 'own'
    const weighed = { ...workshop, settings: { ...workshop.settings, ...leaning.weigh(workshop.settings) } }
    const at = lookUp(free, weighed)
    const of = orderBags(at, reserve(at, demand(at).uses))
    if (of.problem.pairs.length === 0) break
    const running = search(of.problem, 1, own ? STEPS.own : STEPS.other)
    let best: Arrangement
    for (;;) {
      const { value, done } = running.next()
      best = value.best
      if (done) break
      yield {
        offers: withOffer(found, offer(leaning, best, false)),
        done: (i + value.done) / leanings.length,
      }
    }
    const minutes = simulate(of.problem, best).minutes
    found.push(offer(leaning, best, own && exact(of.problem, minutes - 1e-6) === null))
    yield { offers: distinct(found), done: (i + 1) / leanings.length }

    function offer({ id, words }: (typeof leanings)[number], arrangement: Arrangement, proved: boolean) {
      return { id, words, proved, ...figures(free, workshop, asChoice(of, arrangement)) }
    }
  }
  return { offers: distinct(found), done: 1 }
}

const withOffer = (found: readonly BagOffer[], next: BagOffer) => distinct([...found, next])

/** Plans that come to the same in every figure are one. */
function distinct(offers: readonly BagOffer[]): BagOffer[] {
  const seen = new Set<string>()
  return offers.filter((o) => {
    const key = [o.bags, o.changes, o.washes, Math.round(o.wasteGrams)].join()
    if (seen.has(key)) return false
    seen.add(key)
    return true
  })
}

/** What an arrangement comes to by the bakery's own settings. */
function figures(order: Order, workshop: Workshop, choice: ArrangementChoice) {
  const at = lookUp({ ...order, arrangement: choice, mixing: { school: 'separate' } }, workshop)
  const { bags: filled } = bags(at, reserve(at, demand(at).uses))
  return { choice, ...bagFigures(filled, workshop.settings) }
}

/** Bags, changes, washes, grams left and hands-on minutes of some bags. */
export function bagFigures(filled: readonly Bag[], settings: Settings) {
  const sum = (of: (bag: Bag) => number) => filled.reduce((total, bag) => total + of(bag), 0)
  const { bagMinutes, refillMinutes, couplerMinutes, changeMinutes, washMinutes } = settings
  return {
    bags: bagCount(filled),
    changes: sum((b) => b.changes),
    washes: sum((b) => b.washes),
    wasteGrams: sum((b) => b.residueGrams + b.topUpGrams),
    minutes: sum(
      (b) =>
        bagMinutes +
        (b.fillings - 1) * refillMinutes +
        (b.coupler === 'none' ? 0 : couplerMinutes) +
        b.changes * changeMinutes +
        b.washes * washMinutes,
    ),
  }
}
