import type * as z from 'zod';
import { UnreadableContentError } from './revision-content';

/** A stored document that cannot be read any more: damaged, missing, or of a form that is not known. */
export class UnreadableDocument extends Error {
  override name = 'UnreadableDocument';
}

/**
 * A stored text, checked.
 *
 * @throws UnreadableDocument if it does not hold what it should
 */
export function parseDocumentAs<Output>(schema: z.ZodType<Output>, text: string): Output {
  try {
    return schema.parse(JSON.parse(text));
  } catch (cause) {
    throw new UnreadableDocument('What is stored cannot be read', { cause });
  }
}

/** @throws UnreadableDocument if a text cannot be had from what is stored */
export async function readText(read: () => Promise<string>): Promise<string> {
  try {
    return await read();
  } catch (cause) {
    if (cause instanceof UnreadableContentError) throw new UnreadableDocument(cause.message, { cause });
    throw cause;
  }
}

/**
 * A stored document, checked.
 *
 * @param read - gives its text
 * @throws UnreadableDocument if it cannot be read any more
 */
export async function readDocumentAs<Output>(schema: z.ZodType<Output>, read: () => Promise<string>): Promise<Output> {
  return parseDocumentAs(schema, await readText(read));
}
