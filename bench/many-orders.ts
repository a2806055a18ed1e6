import type { PastOrder } from '../core/replay/past-orders';
import { randomNumbers } from '../core/fit/stability';

/** Made-up past orders of a year, the same each time. */
export function* manyOrders(count: number): Generator<PastOrder> {
  const random = randomNumbers(5);
  const two = (number: number) => String(number).padStart(2, '0');
  for (let at = 0; at < count; at++)
    yield {
      date: `2026-${two(1 + (at % 12))}-${two(1 + (at % 28))}`,
      value: (5 + random() * 300).toFixed(2),
      stream: 0,
      card: 'domestic',
      refunded: at % 40 === 0,
    };
}
