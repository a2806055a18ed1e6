import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';
import { onlyUsedComponentStyles } from './scripts/component-styles.ts';

/** Loaded from node_modules at run time: native, or needed as one instance. Everything else is bundled. */
const SERVER_EXTERNALS = ['better-sqlite3', 'kysely', 'express', 'compression', 'helmet', 'react', 'react-dom', 'react-router'];

export default defineConfig({
  plugins: [onlyUsedComponentStyles(), reactRouter()],
  resolve: { alias: [{ find: /^@ant-design\/icons$/, replacement: '@ant-design/icons/es' }] },
  environments: {
    ssr: {
      resolve: { noExternal: true, external: SERVER_EXTERNALS },
      build: { rollupOptions: { input: './app/server.ts' } },
    },
  },
  worker: { format: 'es' },
  build: { target: 'es2022', assetsInlineLimit: 0 },
});
