import * as z from 'zod';
import { assembleDecisionFile } from '#core/assembly/assemble';
import { decisionSchema } from '#core/decision/decision-schema';
import { priceSheetSchema } from '#core/decision/price-sheet';
import type { UsedSheet } from '#core/decision/workbench';
import { slug } from '#core/fields/amounts';
import { describeProblem, problemsOf, RefusedFileError } from '#core/fields/problems';
import { readDecisionFile } from '#core/decision-file/read';

const revision = z.int().min(0);

/** A change as the workbench sends it. */
export const saveRequestSchema = z.strictObject({
  key: z.string().max(300),
  label: z.string().max(300),
  revision,
  decision: decisionSchema,
  sheets: z.array(z.strictObject({ id: slug, revision, changed: priceSheetSchema.optional() })),
});

/** A request to undo or redo. */
export const stepRequestSchema = z.strictObject({ direction: z.enum(['undo', 'redo']), revision });

/** What a request's body holds, or what is wrong with it, in words. */
export async function readBody<Output>(request: Request, schema: z.ZodType<Output>): Promise<{ value: Output } | { why: string }> {
  const body: unknown = await request.json().catch(() => undefined);
  const read = schema.safeParse(body);
  return read.success ? { value: read.data } : { why: inWords(problemsOf(body, read.error.issues)) };
}

/**
 * What keeps a decision from being computed, in words; null if nothing does. What cannot be priced yet is no
 * obstacle to keeping it.
 */
export function refusalOf(decision: z.output<typeof decisionSchema>, sheets: readonly UsedSheet[]): string | null {
  try {
    readDecisionFile(assembleDecisionFile({ decision, sheets }).file);
    return null;
  } catch (error) {
    if (error instanceof RefusedFileError) return inWords(error.problems);
    throw error;
  }
}

function inWords(problems: RefusedFileError['problems']): string {
  const [first] = problems;
  if (!first) return 'it cannot be read';
  const more = problems.length > 1 ? ` (and ${problems.length - 1} more)` : '';
  return `${describeProblem(first)}${more}`;
}
