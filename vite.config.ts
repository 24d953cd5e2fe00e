import { fileURLToPath } from 'node:url'
import { constants } from 'node:zlib'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { compression, defineAlgorithm } from 'vite-plugin-compression2'
import { VitePWA } from 'vite-plugin-pwa'
import { chunks } from './scripts/chunks.ts'
import { mantineStyles } from './scripts/mantineStyles.ts'
import { workerEntry } from './scripts/workerEntry.ts'

/** Brotli's quality: 10 makes files 6 % smaller than 9 and a build 4 s longer; 11 one percent more, and 10 s. */
const BROTLI_QUALITY = 10

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

const api = `http://127.0.0.1:${process.env.PORT ?? 4310}`

export default defineConfig({
  root: 'web',
  plugins: [
    react(),
    workerEntry(
      here('web/workers/kitchen.worker.ts'),
      here('web/workers/hire.ts'),
      "new URL('./kitchen.worker.ts', import.meta.url)",
    ),
    mantineStyles(new URL('web/theme/mantine.ts', import.meta.url)),
    // the shell of the bench, for when the network is gone; registered by whoever opens a run
    VitePWA({
      injectRegister: null,
      manifest: {
        name: 'Kanten',
        short_name: 'Kanten',
        start_url: '/orders',
        display: 'standalone',
        background_color: '#ededed',
        theme_color: '#191919',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        // what is looked at before printing, at a desk
        globIgnores: ['assets/pdf-*.js'],
        maximumFileSizeToCacheInBytes: 5_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        skipWaiting: true,
        clientsClaim: true,
        cleanupOutdatedCaches: true,
      },
    }),
    // each file a second and a third time, so that nothing is compressed while somebody waits
    compression({
      include: /\.(?:js|mjs|css|svg|html|webmanifest)$/,
      threshold: 1024,
      logLevel: 'silent',
      algorithms: [
        'gzip',
        defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY } }),
      ],
    }),
  ],
  server: { port: 4311, proxy: { '/api': api } },
  optimizeDeps: { include: ['comlink', 'apexcharts', 'react-apexcharts'] },
  build: {
    outDir: '../dist',
    emptyOutDir: true,
    target: 'es2023',
    chunkSizeWarningLimit: 800,
    modulePreload: {
      // a worker has no document in which anything could be fetched ahead
      resolveDependencies: (_, deps, { hostId }) => (/kitchen-|\.worker-/.test(hostId) ? [] : deps),
    },
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: chunks(here('./')),
        },
      },
    },
  },
})
