import useSWR, { mutate } from 'swr'
import type { MixRecord, NewMix } from '#contract/dyes'
import type { Dye } from '#core/model/dye'
import { api } from './api.ts'
import { reloadWorkshop } from './workshop.ts'
import { closeDocument, editDocument } from './workshopEdits.ts'

/** Changes what the bakery says of a dye. */
export const editDye = (id: string, change: (dye: Dye) => Dye) => editDocument('dye', id, change)

export async function addDye(dye: Omit<Dye, 'id' | 'source' | 'learnt'>): Promise<Dye> {
  const made = await api<Dye>('/dyes', { method: 'POST', body: dye })
  await reloadWorkshop()
  return made
}

export async function removeDye(id: string): Promise<void> {
  await api(`/dyes/${id}`, { method: 'DELETE' })
  closeDocument('dye', id)
  await reloadWorkshop()
}

const mixesKey = (orderId: string) => `/orders/${orderId}/mixes`

/** How the bowls of an order came out. */
export function useMixes(orderId: string): MixRecord[] {
  return useSWR<MixRecord[], Error>(mixesKey(orderId), api).data ?? []
}

/** Keeps how a bowl came out; the dyes in it have learnt from it when this returns. */
export async function keepMix(mix: NewMix): Promise<MixRecord> {
  const kept = await api<MixRecord>('/mixes', { method: 'POST', body: mix })
  if (mix.orderId) await mutate(mixesKey(mix.orderId))
  await reloadWorkshop()
  return kept
}

export async function forgetMix(mix: MixRecord): Promise<void> {
  await api(`/mixes/${mix.id}`, { method: 'DELETE' })
  if (mix.orderId) await mutate(mixesKey(mix.orderId))
  await reloadWorkshop()
}
