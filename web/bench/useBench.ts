import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { StoredRun } from '#contract/bench'
import { type Tally, tally } from '#core/bench/tally'
import { type Timer, timers } from '#core/bench/timers'
import type { BenchEvent } from '#core/model/bench'
import { api } from '../data/api.ts'
import { newId } from '../parts/newId.ts'
import { benchLine } from './benchLine.ts'
import { benchStore } from './benchStore.ts'
import { BenchSync, type LineState } from './benchSync.ts'

/** A run on this device: what was frozen, what is done, and the way to note more. */
export interface Bench {
  run: StoredRun
  /** All that was noted, as far as this device knows. */
  events: readonly BenchEvent[]
  tally: Tally
  timers: Timer[]
  line: LineState
  /** Whether all that can be known of it is here. */
  complete: boolean
  note(stepId: string, kind: BenchEvent['kind'], more?: Partial<Pick<BenchEvent, 'amount' | 'note'>>): void
}

/** The run as it was frozen: from this device at once, from the server when it answers, and again when a new plan was taken in. */
export function useRun(runId: string): {
  run: StoredRun | undefined
  error: Error | undefined
  /** Told the version that the server has. */
  follow(version: number): void
} {
  const [run, setRun] = useState<StoredRun>()
  const [error, setError] = useState<Error>()
  const [wanted, follow] = useState(0)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another version wanted is another reading
  useEffect(() => {
    let current = true
    const store = benchStore(runId)
    const show = (next: StoredRun | null) => {
      if (current && next) setRun((now) => (now && now.version >= next.version ? now : next))
    }
    void (async () => {
      const here = await store.run().catch(() => null)
      show(here)
      try {
        const there = await api<StoredRun>(`/bench/${runId}`)
        show(there)
        if (there.version !== here?.version) await store.keepRun(there).catch(() => undefined)
      } catch (failed) {
        if (current && !here) setError(failed as Error)
      }
    })()
    return () => {
      current = false
    }
  }, [runId, wanted])
  return { run, error, follow }
}

/** @param by whose hands, as they call themselves on this device. */
export function useBench(run: StoredRun, by: string | null): Bench {
  const [sync] = useState(() => new BenchSync(benchStore(run.id), benchLine(run.id)))
  useEffect(() => {
    void sync.open()
    return () => sync.close()
  }, [sync])
  const events = useSyncExternalStore(sync.subscribe, () => sync.events)
  const line = useSyncExternalStore(sync.subscribe, () => sync.state)
  const complete = useSyncExternalStore(sync.subscribe, () => sync.isComplete)
  const { steps } = run.frozen
  const done = useMemo(() => tally(steps, events), [steps, events])
  const running = useMemo(() => timers(steps, done, events), [steps, done, events])
  const note = useCallback<Bench['note']>(
    (stepId, kind, more = {}) =>
      sync.note({
        ...{
          id: newId(),
          stepId,
          kind,
          at: new Date().toISOString(),
          by,
          amount: null,
          note: null,
        },
        ...more,
      }),
    [sync, by],
  )
  return { run, events, tally: done, timers: running, line, complete, note }
}
