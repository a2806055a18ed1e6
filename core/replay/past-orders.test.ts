import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ordersFrom, type PastOrders, pastOrdersOf } from './past-orders';

const order = fc.record({
  date: fc.integer({ min: 0, max: 13 }).map((month) => `${2025 + Math.floor(month / 12)}-${String((month % 12) + 1).padStart(2, '0')}-17`),
  value: fc.integer({ min: 1, max: 99_999 }).map((cents) => (cents / 100).toFixed(2)),
  stream: fc.integer({ min: 0, max: 2 }),
  card: fc.constantFrom('domestic', 'international'),
  refunded: fc.boolean(),
});
/** What orders are, without how finely their units are told. */
function told(orders: PastOrders | null) {
  if (!orders) return null;
  return {
    start: orders.start,
    starts: [...orders.starts],
    orders: [...orders.units].map((units, at) => [
      orders.day[at],
      units / 10 ** orders.digits,
      orders.stream[at],
      orders.kinds[orders.kind[at] ?? 0],
      orders.refunded[at],
    ]),
  };
}

describe('orders from a month on', () => {
  it('are those that were placed from then on, as if there were no others', () => {
    fc.assert(
      fc.property(
        fc.array(order, { minLength: 1, maxLength: 30 }),
        fc.constantFrom('2024-11', '2025-01', '2025-06', '2026-02', '2026-03'),
        (all, from) => {
          const found = pastOrdersOf(all);
          if (!found) throw new Error('orders are expected');
          const later = ordersFrom(found, from);
          expect(told(later)).toEqual(told(pastOrdersOf(all.filter(({ date }) => date >= from))));
          expect(later?.mostUnits ?? 0).toBe(Math.max(0, ...(later?.units ?? [])));
          expect(later?.months ?? 0).toBe((later?.starts.length ?? 1) - 1);
        },
      ),
      { numRuns: 200 },
    );
  });
});
