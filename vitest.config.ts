import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,data,app,cli,scripts,workers,world}/**/*.test.{ts,tsx}'],
    environment: 'node',
    // Test files share what they load: twice as quick; none may leave anything changed behind.
    isolate: false,
    // Beside lint and browser tests each is one process of several; two share the processors of the usual machine.
    maxWorkers: 2,
    testTimeout: 60_000,
    setupFiles: ['scripts/test-setup.ts'],
  },
});
