import type { Heard } from '#contract/bench'
import { api } from '../data/api.ts'
import type { BenchLine } from './benchSync.ts'

/** A run over the API: requests, and one line that stays open for news. */
export function benchLine(runId: string): BenchLine {
  return {
    note: (events) => api(`/bench/${runId}/events`, { method: 'POST', body: { events } }),
    heard: (after) => api<Heard>(`/bench/${runId}/events?after=${after}`),
    listen(onNews) {
      // opens itself again whenever it was cut
      const line = new EventSource(`/api/bench/${runId}/stream`)
      line.addEventListener('message', onNews)
      line.addEventListener('open', onNews)
      window.addEventListener('online', onNews)
      return () => {
        line.close()
        window.removeEventListener('online', onNews)
      }
    },
  }
}
