import { defineConfig } from '@playwright/test';
import { chromiumArguments } from './scripts/chromium-arguments.mjs';
import { chromiumForTests } from './scripts/setup.mjs';

export default defineConfig({
  testDir: 'e2e',
  // Most of a test is waiting; two share the two processors of the usual machine.
  workers: 2,
  // On a busy machine a walk through several places takes a minute and more.
  timeout: 240_000,
  // Generous, since the machines are shared and the other tests run beside these; nothing waits longer than it has to.
  expect: { timeout: 45_000 },
  forbidOnly: Boolean(process.env['CI']),
  reporter: [['list'], ['json', { outputFile: process.env['PLAYWRIGHT_JSON_OUTPUT_FILE'] ?? 'test-results/report.json' }]],
  use: {
    locale: 'en-GB',
    viewport: { width: 1280, height: 800 },
    // Recording slows every test down; TRACE=1 turns it on for looking into one that fails.
    trace: process.env['TRACE'] ? 'retain-on-failure' : 'off',
    launchOptions: { executablePath: chromiumForTests(), args: chromiumArguments() },
  },
});
