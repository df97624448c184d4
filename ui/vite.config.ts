import { svelte } from '@sveltejs/vite-plugin-svelte'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig } from 'vitest/config'
import { packedCore } from './core.ts'
import { notices } from './notices.ts'

const api = process.env.HODOMETER_API ?? 'http://127.0.0.1:7420'

export default defineConfig({
  root: import.meta.dirname,
  plugins: [tailwindcss(), svelte({ configFile: '../svelte.config.js' }), notices(), packedCore()],
  cacheDir: '../node_modules/.vite',
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    rolldownOptions: { checks: { pluginTimings: false } },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': { target: api, changeOrigin: true } } },
  test: { include: ['src/**/*.test.ts'] },
})
