import { svelte } from '@sveltejs/vite-plugin-svelte'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig } from 'vitest/config'
import { notices } from './notices.ts'

const api = process.env.HODOMETER_API ?? 'http://127.0.0.1:7420'

export default defineConfig({
  root: import.meta.dirname,
  plugins: [tailwindcss(), svelte({ configFile: '../svelte.config.js' }), notices()],
  cacheDir: '../node_modules/.vite',
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    rolldownOptions: { checks: { pluginTimings: false } },
  },
  server: { proxy: { '/api': { target: api, changeOrigin: true } } },
  test: { include: ['src/**/*.test.ts'] },
})
