import { type SpawnSyncOptions, spawnSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Raised when the private cluster cannot be had; the message says what to do. */
export class PostgresError extends Error {}

/** Folder of the newest installed PostgreSQL's programs. */
export function binFolder(): string {
  const versions = existsSync('/usr/lib/postgresql') ? readdirSync('/usr/lib/postgresql') : []
  const debian = versions
    .sort((a, b) => Number(b) - Number(a))
    .map((v) => join('/usr/lib/postgresql', v, 'bin'))
    .find((bin) => existsSync(join(bin, 'initdb')))
  if (debian) return debian
  const onPath = (process.env.PATH ?? '').split(':').find((dir) => existsSync(join(dir, 'initdb')))
  if (onPath) return onPath
  throw new PostgresError(
    'PostgreSQL is not installed. Run "sudo apt-get install postgresql", or set DATABASE_URL to a PostgreSQL you have.',
  )
}

/** PostgreSQL refuses to run as root: root hands it to the user its Debian package made. Null for anybody else. */
export function serviceUser(): { uid: number; gid: number } | null {
  if (process.getuid?.() !== 0) return null
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith('postgres:'))
  if (!line) throw new PostgresError('There is no user "postgres". Install the Debian package "postgresql".')
  const [, , uid, gid] = line.split(':')
  return { uid: Number(uid), gid: Number(gid) }
}

/** Runs one of PostgreSQL's programs as the service user. */
export function runPostgres(program: string, args: string[], options: SpawnSyncOptions = {}) {
  return spawnSync(join(binFolder(), program), args, {
    ...serviceUser(),
    cwd: '/',
    encoding: 'utf8',
    env: { ...process.env, LC_ALL: 'C.UTF-8' },
    ...options,
  })
}
