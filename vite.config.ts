import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

const api = `http://127.0.0.1:${process.env.PORT ?? 4310}`

export default defineConfig({
  root: 'web',
  plugins: [react()],
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
