import type { Activity } from '../activity.ts'
import { idOf, thingOf, type Worked } from './context.ts'

/**
 * Keeps what is piped from a bag whose tips are changed, or with a tip that is washed for another bag, in the order of the plan:
 * only so are there as many changes and washes as the plan says.
 */
export function inTurn({ plan, use, workshop }: Worked, activities: readonly Activity[]): void {
  const byId = new Map(activities.map((a) => [a.id, a]))
  const owned = new Map(workshop.tips.map((t) => [t.id, t.owned]))
  const changed = new Set(plan.bags.filter((b) => b.tipIds.length > 1).map((b) => b.number))
  const bagsOfTip = new Map<string, number>()
  for (const bag of plan.bags) for (const tip of bag.tipIds) bagsOfTip.set(tip, (bagsOfTip.get(tip) ?? 0) + 1)
  const washed = (tip: string) => bagsOfTip.get(tip)! > Math.max(1, owned.get(tip) ?? 1)
  /** The last activity that had a bag or a tip. */
  const lastWith = new Map<string, string>()
  for (const step of plan.sequence) {
    if (step.kind !== 'pipe') continue
    const uses = step.useIds.map(use)
    const id = idOf.pipe(step.pieceIds[0]!, thingOf(uses[0]!), step.colourId)
    const things = [
      ...step.bagNumbers.filter((b) => changed.has(b)).map((b) => `bag ${b}`),
      ...uses.flatMap((u) => (u.tipId !== null && washed(u.tipId) ? [`tip ${u.tipId}`] : [])),
    ]
    for (const thing of things) {
      const before = lastWith.get(thing)
      lastWith.set(thing, id)
      if (before === undefined || before === id || leadsTo(byId, before, id)) continue
      byId.get(id)!.after.push({ id: before, lag: 0, wait: null })
    }
  }
}

/** Whether one activity already waits for another, so that the other cannot wait for it. */
function leadsTo(byId: ReadonlyMap<string, Activity>, waiting: string, forId: string): boolean {
  const seen = new Set<string>()
  const open = [waiting]
  while (open.length > 0) {
    const id = open.pop()!
    if (id === forId) return true
    if (seen.has(id)) continue
    seen.add(id)
    for (const a of byId.get(id)?.after ?? []) open.push(a.id)
  }
  return false
}
