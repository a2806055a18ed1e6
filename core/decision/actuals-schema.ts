import * as z from 'zod';
import { amount, label, monthField, signedDecimal } from '../fields/amounts';

/** What a month really brought and cost, base currency; what is not known is left out. */
export const actualMonthSchema = z.strictObject({
  /** Orders, and what customers paid for them. */
  orders: amount.optional(),
  sales: amount.optional(),
  /** Bills: fees that go by sales (sales fees, card fees, usage), what is paid whatever is sold (plans, add-ons, other costs), and what nobody expected. */
  fees: signedDecimal.optional(),
  fixed: signedDecimal.optional(),
  surprises: signedDecimal.optional(),
  /** What the surprise was. */
  note: label.optional(),
});

export const actualsSchema = z.record(monthField, actualMonthSchema);

export type ActualMonth = z.output<typeof actualMonthSchema>;
export type Actuals = z.output<typeof actualsSchema>;
