import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

const api = `http://127.0.0.1:${process.env.PORT ?? 4310}`

export default defineConfig({
  root: 'web',
  plugins: [
    react(),
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
  ],
  worker: { format: 'es' },
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
            {
              name: 'react',
              test: /node_modules[\\/](react|react-dom|react-router|swr|scheduler)[\\/]/,
              priority: 2,
            },
            { name: 'mantine', test: /node_modules[\\/]@mantine[\\/]/, priority: 2 },
          ],
        },
      },
    },
  },
})
