import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** As the tests are always run, but with a database only where the server is tried: core needs none. */
const server = process.env.KANTEN_MUTANTS_ROOM === 'server'

export default defineConfig({
  test: {
    root: fileURLToPath(new URL('../..', import.meta.url)),
    include: server ? ['server/**/*.test.ts'] : ['core/**/*.test.ts'],
    isolate: false,
    globalSetup: server ? ['server/testing/database.ts'] : [],
    testTimeout: 90_000,
    hookTimeout: 90_000,
  },
})
