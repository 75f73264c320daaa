import { defineConfig } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from './scripts/chromium.mjs'

export default defineConfig({
  testDir: 'test/browser',
  outputDir: 'test-results/browser',
  globalSetup: './test/browser/makeDemoOnce.ts',
  // Ends what hangs, and nothing that is slow: a busy machine takes three times as long.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  // More than cores: every other test waits for a server to start or a page to settle.
  workers: 3,
  fullyParallel: false,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: CHROMIUM,
      args: CHROMIUM_ARGS,
    },
  },
})
