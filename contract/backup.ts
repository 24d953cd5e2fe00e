import { z } from 'zod'
import { endpoint } from './endpoint.ts'

/** How many of a kind are here and in the file, and what taking the file in would do to them. */
const tallySchema = z.object({
  here: z.number().int(),
  inFile: z.number().int(),
  /** In the file and not here. */
  added: z.number().int(),
  /** In both, and different. */
  changed: z.number().int(),
  /** Here and not in the file: gone after restoring. */
  lost: z.number().int(),
})
export type Tally = z.infer<typeof tallySchema>

export const backupKinds = [
  'orders',
  'flowers',
  'icings',
  'tips',
  'bags',
  'dyes',
  'weighings',
  'looks',
  'runs',
  'noted',
  'logged',
  'photographs',
  'tries',
] as const
export type BackupKind = (typeof backupKinds)[number]

export const backupPreviewSchema = z.object({
  savedAt: z.string(),
  bakery: z.string(),
  tallies: z.record(z.enum(backupKinds), tallySchema),
  settingsChange: z.boolean(),
  /** Names of what would be gone, and of what would go back to an earlier state; the first of them. */
  lost: z.array(z.string()),
  changed: z.array(z.string()),
  /** Names the state of the bakery that this was compared with: restoring asks for it. */
  state: z.string(),
})
export type BackupPreview = z.infer<typeof backupPreviewSchema>

export const backupEndpoints = {
  age: endpoint({
    method: 'get',
    path: '/backup/age',
    summary: 'When the bakery was last backed up, and whether there is anything to back up',
    answer: z.object({ backedUpAt: z.string().nullable(), orders: z.number().int() }),
  }),
  save: endpoint({
    method: 'get',
    path: '/backup',
    summary: 'The whole bakery as a backup file (JSON, compressed with gzip)',
  }),
  preview: endpoint({
    method: 'post',
    path: '/backup/preview',
    summary: 'What restoring a backup would change; takes the file as application/octet-stream',
    answer: backupPreviewSchema,
  }),
  restore: endpoint({
    method: 'post',
    path: '/backup/restore',
    summary: 'Put a backup in the place of everything that is here, all or nothing',
    query: z.object({ state: z.string().regex(/^[0-9a-f]{32}$/, 'Send the state that the preview gave.') }),
  }),
}
