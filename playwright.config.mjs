import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests/browser',
  // Two houses at once; what measures times is by itself afterwards.
  workers: 2,
  projects: [
    { name: 'together', grepInvert: /@timed/, workers: 2 },
    { name: 'apart', grep: /@timed/, workers: 1, dependencies: ['together'] },
  ],
  timeout: 150_000,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: { actionTimeout: 12_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
    },
  },
});
