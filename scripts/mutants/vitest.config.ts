import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** As the tests are always run, but with a database only where the server is tried: core and the page need none. */
const room = process.env.KANTEN_MUTANTS_ROOM ?? 'core'
const server = room === 'server'
const web = room.startsWith('web')

export default defineConfig({
  test: {
    root: fileURLToPath(new URL('../..', import.meta.url)),
    include: [server ? 'server/**/*.test.ts' : web ? 'web/**/*.test.{ts,tsx}' : 'core/**/*.test.ts'],
    isolate: web,
    globalSetup: server ? ['server/testing/database.ts'] : [],
    testTimeout: 90_000,
    hookTimeout: 90_000,
  },
})
