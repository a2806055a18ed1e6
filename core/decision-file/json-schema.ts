import * as z from 'zod';
import { decisionFileSchema } from './schema';

/**
 * The decision file's format as a JSON Schema (2020-12), generated from the schema that reads it. What a JSON
 * Schema cannot say (identifiers that exist, shares that add up to 100, bands in order) is in decision-file.md.
 */
export function decisionFileJsonSchema(): unknown {
  const schema = z.toJSONSchema(decisionFileSchema, { target: 'draft-2020-12', io: 'input', unrepresentable: 'any' });
  return { title: 'Venalis decision file', ...schema };
}
