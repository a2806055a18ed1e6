import { type Decimal, decimal, plus, ZERO } from '../amount/decimal';
import type { PastOrders } from './past-orders';

/** A month's orders that differ in nothing but their value. */
export interface OrderCell {
  readonly stream: number;
  readonly card: string;
  readonly refunded: boolean;
  readonly count: Decimal;
  /** What customers paid for them together, base currency. */
  readonly value: Decimal;
}

/** Sums are exact up to here; what is more is put away in time. */
const FULL = Number.MAX_SAFE_INTEGER / 2;

/** Orders by month, added up where they are of the same stream and card, refunded or not; without empty cells. */
export function orderCells({ months, starts, units, digits, stream, streams, kind, kinds, refunded }: PastOrders): OrderCell[][] {
  const width = kinds.length * 2;
  return Array.from({ length: months }, (_, month) => {
    const counts = new Uint32Array(streams * width);
    const sums = new Float64Array(streams * width);
    const full = new Map<number, Decimal>();
    for (let at = starts[month] ?? 0; at < (starts[month + 1] ?? 0); at++) {
      const cell = (stream[at] ?? 0) * width + (kind[at] ?? 0) * 2 + (refunded[at] ?? 0);
      counts[cell] = (counts[cell] ?? 0) + 1;
      const sum = (sums[cell] ?? 0) + (units[at] ?? 0);
      sums[cell] = sum < FULL ? sum : 0;
      if (sum >= FULL) full.set(cell, plus(full.get(cell) ?? ZERO, decimal(sum)));
    }
    return [...counts.keys()]
      .filter((cell) => counts[cell] !== 0)
      .map((cell) => ({
        stream: Math.floor(cell / width),
        card: kinds[Math.floor((cell % width) / 2)] ?? '',
        refunded: cell % 2 === 1,
        count: decimal(counts[cell] ?? 0),
        value: plus(full.get(cell) ?? ZERO, decimal(sums[cell] ?? 0)).div(decimal(10).pow(digits)),
      }));
  });
}
