import { defineConfig } from '@playwright/test';
import { launchOptions } from '../../tools/browser.mjs';

// Short runs never earn back what it costs the server to watch its own code.
process.env.DOTNET_TieredPGO ??= '0';

export default defineConfig({
  testDir: '.',
  outputDir: '../../artifacts/browser-tests',
  // Each worker has an application of its own (see fixtures.ts), so files may run beside each other.
  workers: 2,
  fullyParallel: false,
  // Long enough for a machine that somebody else is using as well.
  timeout: 300_000,
  expect: { timeout: 120_000 },
  reporter: [['list']],
  use: {
    launchOptions,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
    // A trace costs more than the tests themselves: TRACE=1 makes one.
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
  },
});
