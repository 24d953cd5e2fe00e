import useSWR, { mutate } from 'swr'
import type { RunSummary, StoredRun } from '#contract/bench'
import { api } from './api.ts'

const RUNS = '/bench'

/** Orders that are being worked. */
export const useRuns = () => useSWR<RunSummary[], Error>(RUNS, api)

/** The run of an order with what was frozen; null while work has not begun. */
export function useRunOf(orderId: string) {
  const runs = useRuns()
  const summary = runs.data?.find((r) => r.orderId === orderId)
  const { data, error } = useSWR<StoredRun, Error>(
    summary ? [`/bench/${summary.id}`, summary.version] : null,
    ([path]: [string, number]) => api<StoredRun>(path),
    { keepPreviousData: true },
  )
  return {
    run: runs.data && !summary ? null : data,
    error: runs.error ?? error,
  }
}

const andLook = async <T>(work: Promise<T>): Promise<T> => {
  const done = await work
  await mutate(RUNS)
  return done
}

export const beginRun = (orderId: string) =>
  andLook(api<RunSummary>(`/orders/${orderId}/bench`, { method: 'POST' }))

/** @param version of the run that was seen. */
export const renewRun = (id: string, version: number) =>
  andLook(api<{ version: number }>(`/bench/${id}/plan`, { method: 'PUT', version }))

export const removeRun = (id: string) => andLook(api<void>(`/bench/${id}`, { method: 'DELETE' }))
