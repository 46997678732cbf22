import { defineConfig } from '@playwright/test';
import { existsSync } from 'node:fs';

const executablePath =
  process.env.CHROMIUM_PATH ??
  ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'].find((path) =>
    existsSync(path),
  );

const port = 4179;

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  fullyParallel: true,
  workers: 2,
  // A busy machine may be several times slower than a free one: patience asks no less of a page.
  timeout: 240_000,
  expect: { timeout: 45_000 },
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? 'test-results/e2e.json' }],
  ],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    locale: 'en-GB',
    // Where it is not what is tested, a service worker would answer instead of the server.
    serviceWorkers: 'block',
    trace: 'retain-on-failure',
    launchOptions: {
      ...(executablePath ? { executablePath } : {}),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE localhost',
      ],
    },
  },
  webServer: {
    command: `node --import tsx server/src/main.ts --demo`,
    env: { PORT: String(port) },
    port,
    reuseExistingServer: false,
  },
});
