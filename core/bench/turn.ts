import type { BenchStep } from '../model/bench.ts'
import type { Tally } from './tally.ts'
import type { Timer } from './timers.ts'

/** Why a step cannot be begun: another comes first, or something is still waited for. */
export type Held = { kind: 'step'; stepId: string } | { kind: 'timer'; timer: Timer } | null

/** What holds a step up at a moment (ms since 1970); null when it can be begun. */
export function heldBy(step: BenchStep, tally: Tally, timers: readonly Timer[], now: number): Held {
  for (const { id } of step.after) if (tally.of.get(id)?.done === false) return { kind: 'step', stepId: id }
  const waitedFor = new Set(step.after.flatMap(({ id, waits }) => (waits ? [id] : [])))
  const timer = timers.find((t) => waitedFor.has(t.stepId) && t.endsAt > now && t.rung === null)
  if (timer) return { kind: 'timer', timer }
  return null
}

/**
 * The step that somebody goes on with: their own that is begun, else the first that is free and nobody has taken; null when there is none.
 * @param by their name; null where nobody says who they are.
 */
export function nextFor(
  steps: readonly BenchStep[],
  tally: Tally,
  timers: readonly Timer[],
  now: number,
  by: string | null,
): BenchStep | null {
  const open = steps.filter((s) => !tally.of.get(s.id)!.done)
  const free = (s: BenchStep) => heldBy(s, tally, timers, now) === null
  const mine = open.find((s) => by !== null && tally.of.get(s.id)!.by === by && free(s))
  return mine ?? open.find((s) => tally.of.get(s.id)!.by === null && free(s)) ?? null
}

/**
 * What somebody takes when they take a step: it alone, or with a bag all bags that come right after it and are still free, so that one pair of
 * hands fills them while the other pipes.
 */
export function takenWith(step: BenchStep, steps: readonly BenchStep[], tally: Tally): BenchStep[] {
  if (step.kind !== 'fill') return [step]
  const isFree = (s: BenchStep) => !tally.of.get(s.id)!.done && tally.of.get(s.id)!.by === null
  const after = steps.slice(steps.indexOf(step) + 1)
  const end = after.findIndex((s) => s.kind !== 'fill' || !isFree(s))
  return [step, ...after.slice(0, end < 0 ? after.length : end)]
}

/** Steps done of all, and the minutes of hands that they stand for, as a share of 1. */
export function progress(
  steps: readonly BenchStep[],
  tally: Tally,
): { done: number; of: number; share: number } {
  let [all, made] = [0, 0]
  for (const s of steps) {
    const { done, count } = tally.of.get(s.id)!
    all += s.minutes
    made += done ? s.minutes : (s.minutes * Math.min(count, s.wanted)) / s.wanted
  }
  return {
    done: steps.filter((s) => tally.of.get(s.id)!.done).length,
    of: steps.length,
    share: all === 0 ? 0 : made / all,
  }
}
