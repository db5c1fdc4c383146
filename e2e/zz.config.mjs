import base from '/work/main/e2e/playwright.config.mjs';
export default {
  ...base,
  testDir: '/work/main/e2e',
  workers: Number(process.env.W ?? 1),
  reporter: [['list'], ['json', { outputFile: '/tmp/exp-e2e.json' }]],
  outputDir: '/tmp/exp-out',
  use: { ...base.use, launchOptions: { ...base.use.launchOptions, executablePath: process.env.EXE } },
};
