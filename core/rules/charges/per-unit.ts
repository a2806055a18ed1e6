import * as z from 'zod';
import { amountOrNotKnown } from '../../fields/amounts';
import { beyond, product, sumOf } from '../expression/build';
import type { Expression } from '../expression/expression';
import { allowanceSchema, commonFields } from './charge-fields';
import type { ChargeKind, ChargeParts } from './kind';

/** So much for every unit beyond what is free (decision file §4): max(0, q − free) × rate. */
export const perUnitSchema = z.strictObject({
  ...commonFields,
  how: z.literal('per-unit'),
  each: amountOrNotKnown.optional(),
  percent: amountOrNotKnown.optional(),
  free: allowanceSchema.optional(),
});

export type PerUnit = z.output<typeof perUnitSchema>;

export interface PerUnitParts extends ChargeParts {
  readonly free: Expression;
  readonly rate: Expression;
}

export const perUnit: ChargeKind<PerUnit, PerUnitParts> = {
  figures: { each: 'Price, or each', percent: 'Percent', free: 'Free, or free for each' },
  rule(charge, counted) {
    const { quantity } = counted;
    const free = counted.free(charge.free);
    const rate = sumOf(counted.figure('each', charge.each), counted.percentage('percent', charge.percent));
    return { amount: product(beyond(quantity, free), rate), quantity, free, rate };
  },
};
