import * as z from 'zod';
import { amountOrNotKnown, positive } from '../../fields/amounts';
import { atLeast, difference, increase, NOTHING, product, soFar } from '../expression/build';
import type { Expression } from '../expression/expression';
import { commonFields } from './charge-fields';
import type { ChargeKind, ChargeParts } from './kind';

/**
 * Units bought ahead in packs, as soon as what is left does not cover the month; what is left over is kept (decision
 * file §4): with Q all that was counted since joining and P the packs bought before, max(0, ⌈(Q − opening)/size⌉ − P) × each.
 */
export const prepaidSchema = z.strictObject({
  ...commonFields,
  how: z.literal('prepaid'),
  size: positive.nullable(),
  each: amountOrNotKnown,
  opening: amountOrNotKnown.optional(),
});

export type Prepaid = z.output<typeof prepaidSchema>;

export interface PrepaidParts extends ChargeParts {
  /** What was counted since joining. */
  readonly used: Expression;
  /** Packs bought in the month. */
  readonly packs: Expression;
  readonly rate: Expression;
}

export const prepaid: ChargeKind<Prepaid, PrepaidParts> = {
  figures: { each: 'Price, or each', size: 'Package of', opening: 'There at the start' },
  rule(charge, counted) {
    const { quantity } = counted;
    const used = soFar(quantity);
    const beyond = atLeast(difference(used, counted.figure('opening', charge.opening)), NOTHING);
    // What was counted only grows, so that packs bought so far never do but grow.
    const packs = increase({ is: 'packages', of: beyond, size: counted.figure('size', charge.size, '1') });
    const rate = counted.figure('each', charge.each);
    return { amount: product(packs, rate), quantity, used, packs, rate };
  },
};
