import { chmodSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { defineConfig } from '@playwright/test'

const PORT = 4397

// workers read this file too: only the first reading makes a folder
if (!process.env.KANTEN_E2E_STATE) {
  process.env.KANTEN_E2E_STATE = mkdtempSync(join(tmpdir(), 'kanten-e2e-'))
  chmodSync(process.env.KANTEN_E2E_STATE, 0o755)
}

export default defineConfig({
  testDir: 'e2e',
  workers: 1,
  // generous: a busy machine has been ten times slower than a quiet one
  timeout: 240_000,
  expect: { timeout: 40_000 },
  reporter: 'list',
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
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
  webServer: {
    command: 'node --import tsx server/start.ts --demo',
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: { PORT: String(PORT), KANTEN_STATE: process.env.KANTEN_E2E_STATE, DATABASE_URL: '' },
    gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 },
    timeout: 180_000,
  },
})
