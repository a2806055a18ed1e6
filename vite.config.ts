import { reactRouter } from '@react-router/dev/vite';
import { defineConfig, type Plugin } from 'vite';
import { onlyUsedComponentStyles } from './scripts/component-styles.ts';
import { withoutJsonSchema } from './scripts/without-json-schema.ts';

/** Loaded from node_modules at run time: native, or needed as one instance. Everything else is bundled. */
const SERVER_EXTERNALS = [
  'better-sqlite3',
  'kysely',
  'express',
  'express-rate-limit',
  'compression',
  'helmet',
  'pino',
  'piscina',
  'rotating-file-stream',
  'react',
  'react-dom',
  'react-router',
];

/** The server has two entries; the framework would name both alike. */
const entriesByName: Plugin = {
  name: 'entries-by-name',
  enforce: 'post',
  configResolved({ environments }) {
    const output = environments['ssr']?.build.rollupOptions.output;
    if (output && !Array.isArray(output)) output.entryFileNames = '[name].js';
  },
};

export default defineConfig({
  plugins: [onlyUsedComponentStyles(), withoutJsonSchema(), reactRouter(), entriesByName],
  resolve: { alias: [{ find: /^@ant-design\/icons$/, replacement: '@ant-design/icons/es' }] },
  environments: {
    ssr: {
      resolve: { noExternal: true, external: SERVER_EXTERNALS },
      build: { rollupOptions: { input: { index: './app/server.ts', 'request-thread': './app/request-thread.ts' } } },
    },
  },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    // The component library needs one context of its forms for every field; the package does not say that the rest can be left out.
    rolldownOptions: {
      treeshake: { moduleSideEffects: [{ test: /node_modules\/@(rc-component|dnd-kit|ant-design)\//, sideEffects: false }] },
    },
  },
});
