import * as z from 'zod';
import { slug } from '../fields/amounts';

const word = z.string().max(60);

/** How past orders belong to a decision; the orders themselves are kept apart, and are no part of its file. */
export const pastOrdersSchema = z.strictObject({
  /** The stream of each place of selling that orders name; null where its orders are left out. */
  streams: z.record(word, slug.nullable()).optional(),
  /** The country whose cards are domestic, as orders name it. */
  home: word.optional(),
});

export type PastOrdersOf = z.output<typeof pastOrdersSchema>;
