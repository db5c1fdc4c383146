import { defineConfig } from '@playwright/test';

/** how slow this machine is beside the one the limits were set on (tools/lib/machine-speed.mjs); limits are nets for what never ends, no measures */
const slowness = Number(process.env.GAMBITO_SLOWNESS ?? 1);

export default defineConfig({
  testDir: '.',
  fullyParallel: true,
  // two compute while a third waits for its clock
  workers: 3,
  timeout: 120_000 * slowness,
  expect: { timeout: 45_000 * slowness },
  reporter: [['json', { outputFile: '../test-results/e2e.json' }], ...(process.env.GAMBITO_LIST ? [['list']] : [])],
  outputDir: '../test-results/e2e',
  use: {
    baseURL: process.env.GAMBITO_URL,
    viewport: { width: 1280, height: 800 },
    timezoneId: process.env.GAMBITO_ZONE,
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
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
    screenshot: 'only-on-failure',
    trace: process.env.GAMBITO_TRACE ? 'retain-on-failure' : 'off',
  },
});
