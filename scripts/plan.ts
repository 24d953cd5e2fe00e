import { readFileSync } from 'node:fs'
import { starterWorkshop } from '#core/catalogue/starter'
import { readBakeryFile, withBakery } from '#core/files/bakeryFile'
import { type Read, readOrderFile, withFile } from '#core/files/orderFile'
import { planOrder } from '#core/plan/index'

/** `npm run --silent plan -- ORDER.json [--bakery BAKERY.json]`: prints the plan of an order file as JSON. */
const args = process.argv.slice(2)
const bakeryAt = args.indexOf('--bakery')
const bakeryFile = bakeryAt < 0 ? null : (args[bakeryAt + 1] ?? '')
const [orderFile, ...rest] = args.filter((_, i) => bakeryAt < 0 || (i !== bakeryAt && i !== bakeryAt + 1))
if (!orderFile || rest.length > 0 || bakeryFile === '')
  fail('Usage: npm run --silent plan -- ORDER.json [--bakery BAKERY.json]')

const workshop = bakeryFile
  ? withBakery(starterWorkshop, accept(bakeryFile, readBakeryFile(load(bakeryFile), starterWorkshop)))
  : starterWorkshop
const file = accept(orderFile, readOrderFile(load(orderFile), workshop))
process.stdout.write(`${JSON.stringify(planOrder(file.order, withFile(workshop, file)), null, 2)}\n`)

function load(path: string): unknown {
  try {
    return JSON.parse(readFileSync(path, 'utf8'))
  } catch (error) {
    return fail(`${path}: ${error instanceof Error ? error.message : String(error)}`)
  }
}

function accept<T>(path: string, read: Read<T>): T {
  if (read.ok) return read.value
  return fail(read.faults.map((f) => `${path}#/${f.path.join('/')}: ${f.message}`).join('\n'))
}

function fail(message: string): never {
  process.stderr.write(`${message}\n`)
  process.exit(1)
}
