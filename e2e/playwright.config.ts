import { defineConfig } from '@playwright/test'
import { chromium } from './club'

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  workers: 2,
  timeout: 60_000,
  reporter: 'list',
  use: { launchOptions: chromium, viewport: { width: 1280, height: 800 } },
})
