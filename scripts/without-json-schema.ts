import type { Plugin } from 'vite';

const WRITTEN_BY = /json-schema-(processors|generator)\.js$|to-json-schema\.js$/;
const NOTHING = '\0nothing-writes-json-schema';

/** What the validation library asks of the parts that are left out; none of it is ever called in a browser. */
const STAND_INS = `
const never = () => { throw new Error('JSON Schema is not written in the browser'); };
export const toJSONSchema = never;
export const createToJSONSchemaMethod = () => never;
export const createStandardJSONSchemaMethod = () => never;
export const JSONSchemaGenerator = never;
export const aggregateChecks = () => ({});
export const initializeContext = never, processSchema = never, extractDefs = never, finalize = never;
`;

/** Names of the library's modules, which stand in for each kind of schema. */
const PROCESSORS =
  'string number boolean bigint symbol null undefined void never any unknown date enum literal nan templateLiteral file success custom function transform map set array object union intersection tuple record nullable nonoptional default prefault catch pipe readonly promise optional lazy';

/**
 * Leaves out of what browsers load how the validation library writes schemas as JSON Schema: 5 kB of the first page, and
 * only the command line does it.
 */
export function withoutJsonSchema(): Plugin {
  return {
    name: 'without-json-schema',
    enforce: 'pre',
    apply: 'build',
    applyToEnvironment: ({ name }) => name === 'client',
    resolveId(source, importer) {
      return WRITTEN_BY.test(source) && importer?.includes('/zod/') ? NOTHING : null;
    },
    load(id) {
      if (id !== NOTHING) return null;
      return `${STAND_INS}${PROCESSORS.split(' ')
        .map((kind) => `export const ${kind}Processor = never;`)
        .join('\n')}`;
    },
  };
}
