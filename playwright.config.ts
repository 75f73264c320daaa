import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: 'test/browser',
  outputDir: 'test-results/browser',
  globalSetup: './test/browser/makeDemoOnce.ts',
  timeout: 120_000,
  expect: { timeout: 20_000 },
  // More than cores: every other test waits for a server to start or a page to settle.
  workers: 3,
  fullyParallel: false,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync',
      ],
    },
  },
})
