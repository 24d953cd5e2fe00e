import { randomBytes } from 'node:crypto'
import {
  accessSync,
  chmodSync,
  chownSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { dirname, join } from 'node:path'
import { StartError } from '../start/words.ts'
import { runPostgres, serviceUser } from './binaries.ts'

export const USER = 'kanten'
const UNFINISHED = 'data.new-'

/** Makes the state folder, and says so in words where that cannot be. */
export function prepareFolder(folder: string): void {
  try {
    makeFolders(folder)
    accessSync(folder, constants.W_OK | constants.X_OK)
  } catch (error) {
    throw new StartError(
      `Kanten cannot write to ${folder} (${(error as NodeJS.ErrnoException).code}). Set KANTEN_STATE to a folder that it may write to.`,
    )
  }
  if (serviceUser()) refuseClosedParents(folder)
}

/** One after another: where the system answers "not there" for good, as below /proc, a recursive mkdir never ends. */
function makeFolders(folder: string): void {
  if (existsSync(folder)) return
  makeFolders(dirname(folder))
  try {
    mkdirSync(folder)
  } catch (error) {
    // two may make it at the same moment
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
  }
}

/** The service user must be able to walk down to the data folder. */
function refuseClosedParents(folder: string): void {
  for (let path = folder; path !== dirname(path); path = dirname(path))
    if ((statSync(path).mode & 0o001) === 0)
      throw new StartError(
        `PostgreSQL cannot reach ${folder}, because ${path} is closed to other users. Set KANTEN_STATE to a folder under /var/lib or /var/tmp, or run "chmod o+x ${path}".`,
      )
}

/**
 * Makes the cluster unless it is there. It is made beside its place and moved there when it is whole, so that a data
 * folder that exists is one that works.
 */
export async function ensureCluster(folder: string): Promise<void> {
  const data = join(folder, 'data')
  for (const name of readdirSync(folder))
    if (name.startsWith(UNFINISHED)) rmSync(join(folder, name), { recursive: true, force: true })
  setAsideUnfinished(folder, data)
  if (existsSync(data)) {
    if (existsSync(passwordFile(folder))) return
    throw new StartError(
      `The file ${passwordFile(folder)} is missing, and without it the database beside it cannot be opened. Put it back from a copy, or move ${folder} away and restore a backup.`,
    )
  }
  const user = serviceUser()
  const unfinished = join(folder, `${UNFINISHED}${process.pid}`)
  mkdirSync(unfinished)
  writeFileSync(passwordFile(folder), `${randomBytes(24).toString('hex')}\n`, { mode: 0o600 })
  if (user) for (const path of [unfinished, passwordFile(folder)]) chownSync(path, user.uid, user.gid)
  chmodSync(unfinished, 0o700)
  const made = await runPostgres(
    'initdb',
    [
      ...['-D', unfinished, '-U', USER, '--auth=scram-sha-256', `--pwfile=${passwordFile(folder)}`],
      ...['-E', 'UTF8', '--locale=C.UTF-8', '--no-sync'],
    ],
    { keepOutput: true },
  )
  if (made.code !== 0) throw new StartError(`The database could not be made: ${made.said.trim()}`)
  renameSync(unfinished, data)
}

export const passwordFile = (folder: string) => join(folder, 'password')

/** Earlier versions made the cluster in its place; one that was stopped while doing so left a part that never ran. */
function setAsideUnfinished(folder: string, data: string): void {
  if (!existsSync(data) || existsSync(join(data, 'global', 'pg_control'))) return
  renameSync(data, join(folder, `data.unfinished-${Date.now()}`))
}
