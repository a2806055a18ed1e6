import * as z from 'zod';
import { amount, currencyCode, decimalField, label, slug, wholeNumber } from './amounts';
import { featuresSchema } from './price-sheet-schema';

/** Who processes the payments: the platform itself, one processor, or rules by channel and card (decision file §5). */
export const paymentsSchema = z.union([
  slug,
  z
    .array(
      z.strictObject({
        use: slug,
        channels: z.array(z.string()).optional(),
        cards: z.array(z.string()).optional(),
      }),
    )
    .min(1),
]);

/** A further cost of a candidate: once (`months` 0) or every so many months. */
export const extraSchema = z.strictObject({
  label,
  amount,
  months: wholeNumber(0, 1200),
  currency: currencyCode.optional(),
  from: wholeNumber(0, 1200).optional(),
  features: featuresSchema.optional(),
});

/** A complete combination being compared (decision file §5). */
export const candidateSchema = z.strictObject({
  id: slug,
  label,
  plans: z.array(z.strictObject({ plan: slug, term: slug })).min(1, 'at least one plan is wanted'),
  addons: z.array(z.strictObject({ addon: slug, term: slug.optional(), count: wholeNumber(1, 10_000).optional() })).optional(),
  payments: paymentsSchema.optional(),
  extras: z.array(extraSchema).optional(),
  hours: z.strictObject({ setup: amount.optional(), monthly: amount.optional() }).optional(),
  lift: decimalField({ least: '-100' }).optional(),
});

/** What the seller must or would like to have (decision file §6). */
export const needSchema = z.strictObject({
  feature: slug,
  level: z.enum(['must', 'want']),
  least: amount.optional(),
  weight: amount.optional(),
});

export type Candidate = z.output<typeof candidateSchema>;
export type Extra = z.output<typeof extraSchema>;
export type Payments = z.output<typeof paymentsSchema>;
export type Need = z.output<typeof needSchema>;
