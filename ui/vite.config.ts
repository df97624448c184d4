import { svelte } from '@sveltejs/vite-plugin-svelte'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig } from 'vitest/config'

const api = process.env.HODOMETER_API ?? 'http://127.0.0.1:7420'

export default defineConfig({
  root: import.meta.dirname,
  plugins: [tailwindcss(), svelte({ configFile: '../svelte.config.js' })],
  cacheDir: '../node_modules/.vite',
  build: { outDir: 'dist', emptyOutDir: true, target: 'es2022' },
  server: { proxy: { '/api': { target: api, changeOrigin: true } } },
  test: { include: ['src/**/*.test.ts'] },
})
