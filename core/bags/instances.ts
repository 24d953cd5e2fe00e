import { seeded } from '../random.ts'
import type { BagProblem, Job } from './problem.ts'

/** A small order made from a seed, for holding the search against its proofs. */
export function instance(seed: number, jobCount: number): BagProblem {
  const random = seeded(seed * 31 + 5)
  const pick = (n: number) => Math.floor(random() * n)
  const loads = Array.from({ length: 3 + pick(2) }, () => ({ fixed: random() < 0.15 }))
  const tips = Array.from({ length: 3 + pick(3) }, () => ({
    copies: random() < 0.75 ? 1 : 2,
    fit: random() < 0.8 ? ('standard' as const) : ('large' as const),
    once: false,
  }))
  const pairs: { load: number; tip: number }[] = []
  const pairOf = (load: number, tip: number): number => {
    const known = pairs.findIndex((p) => p.load === load && p.tip === tip)
    return known >= 0 ? known : pairs.push({ load, tip }) - 1
  }
  const jobs = Array.from({ length: jobCount }, (_, j): Job => {
    const block = random() < 0.3
    const wished = Array.from({ length: block ? 2 + pick(2) : 1 }, () => ({
      load: pick(loads.length),
      tip: pick(tips.length),
    }))
    // one flower on a nail does not want one tip on two colours at once
    const own = wished
      .filter((w, i) => wished.findIndex((other) => other.tip === w.tip) === i)
      .map((w) => pairOf(w.load, w.tip))
    return {
      pairs: own,
      repeats: block ? 4 + pick(9) : 1,
      after: j > 0 && random() < 0.4 ? [pick(j)] : [],
    }
  })
  const grams = pairs.map(() => 20 + pick(180))
  return {
    pairs,
    loads,
    tips,
    jobs,
    couplers: { standard: 3, large: 1 },
    mostBags: 14,
    changeMinutes: 0.7,
    washMinutes: 1,
    alone: [],
    apart: [],
    bagMinutes: (of, coupler) =>
      3 +
      18 * 0.08 +
      (coupler ? 0.5 + 4 * 0.08 : 0) +
      1.2 * Math.max(0, Math.ceil(of.reduce((sum, p) => sum + grams[p]!, 0) / 200) - 1),
  }
}
