import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['core/**/*.test.ts', 'contract/**/*.test.ts', 'server/**/*.test.ts', 'web/**/*.test.{ts,tsx}'],
    globalSetup: ['server/testing/database.ts'],
    coverage: {
      // what loses or keeps a person's work, and what answers for it
      include: ['web/data/**', 'web/workers/**', 'server/**'],
      exclude: ['**/*.test.{ts,tsx}', 'server/testing/**'],
    },
    testTimeout: 90_000,
    hookTimeout: 90_000,
  },
})
