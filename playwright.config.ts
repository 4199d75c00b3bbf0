import { defineConfig } from '@playwright/test';

const port = Number(process.env.PORT ?? 8091);

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.spec.ts',
  outputDir: '_results',
  workers: 1,
  // A busy machine now and then moves a page under a finger. What needs its second go is listed as flaky, and looked into.
  retries: process.env.CI ? 1 : 0,
  forbidOnly: !!process.env.CI,
  reporter: [['list'], ['json', { outputFile: '_counts/e2e.json' }]],
  timeout: 90_000,
  expect: { timeout: 15_000 },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    {
      name: 'wide',
      use: { viewport: { width: 1280, height: 800 } },
      // What is about the store, the worker and the update is the same at any width.
      testIgnore: /(backup|badInput|badSurvey|lost|oneFigure|trouble|update)\.spec\.ts$/,
    },
  ],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    browserName: 'chromium',
    headless: true,
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
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
  webServer: {
    command: 'node --import tsx server/index.ts',
    env: { PORT: String(port), WEB_ROOT: 'dist' },
    url: `http://127.0.0.1:${port}/api/health`,
    reuseExistingServer: false,
    timeout: 30_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 2000 },
  },
});
