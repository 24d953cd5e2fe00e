import { constants } from 'node:zlib'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { compression, defineAlgorithm } from 'vite-plugin-compression2'
import { VitePWA } from 'vite-plugin-pwa'
import { mantineStyles } from './scripts/mantineStyles.ts'

/** Brotli's quality: 11 makes files 3 % smaller and takes ten times as long. */
const BROTLI_QUALITY = 9

/** Screens that must share something before it is fetched with the first of them. */
const SHARED_BY = 8

const api = `http://127.0.0.1:${process.env.PORT ?? 4310}`

export default defineConfig({
  root: 'web',
  plugins: [
    react(),
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
  // one worker of several roles: what they share is fetched and kept once
  worker: {
    format: 'es',
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [{ name: 'model', minShareCount: 2 }],
        },
      },
    },
  },
  server: { port: 4311, proxy: { '/api': api } },
  optimizeDeps: { include: ['comlink', 'apexcharts', 'react-apexcharts'] },
  build: {
    outDir: '../dist',
    emptyOutDir: true,
    target: 'es2023',
    chunkSizeWarningLimit: 800,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            // what changes seldom stays in a browser over many versions of Kanten
            {
              name: 'react',
              test: /node_modules[\\/](react|react-dom|react-router|swr|scheduler)[\\/]/,
              priority: 3,
            },
            // the frame and the first screen in one file: many small ones wait for each other
            { name: 'frame', tags: ['$initial'], priority: 2 },
            // what several screens share: the model that they all stand on, and the parts that they are made of
            { name: 'model', test: /[\\/](core|contract)[\\/]/, minShareCount: SHARED_BY },
            {
              name: 'parts',
              test: /[\\/](web|@mantine|@floating-ui|@dnd-kit)[\\/]/,
              minShareCount: SHARED_BY,
            },
          ],
        },
      },
    },
  },
})
