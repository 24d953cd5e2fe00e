import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** When a process began, in ticks since the machine did: tells it from another that got its number. Null when it is gone. */
function beganAt(pid: number): string | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    // the name in brackets may have spaces; the 22nd field of all is the 20th after it
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null
  } catch {
    return null
  }
}

const folderOf = (folder: string) => join(folder, 'users')

/** Notes that this process uses the cluster in a folder. */
export function enter(folder: string): void {
  mkdirSync(folderOf(folder), { recursive: true })
  writeFileSync(join(folderOf(folder), String(process.pid)), beganAt(process.pid) ?? '')
}

/** Notes that it no longer does. @returns whether any other process still does. */
export function leave(folder: string): boolean {
  rmSync(join(folderOf(folder), String(process.pid)), { force: true })
  let others = false
  for (const name of readdirSync(folderOf(folder))) {
    const file = join(folderOf(folder), name)
    // a process that was killed could not say that it left
    if (readFileSync(file, 'utf8') === beganAt(Number(name))) others = true
    else rmSync(file, { force: true })
  }
  return others
}
