import { existsSync, readFileSync, readlinkSync, realpathSync, rmSync } from 'node:fs'
import { join } from 'node:path'

const lockFile = (data: string) => join(data, 'postmaster.pid')

/** The server that runs on a data folder: its port once it has one. Null when none does, whatever its lock file says. */
export function livePostmaster(data: string): { pid: number; port: number | null } | null {
  if (!existsSync(lockFile(data))) return null
  const [pid = '', , , port = ''] = readFileSync(lockFile(data), 'utf8').split('\n')
  if (!worksIn(Number(pid), data)) return null
  return { pid: Number(pid), port: Number(port) || null }
}

/** PostgreSQL works in its data folder: a process that does not is a stranger who got the number after a crash. */
function worksIn(pid: number, data: string): boolean {
  try {
    return pid > 0 && readlinkSync(`/proc/${pid}/cwd`) === realpathSync(data)
  } catch {
    return false
  }
}

/** Removes a lock file whose server is gone: PostgreSQL itself would take any living stranger for it. */
export function removeStaleLock(data: string): void {
  if (!livePostmaster(data)) rmSync(lockFile(data), { force: true })
}
