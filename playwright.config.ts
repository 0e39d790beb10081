import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests/e2e',
  // a machine that others use as well may be slow by much: what comes late is no failure, what never comes is
  timeout: 150_000,
  expect: { timeout: 40_000 },
  workers: 2,
  // what passes only when run again is told apart at the end, with what was wrong the first time (scripts/test.ts)
  retries: 1,
  fullyParallel: true,
  forbidOnly: true,
  reporter: [['line'], ['json', { outputFile: process.env.E2E_REPORT ?? 'test-results/report.json' }]],
  use: {
    baseURL: process.env.E2E_URL,
    // fetches the whole application once for each test that lets it: those about being offline do
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/Berlin',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
    trace: 'off',
  },
});
