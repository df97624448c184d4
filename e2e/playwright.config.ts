import { defineConfig } from '@playwright/test'
import { chromium } from './club'

export default defineConfig<{ now: string }>({
  testDir: '.',
  outputDir: '../test-results',
  workers: 2,
  fullyParallel: true,
  // Generous, because a shared machine can be ten times slower than it was a minute ago.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  retries: 0,
  reporter: 'list',
  // What a page asks is looked at by the tests; the errands without the network allow the one who keeps it.
  use: {
    serviceWorkers: 'block',
    launchOptions: chromium,
    actionTimeout: 60_000,
    viewport: { width: 1280, height: 800 },
  },
  projects: [
    { name: 'afternoon' },
    // The day changes while these run.
    {
      name: 'midnight',
      grep: /@midnight/,
      use: { now: '2026-03-10T23:59:00' },
    },
  ],
})
