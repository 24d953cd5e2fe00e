import { type SpawnOptions, spawn } from 'node:child_process'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { StartError } from '../start/words.ts'

/** Folder of the newest installed PostgreSQL's programs. */
function binFolder(): string {
  const versions = existsSync('/usr/lib/postgresql') ? readdirSync('/usr/lib/postgresql') : []
  const debian = versions
    .sort((a, b) => Number(b) - Number(a))
    .map((v) => join('/usr/lib/postgresql', v, 'bin'))
    .find((bin) => existsSync(join(bin, 'initdb')))
  if (debian) return debian
  const onPath = (process.env.PATH ?? '').split(':').find((dir) => existsSync(join(dir, 'initdb')))
  if (onPath) return onPath
  throw new StartError(
    'PostgreSQL is not installed. Run "sudo apt-get install postgresql", or set DATABASE_URL to a PostgreSQL you have.',
  )
}

/** PostgreSQL refuses to run as root: root hands it to the user its Debian package made. Null for anybody else. */
export function serviceUser(): { uid: number; gid: number } | null {
  if (process.getuid?.() !== 0) return null
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith('postgres:'))
  if (!line) throw new StartError('There is no user "postgres". Install the Debian package "postgresql".')
  const [, , uid, gid] = line.split(':')
  return { uid: Number(uid), gid: Number(gid) }
}

/**
 * Runs one of PostgreSQL's programs as the service user, out of reach of a Ctrl-C in this terminal: a database half
 * started or half made would be left behind.
 * @returns its exit code and, where `keepOutput`, what it said. A server started by it would hold the pipes open.
 */
export function runPostgres(
  program: string,
  args: readonly string[],
  { keepOutput = false } = {},
): Promise<{ code: number | null; said: string }> {
  const options: SpawnOptions = {
    ...serviceUser(),
    cwd: '/',
    env: { ...process.env, LC_ALL: 'C.UTF-8' },
    detached: true,
    stdio: keepOutput ? ['ignore', 'pipe', 'pipe'] : 'ignore',
  }
  return new Promise((resolve, reject) => {
    const child = spawn(join(binFolder(), program), args, options)
    let said = ''
    for (const stream of [child.stdout, child.stderr])
      stream?.on('data', (chunk) => {
        said += chunk
      })
    child.on('error', (error) =>
      reject(new StartError(`PostgreSQL's ${program} could not be run: ${error.message}`)),
    )
    child.on('close', (code) => resolve({ code, said }))
  })
}
