import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { createApp } from './app.ts'
import { ConfigError, readConfig } from './config.ts'
import { loadDemo } from './demo.ts'
import { connect, migrate } from './orm.ts'
import { PostgresError } from './postgres/binaries.ts'
import { type Cluster, startCluster } from './postgres/cluster.ts'

const root = fileURLToPath(new URL('..', import.meta.url))

/** Database up, tables up to date, demo loaded if asked, server listening; stops all of it on a signal. */
async function main(): Promise<void> {
  const config = readConfig(process.env, process.argv.slice(2), root)
  const logger = pino({ level: process.env.LOG_LEVEL ?? 'warn' })
  let cluster: Cluster | null = null
  if (!config.databaseUrl) cluster = await startCluster(join(config.stateFolder, 'postgres'))
  const orm = await connect(config.databaseUrl ?? cluster!.url)
  const close = async () => {
    await orm.close()
    cluster?.stop()
  }
  try {
    await migrate(orm)
    if (config.loadDemo && (await loadDemo(orm, join(root, 'demo'), new Date())))
      console.log('Loaded the demo bakery, Slate & Sorrel.')
  } catch (error) {
    await close()
    throw error
  }
  const app = createApp({ orm, logger, webFolder: config.webFolder, passphrase: config.passphrase })
  const server = app.listen(config.port, config.host, (error?: NodeJS.ErrnoException) => {
    if (error) {
      console.error(portTrouble(error, config.port))
      void close().then(() => process.exit(1))
      return
    }
    console.log(
      `Kanten is at http://${config.host === '127.0.0.1' ? 'localhost' : config.host}:${config.port}`,
    )
    console.log('Stop it with Ctrl-C.')
  })
  let stopping = false
  const stop = () => {
    if (stopping) return
    stopping = true
    server.close(() => void close().then(() => process.exit(0)))
    server.closeAllConnections()
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
}

function portTrouble(error: NodeJS.ErrnoException, port: number): string {
  if (error.code === 'EADDRINUSE')
    return `Port ${port} is in use, perhaps by another Kanten. Stop it, or choose another port: PORT=${port + 1} npm run demo`
  if (error.code === 'EACCES') return `Port ${port} needs rights that you do not have. Choose one above 1024.`
  return `The server could not listen on port ${port}: ${error.message}`
}

main().catch((error: unknown) => {
  const known = error instanceof ConfigError || error instanceof PostgresError
  console.error(known ? (error as Error).message : error)
  process.exit(1)
})
