import * as z from 'zod';
import { amountOrNotKnown, label, monthField, positive, slug } from '../../fields/amounts';

const onlySchema = z.strictObject({
  streams: z.array(slug).optional(),
  kinds: z.array(z.string()).optional(),
  channels: z.array(z.string()).optional(),
  cards: z.array(z.string()).optional(),
  payments: z.enum(['own', 'outside']).optional(),
});

/** The fields of every charge, of whatever kind (decision file §4). */
export const commonFields = {
  id: slug,
  label,
  bucket: z.enum(['transaction', 'payment', 'usage', 'addon']).optional(),
  on: slug.optional(),
  only: onlySchema.optional(),
  of: z.enum(['net', 'gross']).optional(),
  monthlyMin: amountOrNotKnown.optional(),
  monthlyCap: amountOrNotKnown.optional(),
  totalCap: amountOrNotKnown.optional(),
  credit: z.boolean().optional(),
  against: z.literal('plan', 'use "plan"').optional(),
  from: monthField.optional(),
  until: monthField.optional(),
  taxExcluded: z.boolean().optional(),
};

/** So much is free a month: a number, or so much for each of a quantity. */
export const allowanceSchema = z.union([amountOrNotKnown, z.strictObject({ per: slug, ratio: amountOrNotKnown })]);

/** A band of quantities with its rate; a quantity equal to `upTo` is still in it. */
export const bandSchema = z.strictObject({
  upTo: positive.nullable(),
  each: amountOrNotKnown.optional(),
  percent: amountOrNotKnown.optional(),
  flat: amountOrNotKnown.optional(),
});

export type Allowance = z.output<typeof allowanceSchema>;
export type Band = z.output<typeof bandSchema>;
