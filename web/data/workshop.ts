import useSWR, { mutate } from 'swr'
import type { StoredWorkshop, TipCount } from '#contract/workshop'
import type { Flower } from '#core/model/flower'
import type { IcingKind } from '#core/model/icing'
import type { OwnedTip, Tip } from '#core/model/tip'
import type { BagStock, Settings, Workshop } from '#core/model/workshop'
import { api } from './api.ts'

const KEY = '/workshop'

/** The bakery's workshop: what it owns and knows. */
export function useWorkshop() {
  const { data, error, isLoading } = useSWR<StoredWorkshop, Error>(KEY, api)
  return {
    workshop: data?.workshop,
    calibrations: data?.calibrations,
    versions: data?.versions,
    error,
    isLoading,
  }
}

export const reloadWorkshop = () => mutate(KEY)

/** Shows a change at once, sends it, and takes it back with the server's word if it is refused. */
export async function change(
  optimistic: (w: Workshop) => Workshop,
  send: (s: StoredWorkshop) => Promise<unknown>,
) {
  await mutate<StoredWorkshop>(
    KEY,
    async (stored) => {
      if (stored) await send(stored)
      return api<StoredWorkshop>(KEY)
    },
    {
      optimisticData: (stored) => ({ ...stored!, workshop: optimistic(stored!.workshop) }),
      rollbackOnError: true,
      revalidate: false,
    },
  )
}

const replaced = <T extends { id: string }>(items: readonly T[], item: T): T[] =>
  items.map((i) => (i.id === item.id ? item : i))

export const saveSettings = (settings: Settings) =>
  change(
    (w) => ({ ...w, settings }),
    ({ versions }) => api('/settings', { method: 'PUT', body: settings, version: versions.settings }),
  )

export const countTip = (tip: OwnedTip, count: TipCount) =>
  change(
    (w) => ({ ...w, tips: replaced(w.tips, { ...tip, ...count }) }),
    ({ versions }) =>
      api(`/tips/${tip.id}`, { method: 'PUT', body: count, version: versions.tips[tip.id] ?? 0 }),
  )

export const addTip = (tip: Omit<Tip, 'id'> & TipCount) =>
  change(
    (w) => w,
    () => api('/tips', { method: 'POST', body: tip }),
  )

export const removeTip = (id: string) =>
  change(
    (w) => ({ ...w, tips: w.tips.filter((t) => t.id !== id) }),
    () => api(`/tips/${id}`, { method: 'DELETE' }),
  )

export const saveBag = (bag: BagStock) =>
  change(
    (w) => ({ ...w, bags: replaced(w.bags, bag) }),
    ({ versions }) =>
      api(`/bags/${bag.id}`, { method: 'PUT', body: bag, version: versions.bags[bag.id] ?? 0 }),
  )

export const saveFlower = (flower: Flower) =>
  change(
    (w) => ({ ...w, flowers: replaced(w.flowers, flower) }),
    ({ versions }) =>
      api(`/flowers/${flower.id}`, {
        method: 'PUT',
        body: flower,
        version: versions.flowers[flower.id] ?? 0,
      }),
  )

/** Copies a flower into the bakery's own and returns the copy. */
export async function copyFlower(id: string): Promise<Flower> {
  const copy = await api<Flower>(`/flowers/${id}/copy`, { method: 'POST' })
  await reloadWorkshop()
  return copy
}

/** Takes a flower file in and returns the flower as it is now the bakery's own. */
export async function importFlower(text: string): Promise<Flower> {
  const flower = await api<Flower>('/flowers/import', { method: 'POST', body: text })
  await reloadWorkshop()
  return flower
}

export const removeFlower = (id: string) =>
  change(
    (w) => w,
    () => api(`/flowers/${id}`, { method: 'DELETE' }),
  )

export const saveIcing = (icing: IcingKind) =>
  change(
    (w) => ({ ...w, icings: replaced(w.icings, icing) }),
    ({ versions }) =>
      api(`/icings/${icing.id}`, { method: 'PUT', body: icing, version: versions.icings[icing.id] ?? 0 }),
  )

/** Copies an icing kind into the bakery's own and returns the copy. */
export async function copyIcing(id: string): Promise<IcingKind> {
  const copy = await api<IcingKind>(`/icings/${id}/copy`, { method: 'POST' })
  await reloadWorkshop()
  return copy
}

export const removeIcing = (id: string) =>
  change(
    (w) => w,
    () => api(`/icings/${id}`, { method: 'DELETE' }),
  )
