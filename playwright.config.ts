import { defineConfig } from '@playwright/test'
import { chromiumOptions } from './scripts/chromium.mjs'

export default defineConfig({
  testDir: 'tests/browser',
  fullyParallel: false,
  workers: 1,
  timeout: 90_000,
  expect: { timeout: 10_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  globalSetup: './tests/browser/setup.ts',
  use: { viewport: { width: 1280, height: 800 }, locale: 'en-GB', launchOptions: chromiumOptions },
})
