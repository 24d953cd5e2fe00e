import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startCluster } from '../postgres/cluster.ts'

/** A throwaway cluster for one run of the tests; workers find it in KANTEN_TEST_DATABASE. */
export default async function setup(): Promise<() => Promise<void>> {
  const folder = mkdtempSync(join(tmpdir(), 'kanten-test-'))
  chmodSync(folder, 0o755)
  const cluster = await startCluster(folder, { throwaway: true })
  process.env.KANTEN_TEST_DATABASE = cluster.url
  return async () => {
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
