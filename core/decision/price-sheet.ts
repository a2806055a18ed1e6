import * as z from 'zod';
import { offerSchema, processorSchema, sharedAddonSchema } from '../decision-file/price-sheet-schema';
import { dayField } from './decision-schema';

const evidence = {
  /** The day on which somebody last looked at the vendor's pricing page. */
  seen: dayField.optional(),
};

/** A price sheet is a document of its own, usable in several decisions: a vendor's plans, a processor, or an add-on. */
export const priceSheetSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('offer'), ...evidence, offer: offerSchema }),
  z.strictObject({ kind: z.literal('processor'), ...evidence, processor: processorSchema }),
  z.strictObject({ kind: z.literal('addon'), ...evidence, addon: sharedAddonSchema }),
]);

export type PriceSheet = z.output<typeof priceSheetSchema>;
export type OfferSheet = Extract<PriceSheet, { kind: 'offer' }>;
export type ProcessorSheet = Extract<PriceSheet, { kind: 'processor' }>;
