import * as z from 'zod';
import { problemsOf, RefusedFileError } from '../fields/problems';
import { type KeptOrders, keptFileSchema, keptPartSchema } from './kept-orders';

const MOST_FILES = 200;
const archivedSchema = z.array(z.strictObject({ file: keptFileSchema, parts: z.array(keptPartSchema) })).max(MOST_FILES);

/** A decision's document with its past orders beside everything else, where the person wants them to go along. */
export function withOrders<Archive extends object>(archive: Archive, orders: readonly KeptOrders[]): Archive & { pastOrders?: unknown } {
  return orders.length === 0 ? archive : { ...archive, pastOrders: orders };
}

/**
 * The past orders of a parsed document, and the document without them.
 *
 * @throws RefusedFileError with every problem found in them; and where a file says of more orders than are there
 */
export function takeOrders(document: unknown): { readonly document: unknown; readonly orders: readonly KeptOrders[] } {
  if (typeof document !== 'object' || document === null || !('pastOrders' in document)) return { document, orders: [] };
  const { pastOrders, ...rest } = document;
  const read = archivedSchema.safeParse(pastOrders);
  if (!read.success)
    throw new RefusedFileError(
      problemsOf(
        document,
        read.error.issues.map((issue) => ({ ...issue, path: ['pastOrders', ...issue.path] })),
      ),
    );
  const incomplete = read.data.flatMap(({ file, parts }, at) => {
    const there = parts.reduce((sum, { day }) => sum + day.length, 0);
    return there === file.orders
      ? []
      : [{ path: `pastOrders[${at}].file.orders`, found: `${file.orders}`, wanted: `use ${there}, as many as there are` }];
  });
  if (incomplete.length > 0) throw new RefusedFileError(incomplete);
  return { document: rest, orders: read.data };
}
