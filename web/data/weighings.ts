import useSWR, { mutate } from 'swr'
import type { NewWeighing } from '#contract/weighings'
import type { Weighing } from '#core/logbook/weighing'
import { api } from './api.ts'
import { reloadWorkshop } from './workshop.ts'

const keyOf = (flowerId: string) => `/flowers/${flowerId}/weighings`

/** Every weighing of a flower, the newest first. */
export function useWeighings(flowerId: string) {
  const { data, error } = useSWR<Weighing[], Error>(keyOf(flowerId), api)
  return { weighings: data, error }
}

/** Keeps a weighing; the flower's figures follow everywhere. */
export async function addWeighing(flowerId: string, weighing: NewWeighing): Promise<void> {
  await api(keyOf(flowerId), { method: 'POST', body: weighing })
  await Promise.all([mutate(keyOf(flowerId)), reloadWorkshop()])
}

export async function removeWeighing(flowerId: string, id: string): Promise<void> {
  await api(`${keyOf(flowerId)}/${id}`, { method: 'DELETE' })
  await Promise.all([mutate(keyOf(flowerId)), reloadWorkshop()])
}
