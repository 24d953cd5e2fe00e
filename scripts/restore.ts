import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import type { BackupFile } from '#core/files/backupFile'
import { previewBakery, restoreBakery, saveBakery } from '../server/backup/bakery.ts'
import { pack, unpack } from '../server/backup/packed.ts'
import { StartError } from '../server/start/words.ts'
import { withBakery } from './bakeryDatabase.ts'

/**
 * `npm run restore -- FILE [--yes]`: says what a backup would change; with `--yes` puts it in the place of everything that
 * is there, all or nothing, after saving what is there beside the database.
 */
const [name, yes] = process.argv.slice(2)

await withBakery(async (orm, stateFolder) => {
  if (!name) throw new StartError('Usage: npm run restore -- FILE [--yes]')
  const path = resolve(name)
  if (!existsSync(path)) throw new StartError(`There is no file ${path}.`)
  const file = unpack(readFileSync(path))
  const kept = yes === '--yes' ? keepWhatIsHere(stateFolder, await saveBakery(orm, new Date())) : null
  const { state, tallies, lost, changed, bakery, savedAt } = await previewBakery(orm, file)
  console.log(`${bakery}, saved ${savedAt}`)
  console.table(tallies)
  if (lost.length > 0) console.log(`Would be lost: ${lost.join(', ')}`)
  if (changed.length > 0) console.log(`Would go back: ${changed.join(', ')}`)
  if (kept === null) {
    console.log('Nothing has been changed. Add --yes to restore it.')
    return
  }
  // whatever somebody saves between looking and restoring ends it
  await restoreBakery(orm, file, state)
  console.log(`Restored. What was there before is in ${kept}`)
})

function keepWhatIsHere(stateFolder: string, bakery: BackupFile): string {
  const folder = join(stateFolder, 'before-restore')
  mkdirSync(folder, { recursive: true })
  const kept = join(folder, `${bakery.savedAt.replaceAll(':', '')}.kanten-backup.json.gz`)
  writeFileSync(kept, pack(bakery))
  return kept
}
