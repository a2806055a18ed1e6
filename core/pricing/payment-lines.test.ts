import { expect, it } from 'vitest';
import { onePlan, type OnePlan, withPlan } from '../tests/one-plan';
import { ledgerOf } from './ledger';

const linesOf = (made: OnePlan) => ledgerOf(onePlan(made), withPlan()).lines.map(({ month, amount }) => `${month} ${amount.toFixed(2)}`);
const spread = (months: number, term: object) => ({
  plan: { terms: [{ id: 't', ...term }] } as OnePlan['plan'],
  file: { months, basis: 'spread' as const },
});

it('stands in the month it is paid in', () => {
  expect(linesOf({ ...spread(4, { months: 2, price: '10' }), file: { months: 4 } })).toEqual(['0 10.00', '2 10.00']);
});

it('or spread over the months it pays for, the cents where they fall, the part past the horizon left out', () => {
  expect(linesOf(spread(3, { months: 3, price: '10' }))).toEqual(['0 3.33', '1 3.34', '2 3.33']);
  expect(linesOf(spread(4, { months: 3, price: '10' }))).toEqual(['0 3.33', '1 3.34', '2 3.33', '3 3.33']);
});

it('what is paid for good over the months that are left', () => {
  expect(linesOf(spread(4, { months: 0, price: '10' }))).toEqual(['0 2.50', '1 2.50', '2 2.50', '3 2.50']);
});
