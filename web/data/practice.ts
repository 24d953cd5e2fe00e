import useSWR, { mutate } from 'swr'
import type { PracticeMark, PracticeTry } from '#core/model/practiceTry'
import { api } from './api.ts'

const LIST = '/practice'
const pathOf = (id: string) => `${LIST}/${id}`

/** Every try at a drill, the oldest first. */
export const useTries = () => useSWR<PracticeMark[], Error>(LIST, api)

/** One try with what the hand did; nothing is asked for without an id. */
export const useTry = (id: string | null) =>
  useSWR<PracticeTry, Error>(id === null ? null : pathOf(id), api, { revalidateOnFocus: false })

/** Keeps a try; the same one twice is kept once. */
export async function keepTry(made: PracticeTry): Promise<void> {
  await api<PracticeMark>(pathOf(made.id), { method: 'PUT', body: made })
  await mutate(pathOf(made.id), made, { revalidate: false })
  await mutate(LIST)
}

export async function removeTry(id: string): Promise<void> {
  await api<void>(pathOf(id), { method: 'DELETE' })
  await mutate(LIST)
}
