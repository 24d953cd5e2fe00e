import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['core/**/*.test.ts', 'contract/**/*.test.ts', 'server/**/*.test.ts', 'web/**/*.test.ts'],
    globalSetup: ['server/testing/database.ts'],
    testTimeout: 90_000,
    hookTimeout: 90_000,
  },
})
