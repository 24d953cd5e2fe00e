import { useMemo } from 'react'
import useSWR from 'swr'
import type { ComingPlan } from '#contract/coming'
import { localMoment } from '../parts/time.ts'
import { api } from './api.ts'
import { useWorkshop } from './workshop.ts'

/** How long what can still be begun in time is taken to be as it was, ms. */
const AGAIN_MS = 60_000

type Start = ComingPlan['starts'][number]

/** When each order has to be begun, and whether that is of what was asked or of what was asked before it. */
interface Starts {
  of: Map<string, Start>
  isCurrent: boolean
}

/**
 * When each order of the coming days has to be begun among all others.
 * @param state what it depends on besides the workshop: asked again whenever that has changed, and as time passes.
 */
export function useStarts(state: string | null): Starts {
  const { stored } = useWorkshop()
  const versions = stored?.versions
  const asked = useMemo(
    () => (state === null || !versions ? null : `${state} ${JSON.stringify(versions)}`),
    [state, versions],
  )
  const { data } = useSWR<{ starts: Start[]; asked: string }, Error>(
    asked === null ? null : ['starts', asked],
    async () => {
      const { starts } = await api<ComingPlan>(`/coming/plan?now=${localMoment(new Date()).slice(0, 16)}`)
      return { starts, asked: asked! }
    },
    { keepPreviousData: true, refreshInterval: AGAIN_MS },
  )
  return useMemo(
    () => ({
      of: new Map(data?.starts.map((start) => [start.orderId, start])),
      isCurrent: data?.asked === asked,
    }),
    [data, asked],
  )
}
