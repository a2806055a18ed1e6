import { describe, expect, it } from 'vitest';
import { addMonths } from '../calendar/month';
import { pastOrdersOf } from '../replay/past-orders';
import { smallDecision } from '../tests/small-decision';
import { hasSpread, spreadOfPast, withSpread } from './spread';

/** So many orders in each month from January 2025 on. */
function past(counts: readonly number[]) {
  const orders = pastOrdersOf(
    counts.flatMap((count, at) =>
      Array.from({ length: count }, () => ({
        date: `${addMonths('2025-01', at)}-10`,
        value: '20',
        stream: 0,
        card: 'domestic',
        refunded: false,
      })),
    ),
  );
  if (!orders) throw new Error('orders are expected');
  return orders;
}

const even = (months: number, count: number) => new Array<number>(months).fill(count);

describe('the spread of past orders', () => {
  it('is what counts scatter by chance where nothing else scatters', () => {
    // Three months of 100 scatter by 1/300, on 12 months of which the level took one, and the level itself by 1/1200:
    // 1.2816 × √(1/300 × 12/11 + 1/1200) = 0.0857.
    expect(spreadOfPast(past(even(12, 100)))).toEqual({ cautious: '-8', hopeful: '9', scatter: '100', months: 12 });
  });

  it('is wider the further stretches lie apart', () => {
    // Eight months, no season and no growth: four of 60, four of 140. By the median the level is 100.
    const found = spreadOfPast(past([...even(4, 60), ...even(4, 140)]));
    // Stretches: 0.6, 0.6, 0.867, 1.133, 1.4, 1.4 of 300.
    const scatter = [0.6, 0.6, 260 / 300, 340 / 300, 1.4, 1.4].reduce((sum, part) => sum + Math.log(part) ** 2, 0) / 6;
    // The deviation of the eight months is 42.76; by √8, of the level.
    const level = 42.76 / 100 / Math.sqrt(8);
    const off = 1.2816 * Math.sqrt((scatter * 8) / 7 + level ** 2);
    expect(found?.cautious).toBe(String(Math.round((Math.exp(-off) - 1) * 100)));
    expect(found?.hopeful).toBe(String(Math.round((Math.exp(off) - 1) * 100)));
    // Every month lies 40 off a hundred, eight of them with seven degrees of freedom: √(16 × 8/7).
    expect(found?.scatter).toBe(String(Math.round(Math.sqrt((16 * 8) / 7) * 100)));
  });

  it('allows for a season that was made from the same months', () => {
    const season = [40, 50, 80, 100, 140, 150, 150, 140, 100, 80, 60, 60];
    const [one, two] = [past(season), past([...season, ...season])].map((orders) => Number(spreadOfPast(orders)?.hopeful));
    expect(two).toBeLessThan(one ?? 0);
    expect(two).toBeGreaterThan(5);
  });

  it.each([
    ['five months', even(5, 100)],
    ['three months without orders', [10, 10, 10, 0, 0, 0, 10, 10, 10]],
  ])('is not told of %s', (_, counts) => {
    expect(spreadOfPast(past(counts))).toBeNull();
  });
});

describe('versions by the spread', () => {
  const spread = { cautious: '-12', hopeful: '14', scatter: '140', months: 20 };

  it('differ in orders alone, months scatter by it, and what else was stated is kept', () => {
    const decision = smallDecision({
      versions: { cautious: { orders: '-40', refunds: '2' } },
      chance: { seed: 3, spreads: { growth: '2' } },
    });
    expect(hasSpread(decision, spread)).toBe(false);
    const used = withSpread(decision, spread);
    expect(used.versions).toEqual({ cautious: { orders: '-12', refunds: '2' }, hopeful: { orders: '14' } });
    expect(used.chance).toEqual({ seed: 3, spreads: { growth: '2', scatter: '140' } });
    expect(hasSpread(used, spread)).toBe(true);
    expect(hasSpread(used, { ...spread, scatter: '100' })).toBe(false);
    expect(hasSpread(used, { ...spread, hopeful: '15' })).toBe(false);
  });
});
