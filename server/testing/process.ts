import { type ChildProcess, spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { freePort } from '../postgres/freePort.ts'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** A Kanten in a process of its own, as a person starts it. */
export interface Running {
  child: ChildProcess
  port: number
  /** Resolves when it says where it is; rejects with what it said when it ends before that. */
  ready: Promise<void>
  ended: Promise<{ code: number | null; said: string }>
}

/** Starts one. @param env on top of an environment without settings of Kanten's. */
export async function startKanten(env: Record<string, string>): Promise<Running> {
  const port = Number(env.PORT) || (await freePort())
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/start.ts', '--demo'], {
    cwd: root,
    env: { PATH: process.env.PATH, PORT: String(port), LOG_LEVEL: 'silent', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  const ended = new Promise<{ code: number | null; said: string }>((resolve) =>
    child.on('close', (code) => resolve({ code, said })),
  )
  const ready = new Promise<void>((resolve, reject) => {
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => {
        said += chunk
        if (said.includes('Kanten is at')) resolve()
      })
    void ended.then(() => reject(new Error(said || 'It ended without a word.')))
  })
  // not everybody who starts one waits for it
  ready.catch(() => undefined)
  return { child, port, ready, ended }
}

/** Whether it answers, and its database with it. */
export async function isHealthy({ port }: Running): Promise<boolean> {
  const answer = await fetch(`http://127.0.0.1:${port}/api/orders`).catch(() => null)
  return answer?.status === 200
}

/** Asks it to stop and waits until it has. */
export async function stopKanten({ child, ended }: Running): Promise<void> {
  child.kill('SIGTERM')
  await ended
}
