import useSWR from 'swr'
import type { ComingPlan } from '#contract/coming'
import { localMoment } from '../parts/time.ts'
import { api } from './api.ts'

/** How long what can still be begun in time is taken to be as it was, ms. */
const AGAIN_MS = 60_000

/**
 * When each order of the coming days has to be begun among all others.
 * @param state what it depends on: asked again whenever that has changed, and as time passes.
 */
export function useStarts(state: string | null): Map<string, ComingPlan['starts'][number]> {
  const { data } = useSWR<ComingPlan, Error>(
    state === null ? null : ['starts', state],
    () => api<ComingPlan>(`/coming/plan?now=${localMoment(new Date()).slice(0, 16)}`),
    { keepPreviousData: true, refreshInterval: AGAIN_MS },
  )
  return new Map(data?.starts.map((start) => [start.orderId, start]))
}
