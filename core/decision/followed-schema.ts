import * as z from 'zod';
import { label, slug } from '../fields/amounts';
import { dayField } from '../fields/day';

/** A candidate that is what is proposed for its vendor, and goes along when the proposal changes. */
export const followedSchema = z.strictObject({
  candidate: slug,
  offer: slug,
  /** The one plan of the vendor that it keeps to, at its best term, add-ons and way of taking payments; the best of all where none is named. */
  plan: slug.optional(),
  /** A second vendor whose plan goes with it, where none of them does alone. */
  with: slug.optional(),
  /** Pinned: it stays as it is, whatever is proposed. */
  pinned: z.boolean().optional(),
  /** As it was when the person last looked: what it was made of in words, and its total in base currency; absent as long as it came by itself. */
  seen: z.strictObject({ on: dayField, made: label, total: z.string().max(40) }).optional(),
});

export type Followed = z.output<typeof followedSchema>;
