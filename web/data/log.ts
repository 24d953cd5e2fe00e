import useSWR, { mutate } from 'swr'
import type { LogHistory, Photograph, StoredLogEntry } from '#contract/log'
import type { LogEntry } from '#core/model/logEntry'
import { ApiError, api } from './api.ts'
import type { Transport } from './documentSync.ts'
import { reloadWorkshop } from './workshop.ts'

const entryPath = (id: string) => `/log/${id}`
const photographsPath = (id: string) => `/log/${id}/photographs`

/** An entry of the logbook; null where there is none yet. */
export function useLogEntry(id: string) {
  return useSWR<StoredLogEntry | null, Error>(entryPath(id), async (path: string) => {
    try {
      return await api<StoredLogEntry>(path)
    } catch (error) {
      if (error instanceof ApiError && error.problem.status === 404) return null
      throw error
    }
  })
}

/** @param version that was seen, 0 for an entry that is new. */
export async function writeLogEntry(entry: LogEntry, version: number): Promise<void> {
  const stored = await api<StoredLogEntry>(entryPath(entry.id), { method: 'PUT', body: entry, version })
  await mutate(entryPath(entry.id), stored, { revalidate: false })
}

const LIST = '/log'

/** The logbook, as far as it fits what is looked for. */
export const useLog = (search: string) =>
  useSWR<StoredLogEntry[], Error>(
    search.trim() ? `${LIST}?search=${encodeURIComponent(search.trim())}` : LIST,
    api,
    { keepPreviousData: true },
  )

/** Every list of the logbook is read again, and what is learnt from it. */
const listsAgain = () =>
  Promise.all([
    mutate((key) => typeof key === 'string' && (key === LIST || key.startsWith(`${LIST}?`))),
    reloadWorkshop(),
  ])

/** How an entry is stored. */
export function logTransport(id: string): Transport<LogEntry> {
  return {
    save: async (entry, version) => {
      const stored = await api<StoredLogEntry>(entryPath(id), { method: 'PUT', body: entry, version })
      await listsAgain()
      return stored
    },
    read: async () => {
      const { entry, version } = await api<StoredLogEntry>(entryPath(id))
      return { document: entry, version }
    },
  }
}

/** Begins an entry by hand. */
export async function beginEntry(orderId: string): Promise<LogEntry> {
  const { entry } = await api<StoredLogEntry>(`/orders/${orderId}/log`, { method: 'POST' })
  await listsAgain()
  return entry
}

export async function removeEntry(id: string): Promise<void> {
  await api<void>(entryPath(id), { method: 'DELETE' })
  await listsAgain()
}

/** Writes an entry that was deleted as it was. */
export async function bringBack(entry: LogEntry): Promise<void> {
  await api<StoredLogEntry>(entryPath(entry.id), { method: 'PUT', body: entry, version: 0 })
  await listsAgain()
}

export async function takeInLog(text: string): Promise<{ added: number; known: number }> {
  const taken = await api<{ added: number; known: number }>(`${LIST}/import`, {
    method: 'POST',
    body: text,
  })
  await listsAgain()
  return taken
}

export const useLogHistory = (id: string) => useSWR<LogHistory, Error>(`${entryPath(id)}/history`, api)

export const usePhotographs = (id: string) => useSWR<Photograph[], Error>(photographsPath(id), api)

export async function addPhotograph(id: string, image: Blob): Promise<void> {
  await api<Photograph>(photographsPath(id), { method: 'POST', file: image })
  await mutate(photographsPath(id))
}

export async function removePhotograph(entryId: string, id: string): Promise<void> {
  await api<void>(`/photographs/${id}`, { method: 'DELETE' })
  await mutate(photographsPath(entryId))
}
