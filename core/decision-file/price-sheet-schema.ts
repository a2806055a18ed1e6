import * as z from 'zod';
import { amount, amountOrNotKnown, currencyCode, label, positive, share, slug, wholeNumber } from './amounts';

const introSchema = z.union([
  z.strictObject({ price: amountOrNotKnown, periods: wholeNumber(1, 1200) }),
  z.strictObject({ off: share, periods: wholeNumber(1, 1200) }),
]);

/** How a plan or add-on is paid (decision file §3, Terms). `months` 0 means once and for good. */
export const termSchema = z.strictObject({
  id: slug,
  months: wholeNumber(0, 1200),
  price: amountOrNotKnown,
  intro: introSchema.optional(),
  trialDays: wholeNumber(0, 3650).optional(),
  refundDays: wholeNumber(0, 3650).optional(),
  prorated: z.boolean().optional(),
});

const onlySchema = z.strictObject({
  streams: z.array(slug).optional(),
  kinds: z.array(z.string()).optional(),
  channels: z.array(z.string()).optional(),
  cards: z.array(z.string()).optional(),
  payments: z.enum(['own', 'outside']).optional(),
});

const allowanceSchema = z.union([amountOrNotKnown, z.strictObject({ per: slug, ratio: amountOrNotKnown })]);

const bandSchema = z.strictObject({
  upTo: positive.nullable(),
  each: amountOrNotKnown.optional(),
  percent: amountOrNotKnown.optional(),
  flat: amountOrNotKnown.optional(),
});

const common = {
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
  taxExcluded: z.boolean().optional(),
};

/** What depends on volume: the five kinds of charge (decision file §4). */
export const chargeSchema = z.discriminatedUnion('how', [
  z.strictObject({
    ...common,
    how: z.literal('per-order'),
    percent: amountOrNotKnown.optional(),
    each: amountOrNotKnown.optional(),
    least: amountOrNotKnown.optional(),
    most: amountOrNotKnown.optional(),
    free: allowanceSchema.optional(),
    refund: z.enum(['kept', 'returned']).optional(),
  }),
  z.strictObject({
    ...common,
    how: z.literal('per-unit'),
    each: amountOrNotKnown.optional(),
    percent: amountOrNotKnown.optional(),
    free: allowanceSchema.optional(),
  }),
  z.strictObject({
    ...common,
    how: z.literal('package'),
    size: positive.nullable(),
    each: amountOrNotKnown,
    free: allowanceSchema.optional(),
  }),
  z.strictObject({ ...common, how: z.literal('graduated'), bands: z.array(bandSchema).min(1) }),
  z.strictObject({ ...common, how: z.literal('volume'), bands: z.array(bandSchema).min(1) }),
]);

/** What a plan, add-on or extra has: true, false, how much, or `null` for not known (decision file §6). */
export const featuresSchema = z.record(slug, z.union([z.boolean(), amount]).nullable());

/** A payment on joining. */
export const joiningFeeSchema = z.strictObject({ label, amount });

export const planSchema = z.strictObject({
  id: slug,
  label,
  currency: currencyCode,
  terms: z.array(termSchema),
  charges: z.array(chargeSchema).optional(),
  limits: z.record(slug, amount).optional(),
  features: featuresSchema.optional(),
  once: z.array(joiningFeeSchema).optional(),
  taxExcluded: z.boolean().optional(),
});

const addonFields = {
  id: slug,
  label,
  currency: currencyCode,
  terms: z.array(termSchema).optional(),
  charges: z.array(chargeSchema).optional(),
  features: featuresSchema.optional(),
  taxExcluded: z.boolean().optional(),
  raises: z.record(slug, amount).optional(),
};

export const addonSchema = z.strictObject(addonFields);

/** An add-on sold by somebody else than the platform; `worksWith` lists the offers it goes with. */
export const sharedAddonSchema = z.strictObject({ ...addonFields, worksWith: z.array(slug).optional() });

export const offerSchema = z.strictObject({
  id: slug,
  vendor: label,
  label,
  kind: label,
  plans: z.array(planSchema),
  addons: z.array(addonSchema).optional(),
});

export const processorSchema = z.strictObject({
  id: slug,
  label,
  currency: currencyCode,
  charges: z.array(chargeSchema).optional(),
  taxExcluded: z.boolean().optional(),
});

export type Term = z.output<typeof termSchema>;
export type Charge = z.output<typeof chargeSchema>;
export type Band = z.output<typeof bandSchema>;
export type Allowance = z.output<typeof allowanceSchema>;
export type Features = z.output<typeof featuresSchema>;
export type Plan = z.output<typeof planSchema>;
export type Addon = z.output<typeof addonSchema>;
export type SharedAddon = z.output<typeof sharedAddonSchema>;
export type Offer = z.output<typeof offerSchema>;
export type Processor = z.output<typeof processorSchema>;
