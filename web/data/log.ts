import useSWR, { mutate } from 'swr'
import type { Photograph, StoredLogEntry } from '#contract/log'
import type { LogEntry } from '#core/model/logEntry'
import { ApiError, api } from './api.ts'

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

export const usePhotographs = (id: string) => useSWR<Photograph[], Error>(photographsPath(id), api)

export async function addPhotograph(id: string, image: Blob): Promise<void> {
  await api<Photograph>(photographsPath(id), { method: 'POST', file: image })
  await mutate(photographsPath(id))
}

export async function removePhotograph(entryId: string, id: string): Promise<void> {
  await api<void>(`/photographs/${id}`, { method: 'DELETE' })
  await mutate(photographsPath(entryId))
}
