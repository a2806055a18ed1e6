import { defineConfig } from 'vitest/config';

/** The tests beside the folder that is being mutated, and the worked cases. */
const folder = process.env['VENALIS_MUTATED'] ?? 'core';

export default defineConfig({
  test: {
    include: [`${folder}/**/*.test.ts`, 'core/cases/*.test.ts'],
    environment: 'node',
    testTimeout: 60_000,
    setupFiles: ['scripts/property-seed.ts'],
  },
});
