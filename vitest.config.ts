import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,data,app,cli,scripts,workers,world}/**/*.test.{ts,tsx}'],
    environment: 'node',
    // Test files share what they load: twice as quick; none may leave anything changed behind.
    isolate: false,
    testTimeout: 60_000,
    setupFiles: ['scripts/test-setup.ts'],
  },
});
