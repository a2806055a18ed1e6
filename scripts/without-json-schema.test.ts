import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, it } from 'vitest';
import { withoutJsonSchema } from './without-json-schema';

const zod = createRequire(import.meta.url).resolve('zod');
const schemas = readFileSync(zod.replace(/index\.c?js$/, 'v4/classic/schemas.js'), 'utf8');

it('stands in for everything that the validation library asks of what is left out', () => {
  const { load, resolveId } = withoutJsonSchema() as unknown as {
    load(id: string): string | null;
    resolveId(source: string, importer: string): string | null;
  };
  const id = resolveId('../core/json-schema-processors.js', '/node_modules/zod/v4/classic/schemas.js');
  const standIns = load(id ?? '') ?? '';
  const asked = [
    ...[...schemas.matchAll(/processors\.(\w+)\(/g)].map(([, name]) => name),
    ...(/import \{ (.+) \} from "\.\.\/core\/to-json-schema\.js"/.exec(schemas)?.[1] ?? 'nothing').split(', '),
  ];
  expect(asked.length).toBeGreaterThan(30);
  expect(asked.filter((name) => !new RegExp(`\\b${name} ?=`).test(standIns))).toEqual([]);
  expect(resolveId('./anything-else.js', '/node_modules/zod/v4/classic/schemas.js')).toBeNull();
});
