import { createStore, entries, get, set, setMany, type UseStore } from 'idb-keyval'
import type { StoredRun } from '#contract/bench'
import type { BenchEvent } from '#core/model/bench'

/** An event as it lies on this device: whether the server has it. */
interface Kept {
  event: BenchEvent
  sent: boolean
}

/** What this device keeps of a run, so that it goes on without a network and after a dead battery. */
export interface BenchStore {
  run(): Promise<StoredRun | null>
  keepRun(run: StoredRun): Promise<void>
  /** Everything noted here or heard from others, and how far the server was heard. */
  events(): Promise<{ kept: Kept[]; last: number }>
  keep(events: readonly BenchEvent[], sent: boolean): Promise<void>
  keepLast(last: number): Promise<void>
}

const RUN = 'run'
const LAST = 'last'
const EVENT = 'event '

/** One database a run: what is kept of another does not slow this one down. */
export function benchStore(runId: string): BenchStore {
  const store: UseStore = createStore(`kanten-bench-${runId}`, 'kept')
  return {
    run: async () => (await get<StoredRun>(RUN, store)) ?? null,
    keepRun: (run) => set(RUN, run, store),
    async events() {
      const all = await entries<string, unknown>(store)
      return {
        kept: all.flatMap(([key, value]) => (key.startsWith(EVENT) ? [value as Kept] : [])),
        last: (all.find(([key]) => key === LAST)?.[1] as number | undefined) ?? 0,
      }
    },
    keep: (events, sent) =>
      setMany(
        events.map((event) => [`${EVENT}${event.id}`, { event, sent }]),
        store,
      ),
    keepLast: (last) => set(LAST, last, store),
  }
}
