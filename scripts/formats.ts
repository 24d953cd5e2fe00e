import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { z } from 'zod'
import { backupFileSchema } from '#core/files/backupFile'
import { bakeryFileSchema } from '#core/files/bakeryFile'
import { flowerFileSchema } from '#core/files/flowerFile'
import { orderFileSchema } from '#core/files/orderFile'
import { logEntrySchema } from '#core/model/logEntry'
import { planSchema } from '#core/model/plan'
import { practiceTrySchema } from '#core/model/practiceTry'

/** `npm run formats`: writes the JSON Schemas of the open formats; `--check` only says whether they are current. */
const formats = {
  'order-file': orderFileSchema,
  'bakery-file': bakeryFileSchema,
  'flower-file': flowerFileSchema,
  'backup-file': backupFileSchema,
  plan: planSchema,
  'log-entry': logEntrySchema,
  'practice-try': practiceTrySchema,
}
const folder = new URL('../docs/formats/', import.meta.url)
const checking = process.argv.includes('--check')

mkdirSync(folder, { recursive: true })
const stale = Object.entries(formats).filter(([name, schema]) => {
  const file = new URL(`${name}.schema.json`, folder)
  const text = `${JSON.stringify(z.toJSONSchema(schema, { io: 'input' }), null, 2)}\n`
  if (!checking) writeFileSync(file, text)
  return readFileSync(file, 'utf8') !== text
})
if (stale.length > 0) {
  console.error(
    `docs/formats is out of date (${stale.map(([name]) => name).join(', ')}): run npm run formats`,
  )
  process.exit(1)
}
console.log(`${Object.keys(formats).length} format schemas are current`)
