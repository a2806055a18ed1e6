import * as z from 'zod';
import { amount, label, monthField, slug, wholeNumber } from '../fields/amounts';
import { extraSchema, hoursSchema, liftSchema } from './seller-side-schema';

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

/** A plan as a candidate has it: its term, months that come on top of the first payment's, and what it handles. */
export const planEntrySchema = z.strictObject({
  plan: slug,
  term: slug,
  extraMonths: wholeNumber(0, 1200).optional(),
  streams: z.array(slug).min(1, 'use at least one stream').optional(),
  takesPayments: z.boolean().optional(),
});

/** A complete combination being compared (decision file §5). */
export const candidateSchema = z.strictObject({
  id: slug,
  label,
  plans: z.array(planEntrySchema).min(1, 'use at least one plan'),
  addons: z.array(z.strictObject({ addon: slug, term: slug.optional(), count: wholeNumber(1, 10_000).optional() })).optional(),
  payments: paymentsSchema.optional(),
  extras: z.array(extraSchema).optional(),
  hours: hoursSchema.optional(),
  lift: liftSchema.optional(),
});

/** What the seller must or would like to have (decision file §6). */
export const needSchema = z.strictObject({
  feature: slug,
  level: z.enum(['must', 'want']),
  least: amount.optional(),
  weight: amount.optional(),
  from: monthField.optional(),
});

export type Candidate = z.output<typeof candidateSchema>;
export type PlanEntry = z.output<typeof planEntrySchema>;
export type { Extra, Hours, Lift } from './seller-side-schema';
export type Payments = z.output<typeof paymentsSchema>;
export type Need = z.output<typeof needSchema>;
