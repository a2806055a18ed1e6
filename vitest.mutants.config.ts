import { defineConfig } from 'vitest/config';

/** Only the tests that stand beside the code that is being mutated. */
const folder = process.env['VENALIS_MUTATED'] ?? 'core';

export default defineConfig({
  test: {
    include: [`${folder}/**/*.test.ts`],
    environment: 'node',
    isolate: false,
    testTimeout: 60_000,
    setupFiles: ['scripts/test-setup.ts'],
  },
});
