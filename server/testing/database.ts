import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { TestProject } from 'vitest/node'
import { startCluster } from '../postgres/cluster.ts'

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string
  }
}

/** A throwaway cluster for one run of the tests. */
export default async function setup(project: TestProject): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'kanten-test-'))
  chmodSync(folder, 0o755)
  const cluster = await startCluster(folder, { throwaway: true })
  project.provide('databaseUrl', cluster.url)
  return () => {
    cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
