import { join } from 'node:path'
import type { MikroORM } from '@mikro-orm/postgresql'
import { Client } from 'pg'
import { loadDemo } from '../demo.ts'
import { migrations } from '../migrations/index.ts'
import { connect } from '../orm.ts'
import { StartError } from './words.ts'

/** Any number will do, as long as every Kanten takes the same. */
const LOCK = 4_310_004
const LOCK_WAIT = '120s'
/** The oldest that finds what uses a flower inside an order's document. */
const OLDEST = 120_000

/**
 * Brings a database's tables up to date, and loads the demo bakery where asked to. One server at a time: the others wait
 * and find it done.
 * @returns whether the demo was loaded.
 * @throws StartError when the database cannot be reached, is too old, or was used by a newer Kanten.
 */
export async function prepareDatabase(url: string, demoFolder: string | null, today: Date): Promise<boolean> {
  const lock = await reach(url)
  try {
    await lock.query(`set lock_timeout = '${LOCK_WAIT}'`)
    await lock.query('select pg_advisory_lock($1)', [LOCK])
    const orm = await connect(url, { patient: true })
    try {
      await migrate(orm)
      return demoFolder !== null && (await loadDemo(orm, demoFolder, today))
    } finally {
      await orm.close()
    }
  } finally {
    // ending the line lets go of the lock
    await lock.end().catch(() => undefined)
  }
}

/** Runs the migrations that are missing. @throws StartError when there are some that this program does not know. */
export async function migrate(orm: MikroORM): Promise<void> {
  const known = new Set(migrations.map((m) => m.name))
  const [{ there }] = await orm.em
    .fork()
    .execute<[{ there: boolean }]>(`select to_regclass('mikro_orm_migrations') is not null as there`)
  const done = there
    ? await orm.em.fork().execute<{ name: string }[]>('select name from mikro_orm_migrations')
    : []
  const newer = done.map((row) => row.name).filter((name) => !known.has(name))
  if (newer.length > 0)
    throw new StartError(
      `This database was last used by a newer Kanten (it knows ${newer.join(', ')}). Start that one, or point DATABASE_URL or KANTEN_STATE at another database.`,
    )
  await orm.getMigrator().up()
}

/** A line to the database. @throws StartError that says why there is none; never with the password in it. */
async function reach(url: string): Promise<Client> {
  const client = new Client({ connectionString: url, connectionTimeoutMillis: 10_000 })
  client.on('error', () => undefined)
  try {
    await client.connect()
    const { rows } = await client.query<{ version: string }>('select current_setting($1) as version', [
      'server_version_num',
    ])
    if (Number(rows[0]!.version) >= OLDEST) return client
  } catch (error) {
    throw new StartError(whyNot(error as NodeJS.ErrnoException, new URL(url)))
  }
  await client.end()
  throw new StartError('Kanten needs PostgreSQL 12 or newer; this one is older. Update it, or use another.')
}

function whyNot(error: NodeJS.ErrnoException, { hostname, port, username, pathname }: URL): string {
  const place = `${hostname}:${port || 5432}`
  const name = decodeURIComponent(pathname.slice(1))
  switch (error.code) {
    case 'ECONNREFUSED':
      return `No PostgreSQL answers at ${place}. Start it, or correct DATABASE_URL.`
    case 'ENOTFOUND':
    case 'EAI_AGAIN':
      return `There is no machine called ${hostname}. Correct DATABASE_URL.`
    case '28P01':
    case '28000':
      return `PostgreSQL at ${place} does not let "${decodeURIComponent(username)}" in. Correct the user and password in DATABASE_URL.`
    case '3D000':
      return `PostgreSQL at ${place} has no database "${name}". Make it with "createdb ${name}", or correct DATABASE_URL.`
    case '57P03':
      return `PostgreSQL at ${place} is just starting or stopping. Try again in a moment.`
    case '53300':
      return `PostgreSQL at ${place} has no connection left. Close some, or allow more (max_connections).`
    default:
      return `PostgreSQL at ${place} cannot be used: ${error.message || error.code}. Check DATABASE_URL.`
  }
}

/** Where the demo bakery's files are. */
export const demoFolderOf = (root: string) => join(root, 'demo')
