import * as z from 'zod';
import { label, signedDecimal, slug } from '../fields/amounts';
import { dayField } from '../fields/day';

/** A vendor that is not considered any more: kept with the reason, and not priced. */
export const setAsideSchema = z.strictObject({
  offer: slug,
  on: dayField,
  reason: label,
  /** By how much it was the best when it was set aside, base currency; 0 where it was not. */
  ahead: signedDecimal,
});

export type SetAside = z.output<typeof setAsideSchema>;
