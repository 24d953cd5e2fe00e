import type { Problem } from './problem.ts'

/** What stands in a store, from when to when. */
export interface Kept {
  keep: number
  from: number
  to: number
}

/** When each thing that is kept stands in its store. */
export function kept({ keeps, tasks }: Problem, start: readonly number[]): Kept[] {
  return keeps.map(({ from, until }, keep) => {
    let begun = Number.POSITIVE_INFINITY
    for (const i of from) begun = Math.min(begun, start[i]! + tasks[i]!.minutes)
    const to = 'at' in until ? until.at : start[until.task]!
    return { keep, from: begun, to: Math.max(begun, to) }
  })
}

/** The fullest moment of a store. */
export interface Peak {
  units: number
  at: number
}

/** Place-minutes over what a store takes, and its fullest moment. */
export function fullness(
  problem: Pick<Problem, 'keeps' | 'stores'>,
  all: readonly Kept[],
  store: number,
): { over: number; peak: Peak } {
  const steps: { at: number; by: number }[] = []
  for (const { keep, from, to } of all) {
    const { store: own, units } = problem.keeps[keep]!
    if (own === store && to > from) steps.push({ at: from, by: units }, { at: to, by: -units })
  }
  // what leaves at a moment makes room for what comes then
  steps.sort((a, b) => a.at - b.at || a.by - b.by)
  const room = problem.stores[store]!
  let over = 0
  let now = 0
  const peak = { units: 0, at: steps[0]?.at ?? 0 }
  steps.forEach(({ at, by }, k) => {
    now += by
    if (now > peak.units) Object.assign(peak, { units: now, at })
    const until = steps[k + 1]?.at ?? at
    over += Math.max(0, now - room) * (until - at)
  })
  return { over, peak }
}
