import { join } from 'node:path'

/** Where the server listens, what database it uses, where it keeps its private cluster. */
export interface Config {
  host: string
  port: number
  /** An external PostgreSQL; null for the private cluster. */
  databaseUrl: string | null
  stateFolder: string
  webFolder: string
  passphrase: string | null
  loadDemo: boolean
}

/** Raised for settings that cannot work, with words that say what to change. */
export class ConfigError extends Error {}

const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost'])

/** Reads the environment. @throws ConfigError when it cannot work, or would open the server to a network unasked. */
export function readConfig(env: NodeJS.ProcessEnv, args: readonly string[], root: string): Config {
  const host = env.HOST ?? '127.0.0.1'
  const port = Number(env.PORT ?? 4310)
  const passphrase = env.KANTEN_PASSPHRASE ?? null
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new ConfigError(`PORT must be a whole number from 1 to 65535, not "${env.PORT}".`)
  if (!LOOPBACK.has(host) && !passphrase)
    throw new ConfigError(
      `HOST=${host} would open Kanten to the network. Set KANTEN_PASSPHRASE to a phrase of 8 letters or more, or leave HOST out.`,
    )
  if (passphrase !== null && passphrase.length < 8)
    throw new ConfigError('KANTEN_PASSPHRASE needs 8 characters or more.')
  return {
    host,
    port,
    passphrase,
    databaseUrl: env.DATABASE_URL || null,
    stateFolder: env.KANTEN_STATE ?? join(root, '.kanten'),
    webFolder: join(root, 'dist'),
    loadDemo: args.includes('--demo'),
  }
}
