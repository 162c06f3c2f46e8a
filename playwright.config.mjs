import { defineConfig } from '@playwright/test';
import { browserPath } from './scripts/browser.mjs';

export default defineConfig({
  testDir: 'tests/browser',
  workers: 2,
  fullyParallel: true,
  globalSetup: './tests/browser/setup.mjs',
  timeout: 150_000,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  // A busy machine is slow, not wrong.
  expect: { timeout: 30_000 },
  use: {
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: browserPath,
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
