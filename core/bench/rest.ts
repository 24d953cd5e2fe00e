import type { BenchEvent, BenchStep, Frozen } from '../model/bench.ts'
import { inOrder } from './tally.ts'

const MINUTE_MS = 60_000
const PIPED: ReadonlySet<BenchStep['kind']> = new Set(['nails', 'inPlace', 'border', 'letter', 'practise'])

/**
 * Minutes that a pair of hands has piped stiff icing without a rest, up to what it noted last. A pause as long as the bakery's rest is
 * one, whether anybody called it so or not; other work in between is none from squeezing, and no rest either.
 */
export function stiffMinutes(
  { steps, plan, workshop }: Frozen,
  events: Iterable<BenchEvent>,
  by: string | null,
): number {
  const { restMinutes } = workshop.settings.day
  const byId = new Map(steps.map((s) => [s.id, s]))
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  const isStiff = (s: BenchStep | undefined) =>
    s !== undefined && PIPED.has(s.kind) && s.useIds.some((id) => uses.get(id)?.stiffness === 'stiff')
  let minutes = 0
  let last: number | null = null
  for (const e of inOrder(events)) {
    if (e.by !== by) continue
    const at = Date.parse(e.at)
    const gap = last === null ? 0 : (at - last) / MINUTE_MS
    last = at
    if (e.kind === 'rest' || gap >= restMinutes) minutes = 0
    else if (isStiff(byId.get(e.stepId))) minutes += gap
  }
  return minutes
}

/** Whether a hand is due a rest. */
export const restDue = (frozen: Frozen, events: Iterable<BenchEvent>, by: string | null): boolean =>
  stiffMinutes(frozen, events, by) >= frozen.workshop.settings.day.restAfterMinutes
