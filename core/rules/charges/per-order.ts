import * as z from 'zod';
import { Decimal } from '../../amount/decimal';
import { amountOrNotKnown } from '../../fields/amounts';
import { atLeast, atMost, beyond, constant, product, sumOf } from '../expression/build';
import type { Expression } from '../expression/expression';
import { allowanceSchema, commonFields } from './charge-fields';
import type { ChargeKind, ChargeParts, Counted, CountedStream, OrderSize } from './kind';

/** So much of every order (decision file §4): order value × percent/100 + each, not below `least` nor above `most`. */
export const perOrderSchema = z.strictObject({
  ...commonFields,
  how: z.literal('per-order'),
  percent: amountOrNotKnown.optional(),
  each: amountOrNotKnown.optional(),
  least: amountOrNotKnown.optional(),
  most: amountOrNotKnown.optional(),
  free: allowanceSchema.optional(),
  refund: z.enum(['kept', 'returned']).optional(),
});

export type PerOrder = z.output<typeof perOrderSchema>;

export interface PerOrderParts extends ChargeParts {
  readonly free: Expression;
  readonly streams: readonly StreamFees[];
}

/** What the orders of a stream come to, size by size. */
export interface StreamFees {
  readonly label: string;
  readonly sizes: readonly SizeFee[];
}

export interface SizeFee {
  readonly orders: Expression;
  readonly value: Expression;
  /** The fee on one order before `least` and `most`, and with them. */
  readonly plain: Expression;
  readonly fee: Expression;
}

export const perOrder: ChargeKind<PerOrder, PerOrderParts> = {
  figures: { each: 'Price, or each', percent: 'Percent', least: 'At least', most: 'At most', free: 'Free, or free for each' },
  rule(charge, counted) {
    const streams = counted.streams.map((stream) => streamFees(charge, counted, stream));
    const fees = charge.least == null && charge.most == null ? plainFees(charge, counted) : boundedFees(streams);
    const free = counted.free(charge.free);
    const quantity = counted.orders;
    const amount: Expression =
      charge.free === undefined ? fees : { is: 'proportion', of: fees, part: beyond(quantity, free), whole: quantity };
    return { amount, quantity, free, streams };
  },
  check({ on, least, most }, path, check) {
    if (on !== undefined && on !== 'orders') check.problem([...path, 'on'], 'a charge per order is always on orders');
    if (least != null && most != null && new Decimal(least).gt(most)) check.problem([...path, 'least'], 'use not more than most');
  },
};

/** Without bounds on the fee of an order, its sizes do not matter: sales × percent + orders × each. */
function plainFees(charge: PerOrder, counted: Counted): Expression {
  const ofSales = product(counted.sales, counted.percentage('percent', charge.percent));
  return sumOf(ofSales, product(counted.orders, counted.figure('each', charge.each)));
}

function boundedFees(streams: readonly StreamFees[]): Expression {
  return sumOf(...streams.flatMap(({ sizes }) => sizes.map(({ orders, fee }) => product(orders, fee))));
}

function streamFees(charge: PerOrder, counted: Counted, { label, orders, sizes }: CountedStream): StreamFees {
  const fees = sizes.map(({ share, value }: OrderSize) => {
    const plain = sumOf(product(value, counted.percentage('percent', charge.percent)), counted.figure('each', charge.each));
    const raised = charge.least == null ? plain : atLeast(plain, counted.figure('least', charge.least));
    const fee = charge.most == null ? raised : atMost(raised, counted.figure('most', charge.most));
    return { orders: share === null ? orders : product(orders, { ...constant(share), isPercent: true }), value, plain, fee };
  });
  return { label, sizes: fees };
}
