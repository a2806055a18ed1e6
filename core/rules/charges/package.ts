import * as z from 'zod';
import { amountOrNotKnown, positive } from '../../fields/amounts';
import { beyond, product } from '../expression/build';
import type { Expression } from '../expression/expression';
import { allowanceSchema, commonFields } from './charge-fields';
import type { ChargeKind, ChargeParts } from './kind';

/** So much for every package begun (decision file §4): ⌈max(0, q − free)/size⌉ × each. */
export const packageSchema = z.strictObject({
  ...commonFields,
  how: z.literal('package'),
  size: positive.nullable(),
  each: amountOrNotKnown,
  free: allowanceSchema.optional(),
});

export type Package = z.output<typeof packageSchema>;

export interface PackageParts extends ChargeParts {
  readonly free: Expression;
  readonly packages: Expression;
  readonly rate: Expression;
}

export const packaged: ChargeKind<Package, PackageParts> = {
  figures: { each: 'Price, or each', size: 'Package of', free: 'Free, or free for each' },
  rule(charge, counted) {
    const { quantity } = counted;
    const free = counted.free(charge.free);
    const packages: Expression = { is: 'packages', of: beyond(quantity, free), size: counted.figure('size', charge.size, '1') };
    const rate = counted.figure('each', charge.each);
    return { amount: product(packages, rate), quantity, free, packages, rate };
  },
};
