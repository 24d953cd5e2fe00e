import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seeded } from '#core/random'
import { isHealthy, startKanten, stopKanten } from '../server/testing/process.ts'

const SIGNALS = ['SIGKILL', 'SIGINT', 'SIGTERM'] as const
/** A little more than starting takes, so that some are killed when they are up. */
const LATEST_MS = 3800
/** How often everything is made anew, so that first starts are killed too. */
const FRESH_EVERY = 4

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/**
 * Starts and kills a server so many times, each at a random moment of its start, and starts it again after each.
 * @returns what the starts that did not come up said.
 */
export async function killStarts(starts: number, seed: number): Promise<string[]> {
  const random = seeded(seed)
  const failures: string[] = []
  let state = ''
  const fresh = () => {
    if (state) rmSync(state, { recursive: true, force: true })
    state = mkdtempSync(join(tmpdir(), 'kanten-kills-'))
    chmodSync(state, 0o755)
  }
  for (let n = 0; n < starts; n++) {
    if (n % FRESH_EVERY === 0) fresh()
    const env = { KANTEN_STATE: state }
    const victim = await startKanten(env)
    await wait(LATEST_MS * random())
    victim.child.kill(SIGNALS[Math.floor(SIGNALS.length * random())]!)
    await victim.ended
    const again = await startKanten(env)
    try {
      await again.ready
      if (!(await isHealthy(again))) throw new Error('It started and did not answer.')
    } catch (error) {
      failures.push((error as Error).message)
    }
    await stopKanten(again)
  }
  rmSync(state, { recursive: true, force: true })
  return failures
}
