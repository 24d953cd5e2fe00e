import useSWR, { mutate } from 'swr'
import type { MixRecord, NewMix } from '#contract/dyes'
import type { Dye } from '#core/model/dye'
import { api } from './api.ts'
import { change, reloadWorkshop } from './workshop.ts'

/** Saves what the bakery says of a dye. */
export const saveDye = (dye: Dye) =>
  change(
    (w) => ({ ...w, dyes: w.dyes.map((d) => (d.id === dye.id ? dye : d)) }),
    ({ versions }) =>
      api(`/dyes/${dye.id}`, { method: 'PUT', body: dye, version: versions.dyes[dye.id] ?? 0 }),
  )

export async function addDye(dye: Omit<Dye, 'id' | 'source' | 'learnt'>): Promise<Dye> {
  const made = await api<Dye>('/dyes', { method: 'POST', body: dye })
  await reloadWorkshop()
  return made
}

export const removeDye = (id: string) =>
  change(
    (w) => ({ ...w, dyes: w.dyes.filter((d) => d.id !== id) }),
    () => api(`/dyes/${id}`, { method: 'DELETE' }),
  )

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
