import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests/e2e',
  workers: 2,
  // one that passes the second time is reported as flaky
  retries: process.env['CI'] ? 1 : 0,
  fullyParallel: true,
  timeout: 180_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL: process.env.BASE_URL,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    serviceWorkers: 'block',
    trace: 'off',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
