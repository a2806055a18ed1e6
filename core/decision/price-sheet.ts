import * as z from 'zod';
import { offerSchema, processorSchema, sharedAddonSchema } from '../decision-file/price-sheet-schema';
import { sheetNotesFields } from './sheet-notes';

/** A price sheet is a document of its own, usable in several decisions: a vendor's plans, a processor, or an add-on. */
export const priceSheetSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('offer'), ...sheetNotesFields, offer: offerSchema }),
  z.strictObject({ kind: z.literal('processor'), ...sheetNotesFields, processor: processorSchema }),
  z.strictObject({ kind: z.literal('addon'), ...sheetNotesFields, addon: sharedAddonSchema }),
]);

export type PriceSheet = z.output<typeof priceSheetSchema>;
export type OfferSheet = Extract<PriceSheet, { kind: 'offer' }>;
export type ProcessorSheet = Extract<PriceSheet, { kind: 'processor' }>;
export type AddonSheet = Extract<PriceSheet, { kind: 'addon' }>;
