import { describe, expect, it } from 'vitest';
import { readDecisionFile } from '../decision-file/read';
import { forecastMonths } from '../forecast/forecast';
import { ONE } from '../amount/decimal';
import { pastOrdersOf } from '../replay/past-orders';
import { actualsOf, courseOf, withActuals, yearsOf } from './course';

const file = readDecisionFile({
  format: 'venalis.decision',
  version: 2,
  name: 'Course',
  currency: 'EUR',
  start: '2027-01',
  months: 3,
  forecast: {
    streams: [
      { id: 'a', label: 'A', kind: 'goods', orders: { start: '10', add: '1' }, orderValue: '1' },
      { id: 'b', label: 'B', kind: 'goods', orders: '99', orderValue: '1' },
    ],
  },
  offers: [],
  candidates: [],
});
const forecast = forecastMonths(file.forecast, file.start, file.months, ONE);
const orders = (...months: string[]) => {
  const found = pastOrdersOf(months.map((month) => ({ date: `${month}-05`, value: '1.25', stream: 0, card: 'domestic', refunded: false })));
  if (!found) throw new Error('orders are expected');
  return found;
};

describe('past months before those that are expected', () => {
  it('are counted, with what is expected of the streams that have past orders', () => {
    expect(courseOf(orders('2026-10', '2026-10', '2026-11'), forecast, 'EUR')).toEqual([
      { month: '2026-10', past: 2, sales: '2.50', expected: null },
      { month: '2026-11', past: 1, sales: '1.25', expected: null },
      { month: '2026-12', past: null, sales: null, expected: null },
      { month: '2027-01', past: null, sales: null, expected: '10.0000' },
      { month: '2027-02', past: null, sales: null, expected: '11.0000' },
      { month: '2027-03', past: null, sales: null, expected: '12.0000' },
    ]);
  });

  it('may be in the middle of them', () => {
    expect(courseOf(orders('2027-02'), forecast, 'EUR').map(({ past }) => past)).toEqual([null, 1, null]);
  });

  it('are set beside the same calendar months of the year that is expected', () => {
    expect(yearsOf(courseOf(orders('2026-01', '2026-01', '2026-02', '2026-07'), forecast, 'EUR'))).toEqual({
      past: 3,
      expected: '33.0',
      months: 3,
    });
    expect(yearsOf(courseOf(orders('2026-07'), forecast, 'EUR'))).toBeNull();
  });

  it('are real months where they lie within the expected ones; what was billed in them stays', () => {
    const actuals = actualsOf(courseOf(orders('2026-12', '2027-01', '2027-01', '2027-03'), forecast, 'EUR'));
    expect(actuals).toEqual({
      '2027-01': { orders: '2', sales: '2.50' },
      '2027-02': { orders: '0', sales: '0.00' },
      '2027-03': { orders: '1', sales: '1.25' },
    });
    expect(withActuals({ '2027-01': { orders: '9', fees: '3' }, '2027-06': { orders: '1' } }, actuals)).toEqual({
      ...actuals,
      '2027-01': { orders: '2', sales: '2.50', fees: '3' },
      '2027-06': { orders: '1' },
    });
  });
});
