import * as z from 'zod';
import { label, slug, wholeNumber } from '../fields/amounts';
import { dayField } from '../fields/day';

/** What a person states about the dates that matter. */
export const datesSchema = z.strictObject({
  /** The day on which the choice is joined; the first of the horizon unless stated. */
  joins: dayField.optional(),
  /** So many days ahead a calendar reminds of each. */
  remind: wholeNumber(0, 90).optional(),
  /** A price sheet is looked at again so many days after it was seen. */
  lookAgain: wholeNumber(7, 730).optional(),
  own: z
    .array(z.strictObject({ id: slug, on: dayField, what: label }))
    .max(200)
    .optional(),
});

export type DatesNoted = z.output<typeof datesSchema>;

export const USUAL_REMINDER_DAYS = 7;
export const USUAL_LOOK_AGAIN_DAYS = 180;
