import * as z from 'zod';
import { amount, currencyCode, decimalField, label, slug, wholeNumber } from '../fields/amounts';

/** What a plan, add-on or extra has: true, false, how much, or `null` for not known (decision file §6). */
export const featuresSchema = z.record(slug, z.union([z.boolean(), amount]).nullable());

/** A further cost of a candidate: once (`months` 0) or every so many months. */
export const extraSchema = z.strictObject({
  label,
  amount,
  months: wholeNumber(0, 1200),
  currency: currencyCode.optional(),
  from: wholeNumber(0, 1200).optional(),
  features: featuresSchema.optional(),
});

/** The owner's own hours: in the first month, and in every month. */
export const hoursSchema = z.strictObject({ setup: amount.optional(), monthly: amount.optional() });

const liftPercent = decimalField({ least: '-100' });

/** Percent more orders and subscribers: of all streams, or of some. */
export const liftSchema = z.union([liftPercent, z.strictObject({ percent: liftPercent, streams: z.array(slug) })]);

export type Features = z.output<typeof featuresSchema>;
export type Extra = z.output<typeof extraSchema>;
export type Hours = z.output<typeof hoursSchema>;
export type Lift = z.output<typeof liftSchema>;
