import { useEffect, useMemo, useSyncExternalStore } from 'react'
import useSWR, { mutate } from 'swr'
import type { StoredWorkshop, TipCount } from '#contract/workshop'
import type { Flower } from '#core/model/flower'
import type { IcingKind } from '#core/model/icing'
import type { LogEntry } from '#core/model/logEntry'
import type { OwnedTip, Tip } from '#core/model/tip'
import type { BagStock, Settings } from '#core/model/workshop'
import { api } from './api.ts'
import {
  closeDocument,
  editDocument,
  editsGeneration,
  fetchWorkshop,
  flushEdits,
  subscribeEdits,
  takeIn,
  WORKSHOP_KEY,
  withEdits,
} from './workshopEdits.ts'

/** The bakery's workshop: what it owns and knows, with what has been changed here a moment ago. */
export function useWorkshop() {
  const { data, error, isLoading } = useSWR<StoredWorkshop, Error>(WORKSHOP_KEY, fetchWorkshop)
  const generation = useSyncExternalStore(subscribeEdits, editsGeneration)
  useEffect(() => {
    if (data) takeIn(data)
  }, [data])
  // biome-ignore lint/correctness/useExhaustiveDependencies: the generation stands for the edits
  const stored = useMemo(() => data && withEdits(data), [data, generation])
  return {
    stored,
    workshop: stored?.workshop,
    calibrations: stored?.calibrations,
    unreadable: stored?.unreadable ?? [],
    error,
    isLoading,
  }
}

export const reloadWorkshop = () => mutate(WORKSHOP_KEY)

async function andReload<T>(work: Promise<T>): Promise<T> {
  const done = await work
  await reloadWorkshop()
  return done
}

export const editSettings = (change: (settings: Settings) => Settings) =>
  editDocument('settings', 'bakery', change)

/** Sets a learnt figure back: what is recorded by now, and entries that are dated later, do not count for it any more. */
export async function setBackLearnt(key: string, entries: readonly LogEntry[]): Promise<void> {
  const now = new Date()
  const besides = entries.filter((e) => new Date(e.at) > now).map((e) => e.id)
  editSettings((settings) => ({
    ...settings,
    setBack: { ...settings.setBack, [key]: { until: now.toISOString(), besides } },
  }))
  await flushEdits()
  await reloadWorkshop()
}

export const editTip = (id: string, change: (tip: OwnedTip) => OwnedTip) => editDocument('tip', id, change)

export const editBag = (id: string, change: (bag: BagStock) => BagStock) => editDocument('bag', id, change)

export const editIcing = (id: string, change: (icing: IcingKind) => IcingKind) =>
  editDocument('icing', id, change)

export const addTip = (tip: Omit<Tip, 'id'> & TipCount) =>
  andReload(api<OwnedTip>('/tips', { method: 'POST', body: tip }))

/** What is still on its way is sent first, so that a copy or a deletion is of what is on screen. */
async function settled<T>(call: () => Promise<T>): Promise<T> {
  await flushEdits()
  return andReload(call())
}

const remove = (kind: 'tip' | 'flower' | 'icing', path: string, id: string) =>
  settled(async () => {
    await api(`${path}/${id}`, { method: 'DELETE' })
    closeDocument(kind, id)
  })

export const removeTip = (id: string) => remove('tip', '/tips', id)
export const removeFlower = (id: string) => remove('flower', '/flowers', id)
export const removeIcing = (id: string) => remove('icing', '/icings', id)

/** Copies a flower into the bakery's own and returns the copy. */
export const copyFlower = (id: string) =>
  settled(() => api<Flower>(`/flowers/${id}/copy`, { method: 'POST' }))

/** Begins a flower of our own from nothing. */
export const createFlower = (form: Flower['form']) =>
  settled(() => api<Flower>('/flowers', { method: 'POST', body: JSON.stringify({ form }) }))

/** Takes a flower file in and returns the flower as it is now the bakery's own. */
export const importFlower = (text: string) =>
  andReload(api<Flower>('/flowers/import', { method: 'POST', body: text }))

/** Copies an icing kind into the bakery's own and returns the copy. */
export const copyIcing = (id: string) =>
  settled(() => api<IcingKind>(`/icings/${id}/copy`, { method: 'POST' }))
