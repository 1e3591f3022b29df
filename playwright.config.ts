import { defineConfig } from '@playwright/test';

/** The journeys run against the server that `npm test` starts; its address comes with BASE_URL. */
export default defineConfig({
  outputDir: `${process.env.TEST_FOLDER ?? '.shingle'}/results`,
  workers: 2,
  // A page, its planner, the browser and the server take two cores by themselves: two at once are no quicker, and each waits.
  projects: [
    { name: 'pages', testDir: 'tests/e2e', workers: 1 },
    { name: 'server', testDir: 'tests/server', workers: 1 },
  ],
  fullyParallel: false,
  forbidOnly: true,
  // Against what hangs, not against what is slow: a shared machine may be given a quarter of its processors for a while, and how
  // fast the pages are is measured by the bench.
  timeout: 240_000,
  expect: { timeout: 40_000 },
  reporter: [['list'], ['./tests/slowest.ts']],
  use: {
    baseURL: process.env.BASE_URL ?? 'http://127.0.0.1:4610',
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // Nothing is drawn on a screen: what would stand in for its processor takes ours.
        '--disable-gpu',
      ],
    },
  },
});
