import { svelte } from '@sveltejs/vite-plugin-svelte'
import tailwindcss from '@tailwindcss/vite'
import { VitePWA } from 'vite-plugin-pwa'
import { defineConfig } from 'vitest/config'
import { notices } from './notices.ts'
import { noRings } from './rings.ts'

const api = process.env.HODOMETER_API ?? 'http://127.0.0.1:7420'

/**
 * The app opens without the network: what it is made of is kept by the browser. Where the network is there, the
 * page itself is always fetched anew, so that a new program has its own page.
 */
const offline = VitePWA({
  injectRegister: false,
  manifestFilename: 'manifest.json',
  manifest: {
    name: 'Hodometer',
    short_name: 'Hodometer',
    description: 'Plans lessons and court drills ball by ball, and runs them courtside',
    start_url: '/',
    display: 'standalone',
    background_color: '#fbf7f0',
    theme_color: '#8f3d20',
    icons: [{ src: '/favicon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,svg,woff2,wasm}'],
    maximumFileSizeToCacheInBytes: 8_000_000,
    skipWaiting: true,
    clientsClaim: true,
    navigateFallback: null,
    runtimeCaching: [
      // The courts there are: the same for as long as the program is the same.
      {
        urlPattern: ({ url }) => url.pathname === '/api/courts',
        handler: 'NetworkFirst',
        options: { cacheName: 'courts' },
      },
      {
        urlPattern: ({ request, url }) => request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
        handler: 'NetworkFirst',
        options: {
          cacheName: 'page',
          networkTimeoutSeconds: 3,
          precacheFallback: { fallbackURL: '/index.html' },
        },
      },
    ],
  },
})

export default defineConfig({
  root: import.meta.dirname,
  plugins: [tailwindcss(), svelte({ configFile: '../svelte.config.js' }), notices(), noRings(), offline],
  cacheDir: '../node_modules/.vite',
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    rolldownOptions: {
      checks: { pluginTimings: false },
      output: {
        chunkFileNames: ({ name }) => `assets/${name.startsWith('shared') ? 'shared' : name}-[hash].js`,
        // What the first page needs is one file, and what several views share comes in few: each is asked for by
        // itself. Fewer, larger ones of them import one another in a ring.
        codeSplitting: {
          groups: [
            { name: 'start', tags: ['$initial'], priority: 2 },
            { name: 'shared', minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 15_000 },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': { target: api, changeOrigin: true } } },
  test: { include: ['src/**/*.test.ts'] },
})
