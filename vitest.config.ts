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
        test: {
          ...patience,
          name: 'around',
          include: ['contract/**/*.test.ts', 'server/**/*.test.ts', 'web/**/*.test.{ts,tsx}'],
          globalSetup: ['server/testing/database.ts'],
        },
      },
    ],
  },
})
