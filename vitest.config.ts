import { availableParallelism } from 'node:os'
import { defineConfig } from 'vitest/config'

/** Long enough for a search on a machine that has something else to do. */
const patience = { testTimeout: 90_000, hookTimeout: 90_000 }

export default defineConfig({
  test: {
    // one core left idle is half of a small machine
    maxWorkers: '100%',
    coverage: {
      // what loses or keeps a person's work, and what answers for it
      include: ['web/data/**', 'web/workers/**', 'server/**'],
      exclude: ['**/*.test.{ts,tsx}', 'server/testing/**'],
    },
    projects: [
      {
        // pure functions leave nothing behind: read once, not once a file
        test: { ...patience, name: 'core', include: ['core/**/*.test.ts'], isolate: false },
      },
      {
        // every file has a database and a server of its own, and nothing is put in a module's place
        test: {
          ...patience,
          name: 'server',
          include: ['contract/**/*.test.ts', 'server/**/*.test.ts'],
          globalSetup: ['server/testing/database.ts'],
          isolate: false,
          // much of it waits for a database or for a server to come up: one more than there are cores keeps them busy
          maxWorkers: availableParallelism() + 1,
          sequence: { groupOrder: 1 },
        },
      },
      { test: { ...patience, name: 'web', include: ['web/**/*.test.{ts,tsx}'] } },
    ],
  },
})
