import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './e2e/chromium';
import { shopsAreKept } from './e2e/shops';

const port = Number(process.env.E2E_PORT ?? 4193);

/** Shops that tests begin from are made once after a build; workers, which read this again, are told as the runner found it. */
process.env['SHOPS_KEPT'] ??= shopsAreKept() ? 'yes' : 'no';
const kept = process.env['SHOPS_KEPT'] === 'yes';

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/artifacts',
  fullyParallel: true,
  workers: 2,
  // Limits for what never comes, not for speed: a busy machine takes three times as long.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  projects: [
    ...(kept ? [] : [{ name: 'shops', testMatch: /shops\.setup\.ts/ }]),
    { name: 'browser', testMatch: /\.spec\.ts/, dependencies: kept ? [] : ['shops'] },
  ],
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/London',
    locale: 'en-GB',
    // Only the tests of working offline let the application keep itself on the machine.
    serviceWorkers: 'block',
    // A browser that is emptied between tests, not one made anew, which takes longer. `bench.ts` looks that it is empty.
    reuseContext: true,
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: 'node scripts/serve.mjs',
    env: { PORT: String(port) },
    url: `http://127.0.0.1:${port}/`,
    reuseExistingServer: false,
  },
});
