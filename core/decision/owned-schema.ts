import * as z from 'zod';
import { amount, currencyCode, label, monthField, slug, wholeNumber } from '../fields/amounts';

/** Something the seller has already: a mailing tool until June, a domain, a theme. */
export const ownedSchema = z.strictObject({
  id: slug,
  label,
  /** What it is there for; what a candidate has itself makes it superfluous. */
  features: z.array(slug),
  /** What each renewal costs; `months` between them, 0 = bought once and for good. */
  amount,
  months: wholeNumber(0, 1200),
  currency: currencyCode.optional(),
  /** The last month that is paid for already. */
  paidUntil: monthField.optional(),
  /** Candidates with which it goes on, or ends, whatever they have themselves. */
  keptWith: z.array(slug).optional(),
  endsWith: z.array(slug).optional(),
});

export type Owned = z.output<typeof ownedSchema>;
