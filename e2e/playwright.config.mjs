import { defineConfig } from '@playwright/test';

/** a server with a demo of its own for every worker */
const addresses = (process.env.GAMBITO_URL ?? '').split(',');

export default defineConfig({
  testDir: '.',
  // the other checks run beside these
  timeout: 150_000,
  expect: { timeout: 20_000 },
  workers: addresses.length,
  reporter: [['list'], ['json', { outputFile: '../test-results/e2e.json' }]],
  outputDir: '../test-results/e2e',
  use: {
    baseURL: addresses[Number(process.env.TEST_PARALLEL_INDEX ?? 0) % addresses.length],
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--disable-gpu',
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
    serviceWorkers: 'block',
    trace: 'off',
  },
});
