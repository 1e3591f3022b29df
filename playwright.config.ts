import { defineConfig } from '@playwright/test';

/** The journeys run against the server that `npm test` starts; its address comes with BASE_URL. */
export default defineConfig({
  testDir: 'tests',
  outputDir: `${process.env.TEST_FOLDER ?? '.shingle'}/results`,
  workers: 2,
  fullyParallel: false,
  forbidOnly: true,
  timeout: 45_000,
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
      ],
    },
  },
});
