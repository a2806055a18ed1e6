import { describe, expect, it } from 'vitest';
import { RefusedFileError } from '../fields/problems';
import { takeOrders, withOrders } from './archived-orders';
import type { KeptOrders } from './kept-orders';

const kept = (name: string, days: readonly number[]): KeptOrders => {
  const zeros = days.map(() => 0);
  return {
    file: {
      name,
      orders: days.length,
      from: '2026-01-01',
      to: '2026-01-31',
      words: { currency: ['EUR'], country: [], means: [], channel: [''] },
    },
    parts: [
      {
        day: [...days],
        value: days.map(() => 480_000),
        refunded: zeros,
        number: zeros,
        currency: zeros,
        country: zeros,
        means: zeros,
        channel: zeros,
      },
    ],
  };
};

describe('past orders in a decision’s file', () => {
  const orders = [kept('one.csv', [20_500, 20_501]), kept('two.csv', [20_600])];

  it('come out as they went in, and leave the rest of the document as it was', () => {
    const document: unknown = JSON.parse(JSON.stringify(withOrders({ format: 'x', decision: {} }, orders)));
    expect(takeOrders(document)).toEqual({ document: { format: 'x', decision: {} }, orders });
  });

  it('are not there where there are none', () => {
    const archive = { format: 'x' };
    expect(withOrders(archive, [])).toBe(archive);
    expect(takeOrders(archive)).toEqual({ document: archive, orders: [] });
    expect(takeOrders('no document')).toEqual({ document: 'no document', orders: [] });
  });

  it.each<[unknown, string]>([
    ['all of them', 'pastOrders'],
    [[{ ...orders[0], customers: ['Somebody'] }], 'pastOrders[0]'],
    [[{ ...orders[0], parts: [{ ...orders[0]?.parts[0], value: [1, -1] }] }], 'pastOrders[0].parts[0].value[1]'],
    [[{ ...kept('short.csv', [20_500]), parts: [] }], 'pastOrders[0].file.orders'],
  ])('are refused with what is wrong: %j', (pastOrders, path) => {
    const refused = () => takeOrders({ format: 'x', pastOrders });
    expect(refused).toThrow(RefusedFileError);
    try {
      refused();
    } catch (error) {
      expect(error instanceof RefusedFileError && error.problems.some((problem) => problem.path.startsWith(path))).toBe(true);
    }
  });
});
