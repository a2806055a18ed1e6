import * as z from 'zod';
import { decisionSchema } from '#core/decision/decision-schema';
import { priceSheetSchema } from '#core/decision/price-sheet';

// The content security policy allows no code made at run time, which Zod would otherwise try.
z.config({ jitless: true });

const revision = z.int().min(0);

/** A draft from the browser's storage: what another version of this application wrote there may not fit. */
export const draftSchema = z.object({
  bench: z.object({
    decision: decisionSchema,
    sheets: z.array(z.object({ id: z.string(), revision, sheet: priceSheetSchema })),
  }),
  revision,
  touched: z.array(z.string()),
  change: z.object({ key: z.string(), label: z.string() }),
});
