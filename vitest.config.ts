import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,data,app,cli,scripts,workers,world}/**/*.test.{ts,tsx}'],
    environment: 'node',
    testTimeout: 60_000,
    setupFiles: ['scripts/property-seed.ts'],
  },
});
