import { defineConfig } from '@playwright/test'
import { chromium } from './club'

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  workers: 2,
  fullyParallel: true,
  // Generous, because a shared machine can be ten times slower than it was a minute ago.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  retries: 0,
  reporter: 'list',
  use: { launchOptions: chromium, viewport: { width: 1280, height: 800 } },
})
