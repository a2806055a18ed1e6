import * as z from 'zod';
import { amount, decimalField, share, slug } from '../fields/amounts';

const lift = decimalField({ least: '-100', most: '1000' });

/** A bigger investment (a designer, a custom build) against doing it oneself; amounts in base currency. */
export const investmentSchema = z.strictObject({
  /** The candidate with which one would do it oneself, and the one on which the money would be spent. */
  instead: slug,
  on: slug,
  /** Paid once: the build itself, photographs, texts. */
  build: amount,
  photographs: amount,
  texts: amount,
  /** Paid every month for looking after it. */
  upkeep: amount,
  /** Own hours that remain: briefing and proof-reading at first, and every month. */
  hours: z.strictObject({ setup: amount, monthly: amount }),
  /** Percent more online orders it is taken to bring. */
  lift: z.strictObject({ cautious: lift, expected: lift, hopeful: lift }),
  /**
   * Percent of a stream's orders from people who find the seller online, by the stream: only these grow. All of what is
   * sold online and none of what is sold in person, where it is not said.
   */
  foundOnline: z.record(slug, share).optional(),
});

export type Investment = z.output<typeof investmentSchema>;
