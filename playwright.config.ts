import { defineConfig, devices } from '@playwright/test';

const port = 4390;
const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: 'e2e',
  // A busy machine draws slowly; what takes longer than this is stuck.
  timeout: 120_000,
  expect: { timeout: 15_000 },
  workers: 2,
  forbidOnly: Boolean(process.env.CI),
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    launchOptions: { executablePath: '/usr/bin/chromium', args },
    reducedMotion: 'reduce',
    // What a page asks for is held back or changed by many tests: a worker of the page between would ask in its place.
    serviceWorkers: 'block',
  },
  projects: [
    {
      name: 'phone',
      testIgnore: /wide\.spec\.ts/,
      use: {
        ...devices['Desktop Chrome'],
        channel: undefined,
        viewport: { width: 390, height: 844 },
        hasTouch: true,
      },
    },
    {
      name: 'wide',
      testMatch: /wide\.spec\.ts/,
      use: { ...devices['Desktop Chrome'], channel: undefined, viewport: { width: 1280, height: 800 } },
    },
  ],
  webServer: {
    command: 'node --import tsx server/serve.ts',
    url: `http://127.0.0.1:${port}/boot.json`,
    env: { PORT: String(port) },
    reuseExistingServer: !process.env.CI,
  },
});
