import useSWR, { mutate } from 'swr'
import type { BackupPreview } from '#contract/backup'
import { api } from './api.ts'
import { everythingAgain } from './everything.ts'

const AGE = '/backup/age'
const DAY_MS = 86_400_000

/** After so many days without a backup a bakery with orders is reminded. */
export const REMIND_AFTER_DAYS = 7

/** How old the last backup is. */
export function useBackupAge():
  | { days: number | null; backedUpAt: string | null; orders: number }
  | undefined {
  const { data } = useSWR<{ backedUpAt: string | null; orders: number }, Error>(AGE, api)
  if (!data) return undefined
  const days =
    data.backedUpAt === null ? null : Math.floor((Date.now() - Date.parse(data.backedUpAt)) / DAY_MS)
  return { ...data, days }
}

export const reloadBackupAge = () => mutate(AGE)

const asFile = (file: Blob) => ({ method: 'POST' as const, file })

/** What restoring a file would change. */
export const previewBackup = (file: Blob) => api<BackupPreview>('/backup/preview', asFile(file))

/** Puts the file in the place of everything that is here; everything on screen is read again. */
export async function restoreBackup(file: Blob, state: string): Promise<void> {
  await api(`/backup/restore?state=${state}`, asFile(file))
  await everythingAgain()
}
