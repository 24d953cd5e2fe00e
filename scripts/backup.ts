import { mkdirSync, renameSync, writeFileSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { saveBakery } from '../server/backup/bakery.ts'
import { pack } from '../server/backup/packed.ts'
import { withBakery } from './bakeryDatabase.ts'

/** `npm run backup [-- FILE]`: the whole bakery as one file; into the folder backups unless another file is named. */
await withBakery(async (orm) => {
  const now = new Date()
  const named =
    process.argv[2] ?? `backups/${now.toISOString().slice(0, 16).replace(':', '')}.kanten-backup.json.gz`
  const file = resolve(named)
  const bakery = await saveBakery(orm, now)
  mkdirSync(dirname(file), { recursive: true })
  // whole or not at all: a backup that was cut short would be found out when it is needed
  writeFileSync(`${file}.part`, pack(bakery))
  renameSync(`${file}.part`, file)
  console.log(`Saved ${bakery.orders.length} orders and everything else to ${file}`)
})
