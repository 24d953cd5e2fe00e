import type { BenchEvent, BenchStep, StepWait } from '../model/bench.ts'
import { inOrder, type Tally } from './tally.ts'

/** Something that is waited for, by the clock on the wall: a tablet that slept has not stopped it. */
export interface Timer {
  stepId: string
  kind: StepWait['kind']
  what: string
  minutes: number
  /** ms since 1970. */
  startedAt: number
  endsAt: number
  /** When somebody said that they have heard it; null while they have not. */
  rung: number | null
}

const MINUTE_MS = 60_000

/**
 * Timers of all steps that are done and after which something is waited for, those that end next first. Each begins when its step was
 * done; somebody may have set it to other minutes since. Rests of hands run beside them.
 */
export function timers(steps: readonly BenchStep[], tally: Tally, events: Iterable<BenchEvent>): Timer[] {
  const set = new Map<string, BenchEvent>()
  const resting = new Map<string, BenchEvent>()
  const rung = new Map<string, number>()
  for (const e of inOrder(events)) {
    if (e.kind === 'timer') set.set(e.stepId, e)
    if (e.kind === 'rest') resting.set(e.stepId, e)
    if (e.kind === 'rung') rung.set(e.stepId, Date.parse(e.at))
  }
  const found = steps.flatMap((s): Timer[] => {
    const doneAt = tally.of.get(s.id)?.doneAt ?? null
    if (!s.wait || doneAt === null) return []
    const own = set.get(s.id)
    const minutes = own?.amount ?? s.wait.minutes
    // one that is set again runs from then; one that was set for an earlier time of doing it says nothing about this one
    const startedAt = own ? Math.max(doneAt, Date.parse(own.at)) : doneAt
    const heard = rung.get(s.id) ?? null
    return [
      {
        ...{ stepId: s.id, kind: s.wait.kind, what: s.what, minutes, startedAt },
        endsAt: startedAt + minutes * MINUTE_MS,
        rung: heard !== null && heard >= startedAt ? heard : null,
      },
    ]
  })
  const rests = [...resting.values()].map((e): Timer => {
    const startedAt = Date.parse(e.at)
    const heard = rung.get(e.stepId) ?? null
    return {
      ...{ stepId: e.stepId, kind: 'rest', what: e.by ?? 'The hand', minutes: e.amount ?? 0, startedAt },
      endsAt: startedAt + (e.amount ?? 0) * MINUTE_MS,
      rung: heard !== null && heard >= startedAt ? heard : null,
    }
  })
  return [...found, ...rests].sort((a, b) => a.endsAt - b.endsAt)
}
