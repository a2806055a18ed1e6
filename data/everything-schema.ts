import * as z from 'zod';
import { slug } from '#core/fields/amounts';
import { storedDecisionSchema } from '#core/decision/decision-schema';
import { priceSheetSchema } from '#core/decision/price-sheet';
import { foundChangesSchema } from '#core/price-watch/found-change';
import { addressSchema, SETTINGS } from './settings';

/** Marks a file with everything that an installation keeps. */
export const EVERYTHING_FORMAT = 'venalis.everything';

const time = z.iso.datetime({ error: 'use a time such as 2027-01-15T10:00:00Z' });
const text = (most: number) => z.string().max(most);
const revision = z.int().min(1).max(1_000_000_000);

const historySchema = z.strictObject({
  revision,
  savedAt: time,
  changeKey: text(300),
  undoTo: revision.nullable(),
  undoLabel: text(300).nullable(),
  redoTo: revision.nullable(),
  redoLabel: text(300).nullable(),
  document: storedDecisionSchema,
});

const keptDecisionSchema = z.strictObject({
  id: slug,
  createdAt: time,
  changedAt: time,
  archivedAt: time.nullable(),
  deletedAt: time.nullable(),
  /** The newest one last; without the undo history there is one. */
  revisions: z.array(historySchema).min(1),
});

const keptSheetSchema = z.strictObject({
  id: slug,
  revisions: z.array(z.strictObject({ revision, savedAt: time, document: priceSheetSchema })).min(1),
});

/**
 * Everything that an installation keeps: decisions and price sheets with the revisions that belong to them, the price
 * watch, the history of prices, settings.
 */
export const everythingSchema = z.strictObject({
  format: z.literal(EVERYTHING_FORMAT),
  version: z.literal(1),
  madeAt: time,
  decisions: z.array(keptDecisionSchema),
  sheets: z.array(keptSheetSchema),
  watched: z.array(
    z.strictObject({
      sheetId: slug,
      address: addressSchema,
      triedAt: time.nullable(),
      seenAt: time.nullable(),
      problem: text(500).nullable(),
      found: foundChangesSchema,
    }),
  ),
  priceChanges: z.array(
    z.strictObject({
      sheetId: slug.nullable(),
      label: text(300),
      changeId: text(1_000),
      plan: text(1_000),
      what: text(1_000),
      before: text(2_000),
      after: text(2_000),
      outcome: z.enum(['accepted', 'left']),
      decidedAt: time,
    }),
  ),
  settings: z.strictObject({
    ratesAddress: SETTINGS.ratesAddress.optional(),
    privateHosts: SETTINGS.privateHosts.optional(),
  }),
  /** What could not be read, as it is stored, so that nothing is left behind. */
  unreadable: z.array(
    z.strictObject({
      kind: z.enum(['decision', 'sheet']),
      id: text(100),
      name: text(1_000),
      revision,
      base: z.int().nullable(),
      content: z.base64(),
    }),
  ),
});

export type Everything = z.output<typeof everythingSchema>;
export type KeptDecision = z.output<typeof keptDecisionSchema>;
export type KeptSheet = z.output<typeof keptSheetSchema>;
