import { shortestOrder } from './chainOrder.ts'
import { formula } from './formula.ts'
import type { LabD65 } from './lab.ts'
import { BANDS, type Spectrum } from './spectrum.ts'
import { type Mix, solveSubset, subsets, task } from './subsetSolve.ts'
import type { TintBase } from './tint.ts'

/** A colour that one bowl passes through. */
export interface ChainColour {
  id: string
  target: LabD65
  /** Finished icing its bowl must hold, g. */
  grams: number
  /** Of that, what will be left when it has been piped, and can be tinted on, g. */
  leftGrams: number
}

/** One colour after another in one bowl, from the same icing and dyes. */
export interface ChainTask {
  base: TintBase
  curves: readonly Spectrum[]
  colours: readonly ChainColour[]
  /** Difference a step may have, CIEDE2000; a colour out of reach may have what it would have by itself. */
  tolerance: number
  /** Colour to end with, when somebody wants it so: leaf green, by habit. */
  lastId: string | null
  /**
   * What it costs, in grams as all costs here, that things of colour `k` cannot be piped yet when the colours of the mask
   * are done, `k` among them: see `keptBags`.
   */
  keptCost(mask: number, k: number): number
}

/** A bowl at one step of the chain. */
export interface ChainStep {
  colourId: string
  /** True where the bowl is washed and begun anew. */
  fresh: boolean
  /** What is taken on from the bowl before, and the plain icing stirred in, g. */
  carriedGrams: number
  freshGrams: number
  /** Drops to add to the whole bowl, by dye. */
  add: { dye: number; drops: number }[]
  /** Drops of every dye in 100 g once it is mixed, what was carried on included. */
  doses: number[]
  lab: LabD65
  difference: number
  cost: number
}

/** What a gram of plain icing is worth against a dye to open, a drop, a visible difference, and a washed bowl. */
const DYE_COST = 1
const DROP_COST = 0.3
const DIFFERENCE_COST = 4
const DIFFERENCE_FREE = 0.7
const BOWL_COST = 6
/** Shares tried of what could be carried on. */
const SHARES = [1, 0.8, 0.6, 0.4, 0.2]
const MOST_DYES = 3
/** Dyes that a step chooses from: those that its own formulas use. */
const MOST_CANDIDATES = 5

interface Prepared extends ChainColour {
  /** Its own formula from plain icing. */
  alone: Mix
  candidates: number[]
}

/** Finds the chain of least cost, and what each step of it really comes to. */
export function carryOver(chain: ChainTask): ChainStep[] {
  if (chain.colours.length === 0) return []
  const colours = prepare(chain)
  return simulate(chain, colours, bestOrder(chain, colours))
}

/** Each colour by itself, and the dyes its formulas use. */
export function prepare({ base, curves, colours }: ChainTask): Prepared[] {
  return colours.map((colour) => {
    const { chosen, others } = formula(base, colour.target, curves, Math.max(60, colour.grams))
    const used = [chosen, ...others].flatMap((mix) => mix.dyes)
    return { ...colour, alone: chosen, candidates: [...new Set(used)].slice(0, MOST_CANDIDATES) }
  })
}

/**
 * Best order, with every colour taken as its own formula has it; what the bowl really holds by then differs a little, and
 * `simulate` follows it exactly.
 */
export function bestOrder(chain: ChainTask, colours: readonly Prepared[]): number[] {
  return shortestOrder({
    first: colours.map((c) => freshStep(chain, c, false).cost),
    turn: colours.map((from) =>
      colours.map((to) =>
        from === to ? 0 : bestStep(chain, to, spread(from.alone, chain.curves.length), from.leftGrams).cost,
      ),
    ),
    last: colours.length > 1 ? colours.findIndex((c) => c.id === chain.lastId) : -1,
    keptCost: (mask, k) => chain.keptCost(mask, k),
  })
}

/** Follows an order with what the bowl really holds at each step. */
export function simulate(
  chain: ChainTask,
  colours: readonly Prepared[],
  order: readonly number[],
): ChainStep[] {
  const steps: ChainStep[] = []
  order.forEach((k, i) => {
    const colour = colours[k]!
    const previous = steps.at(-1)
    const left = i > 0 ? colours[order[i - 1]!]!.leftGrams : 0
    steps.push(previous ? bestStep(chain, colour, previous.doses, left) : freshStep(chain, colour, false))
  })
  return steps
}

function freshStep(chain: ChainTask, colour: Prepared, washed: boolean): ChainStep {
  const { alone } = colour
  return step(colour, alone, spread(alone, chain.curves.length), 0, washed || undefined)
}

/** The cheapest way to a colour from a bowl that holds something, or from a clean one. */
function bestStep(
  chain: ChainTask,
  colour: Prepared,
  doses: readonly number[],
  leftGrams: number,
): ChainStep {
  let best = freshStep(chain, colour, true)
  const cap = Math.min(leftGrams, colour.grams)
  const allowed = Math.max(chain.tolerance, best.difference + 0.3)
  for (const share of SHARES) {
    const carried = cap * share
    if (carried < 1) break
    // even with no dye to add it could not be cheaper
    if (colour.grams - carried >= best.cost) continue
    const part = carried / colour.grams
    const background = new Float64Array(BANDS)
    doses.forEach((drops, j) => {
      if (drops > 0) for (let i = 0; i < BANDS; i++) background[i]! += part * drops * chain.curves[j]![i]!
    })
    const of = task(chain.base, colour.target, chain.curves, background)
    for (const set of subsets(colour.candidates.length, MOST_DYES)) {
      const mix = solveSubset(
        of,
        set.map((c) => colour.candidates[c]!),
      )
      if (mix.difference > allowed) continue
      const all = spread(mix, chain.curves.length).map((d, j) => d + part * doses[j]!)
      const made = step(colour, mix, all, carried)
      if (made.cost < best.cost) best = made
    }
  }
  return best
}

/** Doses as a list over all dyes. */
function spread(mix: Mix, count: number): number[] {
  const doses = new Array<number>(count).fill(0)
  mix.dyes.forEach((d, k) => {
    doses[d] = mix.drops[k]!
  })
  return doses
}

function step(
  colour: Prepared,
  mix: Mix,
  doses: number[],
  carriedGrams: number,
  washed?: boolean,
): ChainStep {
  const freshGrams = colour.grams - carriedGrams
  const add = mix.dyes.map((dye, k) => ({ dye, drops: (mix.drops[k]! * colour.grams) / 100 }))
  const drops = add.reduce((sum, a) => sum + a.drops, 0)
  return {
    colourId: colour.id,
    fresh: carriedGrams === 0,
    carriedGrams,
    freshGrams,
    add,
    doses,
    lab: mix.lab,
    difference: mix.difference,
    cost:
      freshGrams +
      DYE_COST * add.length +
      DROP_COST * drops +
      DIFFERENCE_COST * Math.max(0, mix.difference - DIFFERENCE_FREE) +
      (washed ? BOWL_COST : 0),
  }
}

/** Whether a chain could be done at a bench: nothing is taken out that was in, nothing is carried that was not left. */
export function chainFaults(chain: ChainTask, steps: readonly ChainStep[]): string[] {
  const colours = new Map(chain.colours.map((c) => [c.id, c]))
  const faults: string[] = []
  if (new Set(steps.map((s) => s.colourId)).size !== chain.colours.length) faults.push('A colour is missing.')
  steps.forEach((s, i) => {
    const colour = colours.get(s.colourId)!
    const before = steps[i - 1]
    if (Math.abs(s.carriedGrams + s.freshGrams - colour.grams) > 1e-6)
      faults.push(`${s.colourId}: the bowl does not hold what it must.`)
    if (s.carriedGrams > (before ? colours.get(before.colourId)!.leftGrams : 0) + 1e-6)
      faults.push(`${s.colourId}: more is carried on than was left.`)
    const part = s.carriedGrams / colour.grams
    s.doses.forEach((dose, j) => {
      if (dose < part * (before?.doses[j] ?? 0) - 1e-6)
        faults.push(`${s.colourId}: dye ${j} would have to be taken out.`)
    })
    s.add.forEach(({ dye, drops }) => {
      const carried = part * (before?.doses[dye] ?? 0)
      if (Math.abs(carried + (drops * 100) / colour.grams - s.doses[dye]!) > 1e-6)
        faults.push(`${s.colourId}: dye ${dye} does not add up.`)
    })
  })
  return faults
}
