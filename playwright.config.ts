import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: 'e2e',
  // each with a server of its own: see e2e/bakery.ts
  workers: 2,
  // generous: a busy machine has been ten times slower than a quiet one
  timeout: 360_000,
  expect: { timeout: 90_000 },
  reporter: 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
