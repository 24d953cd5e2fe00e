import type { BenchStep, Frozen } from '../model/bench.ts'
import type { Use } from '../model/plan.ts'
import { flowersPiped } from '../plan/piped.ts'

/** Something to do between two taps of a step: when so many are done, before the next is begun. */
export interface Between {
  at: number
  kind: 'refill' | 'wipe'
  /** The bag that is filled again; null for the tip that is wiped. */
  bag: number | null
}

/**
 * When, within a step, bags have to be filled again and tips wiped: never within a flower or a row, but before the one that a bag would
 * not last for.
 */
export function between(
  step: BenchStep,
  { steps, plan, workshop }: Pick<Frozen, 'steps' | 'plan' | 'workshop'>,
): Between[] {
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  const found: Between[] = []
  for (const number of step.bags) {
    const bag = plan.bags.find((b) => b.number === number)
    if (!bag || bag.fillings < 2) continue
    const filling = (bag.grams - bag.residueGrams) / bag.fillings
    const taken = (s: BenchStep) =>
      s.useIds.reduce(
        (sum, id) => sum + (bag.useIds.includes(id) ? gramsOf(uses.get(id)!, s.kind === 'practise') : 0),
        0,
      )
    let before = 0
    for (const s of steps) {
      if (s.id === step.id) break
      if (s.bags.includes(number) && (isPiped(s) || s.kind === 'practise')) before += taken(s)
    }
    const each = taken(step) / step.wanted
    if (each <= 0) continue
    for (let filled = Math.floor(before / filling) + 1; filled < bag.fillings; filled++) {
      const at = Math.floor((filled * filling - before) / each)
      if (at > step.wanted - 1) break
      found.push({ at: Math.max(0, at), kind: 'refill', bag: number })
    }
  }
  const strokes = step.useIds.reduce((sum, id) => sum + strokesOf(uses.get(id)!, step), 0)
  const every = strokes > 0 ? Math.max(1, Math.round(workshop.settings.wipeEveryStrokes / strokes)) : 0
  if (isPiped(step) && every > 0)
    for (let at = every; at < step.wanted; at += every) found.push({ at, kind: 'wipe', bag: null })
  return found.sort((a, b) => a.at - b.at)
}

const isPiped = ({ kind }: BenchStep) =>
  kind === 'nails' || kind === 'inPlace' || kind === 'border' || kind === 'letter'

/** Icing that leaves the bag for a layer, g: in practice, or in what is made. */
const gramsOf = (use: Use, practice: boolean): number =>
  use.parts.reduce((sum, p) => sum + (practice ? p.practice : p.piped + p.spoiled), 0)

/** Strokes of a layer in one tap. */
const strokesOf = (use: Use, { wanted }: BenchStep): number =>
  (use.strokes * (flowersPiped(use) - use.practice)) / use.flowers / wanted
