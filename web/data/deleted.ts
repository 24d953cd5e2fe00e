import useSWR, { mutate } from 'swr'
import type { DeletedKind, DeletedThing } from '#contract/deleted'
import { api } from './api.ts'
import { reloadOrders } from './orders.ts'
import { reloadWorkshop } from './workshop.ts'

const KEY = '/deleted'

/** Everything deleted that can be brought back, the latest first. */
export function useDeleted() {
  const { data, error } = useSWR<DeletedThing[], Error>(KEY, api, { revalidateOnMount: true })
  return { things: data, error }
}

export const reloadDeleted = () => mutate(KEY)

async function everywhere(): Promise<void> {
  await Promise.all([reloadDeleted(), reloadOrders(), reloadWorkshop()])
}

/** Brings something back, and what it is made with. */
export async function restoreDeleted(kind: DeletedKind, id: string): Promise<void> {
  await api(`${KEY}/${kind}/${id}/restore`, { method: 'POST' })
  await everywhere()
}

/** Deletes it for good. */
export async function purgeDeleted(kind: DeletedKind, id: string): Promise<void> {
  await api(`${KEY}/${kind}/${id}`, { method: 'DELETE' })
  await reloadDeleted()
}
