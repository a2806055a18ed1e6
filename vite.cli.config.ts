import { defineConfig } from 'vite';

/** Builds what runs in Node.js outside the application: the command line, the core's benchmark, what commands do with the data, and the made-up outside world. */
export default defineConfig({
  publicDir: false,
  ssr: { noExternal: true, external: ['hyperformula', 'highs', 'better-sqlite3', 'kysely'] },
  build: {
    ssr: true,
    outDir: 'build/node',
    target: 'node20',
    rollupOptions: {
      input: {
        price: 'cli/price.ts',
        'read-page': 'cli/read-page.ts',
        'core-bench': 'bench/core-bench.ts',
        world: 'world/server.ts',
        'data-tools': 'data/data-tools.ts',
      },
    },
  },
});
