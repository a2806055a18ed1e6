import * as z from 'zod';
import { label, slug } from '../fields/amounts';
import { planSchema } from '../decision-file/price-sheet-schema';
import { chargeSchema } from '../rules/charges/kinds';
import { termSchema } from '../rules/terms/term';

const words = z.string().max(600);

const common = {
  /** The same each time, as long as the page states the same. */
  id: z.string().max(1_000),
  /** The plan it is about, by its name. */
  plan: label,
  /** Which figure, in words. */
  what: words,
  /** What the sheet says, and what the page says. */
  before: words,
  after: words,
};

/** A figure that a pricing page states otherwise than the price sheet, with what the sheet would have instead. */
export const foundChangeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...common, kind: z.literal('term'), part: slug, term: termSchema }),
  z.strictObject({ ...common, kind: z.literal('charge'), part: slug, charge: chargeSchema }),
  z.strictObject({ ...common, kind: z.literal('new-plan'), added: planSchema }),
  z.strictObject({ ...common, kind: z.literal('plan-gone'), part: slug }),
]);

export const foundChangesSchema = z.array(foundChangeSchema).max(500);

export type FoundChange = z.output<typeof foundChangeSchema>;
