import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Decimal } from '../amount/decimal';
import type { DecisionFile } from '../decision-file/schema';
import { readOrNull } from '../tests/read-or-null';
import { richDecision } from '../tests/rich-decision';
import { forecastMonths } from './forecast';
import { numberForecast } from './number-forecast';

function expectAlike(numbers: Float64Array | null | undefined, exact: readonly Decimal[] | null | undefined) {
  expect(numbers?.length).toBe(exact?.length);
  exact?.forEach((value, month) => expect(numbers?.[month]).toBeCloseTo(value.toNumber(), 6));
}

function expectAsExact(file: DecisionFile) {
  const [numbers, exact] = [numberForecast(file), forecastMonths(file.forecast, file.start, file.months)];
  expectAlike(numbers.orders, exact.orders);
  expectAlike(numbers.sales, exact.sales);
  expect([...numbers.quantities.keys()].sort()).toEqual([...exact.quantities.keys()].sort());
  for (const [id, months] of exact.quantities) expectAlike(numbers.quantities.get(id), months);
  exact.streams.forEach((stream, index) => {
    const found = numbers.streams[index];
    expectAlike(found?.orders, stream.orders);
    expectAlike(found?.subscribers ?? undefined, stream.subscribers ?? undefined);
    expectAlike(found?.orderValue, stream.orderValue);
    expectAlike(found?.netOrderValue, stream.netOrderValue);
    expect(found?.channel).toBe(stream.channel);
    expect(found?.refunded).toBeCloseTo(stream.refunded.toNumber(), 12);
    expect(found?.cards.map(([kind]) => kind)).toEqual(stream.cards.map(([kind]) => kind));
    stream.cards.forEach(([, share], at) => expect(found?.cards[at]?.[1]).toBeCloseTo(share.toNumber(), 12));
  });
}

describe('the forecast in floating point', () => {
  it('is the exact one', () => {
    fc.assert(
      fc.property(richDecision, (made) => {
        const file = readOrNull(made);
        if (file) expectAsExact(file);
      }),
      { numRuns: 100 },
    );
  });

  it('counts what is per orders, sales or subscribers of some streams', () => {
    const file: DecisionFile = {
      format: 'venalis.decision',
      version: 2,
      name: 'q',
      currency: 'EUR',
      start: '2027-01',
      months: 4,
      forecast: {
        streams: [
          { id: 'kites', label: 'k', kind: 'goods', orders: { start: '3', add: '2' }, orderValue: { start: '10', growth: '1' } },
          { id: 'idle', label: 'i', kind: 'goods', orderValue: '5' },
          { id: 'club', label: 'c', kind: 'subscription', subscribers: { start: '7', joins: '2', churn: '5', every: 3 }, orderValue: '12' },
        ],
        drivers: {
          parcels: { per: 'orders', ratio: '1.5', streams: ['kites'] },
          bonus: { per: 'sales', ratio: '0.1', streams: ['kites', 'club'] },
          posts: { per: 'subscribers', ratio: '2', streams: ['kites', 'club'] },
          members: { per: 'subscribers', ratio: '1' },
          staff: '2',
          seats: { per: 'staff', ratio: '3' },
        },
      },
      offers: [],
      candidates: [],
    };
    expectAsExact(file);
    const numbers = numberForecast(file);
    // 3 × 1.5 and 5 × 1.5; 0.1 × (3 × 10 + 7/3 × 12); 2 × 7 and 2 × (7 × 0.95 + 2).
    expect(numbers.quantities.get('parcels')?.slice(0, 2)).toEqual(Float64Array.of(4.5, 7.5));
    expect(numbers.quantities.get('bonus')?.[0]).toBeCloseTo(5.8, 10);
    expect(numbers.quantities.get('posts')?.[1]).toBeCloseTo(17.3, 10);
    expect(numbers.quantities.get('seats')?.[3]).toBe(6);
    expect(numbers.streams[1]).toMatchObject({ channel: 'own-site', refunded: 0, cards: [['domestic', 1]] });
    expect([...(numbers.streams[1]?.orders ?? [])]).toEqual([0, 0, 0, 0]);
  });
});
