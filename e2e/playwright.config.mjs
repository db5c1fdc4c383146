import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  workers: 1,
  // the desk's checks share the demo and run one after the other; typing needs a workout of its own each
  projects: [
    { name: 'desk', testIgnore: 'typing.spec.ts' },
    { name: 'typing', testMatch: 'typing.spec.ts', fullyParallel: true },
  ],
  reporter: [['list'], ['json', { outputFile: `../test-results/${process.env.GAMBITO_E2E ?? 'e2e'}.json` }]],
  outputDir: '../test-results/e2e',
  use: {
    baseURL: process.env.GAMBITO_URL,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium' },
    serviceWorkers: 'block',
    trace: 'off',
  },
});
