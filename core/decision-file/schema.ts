import * as z from 'zod';
import { amount, currencyCode, decimalField, label, monthField, share, slug, wholeNumber } from '../fields/amounts';
import { candidateSchema, needSchema } from './candidate-schema';
import { forecastSchema, ratesSchema } from './forecast-schema';
import { offerSchema, processorSchema, sharedAddonSchema } from './price-sheet-schema';

/** By what is paid, or by what is kept (decision file §8). */
const by = z.enum(['cost', 'keep']).optional();

const scaleRange = {
  by,
  from: decimalField({ above: '0' }).optional(),
  to: decimalField({ above: '0' }).optional(),
};

/** The frame of a decision, shared by the decision file and the stored decision. */
export const frameFields = {
  name: label,
  currency: currencyCode,
  start: monthField,
  months: wholeNumber(1, 120),
  basis: z.enum(['paid', 'spread']).optional(),
  rates: ratesSchema.optional(),
  feeTax: amount.optional(),
  hourValue: amount.optional(),
};

/** Percent of the subscribers that are lost when one moves to another offer. */
const losesSchema = z.strictObject({ subscribers: share });

/** Questions a file may ask besides the totals (decision file §8 to §10). */
export const questionFields = {
  breakEven: z.strictObject({ pairs: z.array(z.tuple([slug, slug])), ...scaleRange }).optional(),
  cheapestAt: z.strictObject(scaleRange).optional(),
  route: z
    .strictObject({
      candidates: z.array(slug).min(1, 'use at least one candidate'),
      within: amount,
      between: amount,
      moves: wholeNumber(0, 120).optional(),
      loses: losesSchema.optional(),
      by,
    })
    .optional(),
  propose: z
    .strictObject({
      offers: z.array(slug).optional(),
      /** `own`, or ids of processors. */
      payments: z.array(slug).min(1, 'use at least one processor, or "own"').optional(),
      ways: z
        .strictObject({
          within: amount,
          between: amount.optional(),
          moves: wholeNumber(0, 120).optional(),
          loses: losesSchema.optional(),
          by,
        })
        .optional(),
    })
    .optional(),
};

/** The decision file (decision file §1): everything a decision is computed from, in one document. */
export const decisionFileSchema = z.strictObject({
  format: z.literal('venalis.decision', 'use "venalis.decision"'),
  version: z.union([z.literal(1), z.literal(2)], 'use 1 or 2'),
  ...frameFields,
  forecast: forecastSchema,
  needs: z.array(needSchema).optional(),
  offers: z.array(offerSchema),
  addons: z.array(sharedAddonSchema).optional(),
  processors: z.array(processorSchema).optional(),
  candidates: z.array(candidateSchema),
  ...questionFields,
});

export type DecisionFile = z.output<typeof decisionFileSchema>;
