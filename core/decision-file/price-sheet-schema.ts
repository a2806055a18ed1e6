import * as z from 'zod';
import { amount, currencyCode, label, slug } from '../fields/amounts';
import type { Allowance, Band } from '../rules/charges/charge-fields';
import { type Charge, chargeSchema } from '../rules/charges/kinds';
import { type Term, termSchema } from '../rules/terms/term';
import { extraSchema, featuresSchema, hoursSchema, liftSchema } from './seller-side-schema';

/** A payment on joining. */
export const joiningFeeSchema = z.strictObject({ label, amount });

export const planSchema = z.strictObject({
  id: slug,
  label,
  currency: currencyCode,
  terms: z.array(termSchema),
  charges: z.array(chargeSchema).optional(),
  limits: z.record(slug, amount).optional(),
  yearlyLimits: z.record(slug, amount).optional(),
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
  /** What this vendor takes of the seller, whichever plan it is; counted in its proposals (decision file §3, §10). */
  hours: hoursSchema.optional(),
  extras: z.array(extraSchema).optional(),
  lift: liftSchema.optional(),
});

export const processorSchema = z.strictObject({
  id: slug,
  label,
  currency: currencyCode,
  charges: z.array(chargeSchema).optional(),
  taxExcluded: z.boolean().optional(),
});

export type { Allowance, Band, Charge, Term };
export type { Features } from './seller-side-schema';
export type Plan = z.output<typeof planSchema>;
export type Addon = z.output<typeof addonSchema>;
export type SharedAddon = z.output<typeof sharedAddonSchema>;
export type Offer = z.output<typeof offerSchema>;
export type Processor = z.output<typeof processorSchema>;
