import * as z from 'zod';
import { problemsOf, RefusedFileError } from '../fields/problems';
import { readDecisionFile } from '../decision-file/read';
import { structureProblems } from '../fields/structure';
import { assembleDecisionFile } from './assemble';
import { type Decision, decisionSchema } from '../decision/decision-schema';
import { priceSheetSchema } from '../decision/price-sheet';
import type { Workbench } from '../decision/workbench';

import { ARCHIVE_FORMAT } from './archive-format';

const archiveSchema = z.strictObject({
  format: z.literal(ARCHIVE_FORMAT),
  version: z.literal(1),
  decision: decisionSchema,
  sheets: z.array(priceSheetSchema),
});

/**
 * A decision with everything that is kept about it, as a document of its own: needs with their reasons, qualities, the
 * trial diary, what is owned, and the evidence on price sheets. A decision file holds only what prices are worked out from.
 */
export function archiveOf({ decision, sheets }: Workbench): z.output<typeof archiveSchema> {
  return { format: ARCHIVE_FORMAT, version: 1, decision, sheets: sheets.map(({ sheet }) => sheet) };
}

/** Verdicts without the revisions they were made from: those are another decision's, or another database's. */
export function asVerdictsOfAnother(decision: Decision): Decision {
  const { verdicts, ...rest } = decision;
  return verdicts ? { ...rest, verdicts: verdicts.map(({ madeFrom: _madeFrom, ...verdict }) => verdict) } : decision;
}

/** Whether a parsed document says of itself that it is one. */
export function isArchive(document: unknown): boolean {
  return typeof document === 'object' && document !== null && 'format' in document && document.format === ARCHIVE_FORMAT;
}

/**
 * Reads a decision with everything that is kept about it.
 *
 * @param newId - gives a fresh identifier for each sheet
 * @throws RefusedFileError with every problem found
 */
export function readArchive(document: unknown, newId: () => string): Workbench {
  const unfit = structureProblems(document);
  if (unfit.length > 0) throw new RefusedFileError(unfit);
  const read = archiveSchema.safeParse(document);
  if (!read.success) throw new RefusedFileError(problemsOf(document, read.error.issues));
  const workbench = {
    decision: asVerdictsOfAnother(read.data.decision),
    sheets: read.data.sheets.map((sheet) => ({ id: newId(), revision: 0, sheet })),
  };
  readDecisionFile(assembleDecisionFile(workbench).file);
  return workbench;
}
