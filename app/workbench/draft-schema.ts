import * as z from 'zod';
import { decisionSchema } from '#core/decision/decision-schema';
import { priceSheetSchema } from '#core/decision/price-sheet';

// The content security policy allows no code made at run time, which Zod would otherwise try.
z.config({ jitless: true });

const revision = z.int().min(0);

const workbench = z.object({
  decision: decisionSchema,
  sheets: z.array(z.object({ id: z.string(), revision, sheet: priceSheetSchema })),
});

/** A draft from the browser's storage: what another version of this application wrote there may not fit. */
export const draftSchema = z.preprocess(
  withFormerName,
  z.object({
    workbench,
    sent: workbench.optional(),
    revision,
    touched: z.array(z.string()),
    change: z.object({ key: z.string(), label: z.string() }),
  }),
);

/** Until November 2026 drafts called the workbench their bench. */
function withFormerName(draft: unknown): unknown {
  if (typeof draft !== 'object' || draft === null || !('bench' in draft)) return draft;
  const { bench, ...rest } = draft;
  return { workbench: bench, ...rest };
}
