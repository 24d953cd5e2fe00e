import { createHash } from 'node:crypto'
import { realpathSync } from 'node:fs'
import { createServer, type Server } from 'node:net'
import { StartError } from '../start/words.ts'

const WAIT_MS = 120_000
const LOOK_MS = 40

/**
 * Runs `work` while no other process works on the same folder. The lock is a name held by the kernel (an abstract socket),
 * so it is gone with the process that held it, however that ended, and leaves no file behind to be wrong about.
 * @throws StartError when another process does not let go for two minutes.
 */
export async function withFolderLock<T>(folder: string, work: () => Promise<T>): Promise<T> {
  const name = createHash('sha256').update(realpathSync(folder)).digest('hex').slice(0, 32)
  const lock = await take(`\0kanten-${name}`, folder)
  try {
    return await work()
  } finally {
    await new Promise((closed) => lock.close(closed))
  }
}

async function take(path: string, folder: string): Promise<Server> {
  for (const until = Date.now() + WAIT_MS; Date.now() < until; ) {
    const lock = await tryToTake(path)
    if (lock) return lock
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS))
  }
  throw new StartError(
    `Another Kanten has been starting or stopping with ${folder} for two minutes. Stop it and try again.`,
  )
}

function tryToTake(path: string): Promise<Server | null> {
  return new Promise((resolve, reject) => {
    const server = createServer((socket) => socket.destroy())
    server.once('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EADDRINUSE' ? resolve(null) : reject(error),
    )
    server.listen({ path }, () => {
      server.unref()
      resolve(server)
    })
  })
}
