import { IsolationLevel } from '@mikro-orm/core'
import type { MikroORM } from '@mikro-orm/postgresql'
import type { BackupPreview } from '#contract/backup'
import { starterSettings } from '#core/catalogue/starter'
import type { BackupFile } from '#core/files/backupFile'
import { SETTINGS_ID } from '../workshop/load.ts'
import { collectBackup } from './collect.ts'
import { previewBackup } from './preview.ts'
import { restoreBackup } from './restore.ts'

/** One moment of the whole bakery, however long the reading takes. */
const oneMoment = { isolationLevel: IsolationLevel.REPEATABLE_READ }

/** The whole bakery as a file; notes when it was saved, for the reminder. */
export async function saveBakery(orm: MikroORM, now: Date): Promise<BackupFile> {
  const file = await orm.em.fork().transactional((em) => collectBackup(em, now), oneMoment)
  await orm.em.fork().execute(
    // version 0: settings that nobody has saved yet
    `insert into settings (id, "values", version, backed_up_at) values (?, ?::jsonb, 0, ?)
     on conflict (id) do update set backed_up_at = excluded.backed_up_at`,
    [SETTINGS_ID, JSON.stringify(starterSettings), now],
  )
  return file
}

export function previewBakery(orm: MikroORM, file: BackupFile): Promise<BackupPreview> {
  return orm.em.fork().transactional((em) => previewBackup(em, file), oneMoment)
}

/** All of the file or nothing of it. */
export async function restoreBakery(orm: MikroORM, file: BackupFile, state: string | null): Promise<void> {
  await orm.em.fork().transactional((em) => restoreBackup(em, file, state))
}
