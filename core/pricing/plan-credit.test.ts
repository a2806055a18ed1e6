import { expect, it } from 'vitest';
import type { Charge } from '../decision-file/price-sheet-schema';
import { onePlan, type OnePlan, withPlan } from '../tests/one-plan';
import { ledgerOf } from './ledger';

const credit = (each: string, more: Partial<Charge> = {}) =>
  ({ id: 'c', label: 'Credit', how: 'per-order', each, credit: true, against: 'plan', ...more }) as Charge;
const creditsOf = (made: OnePlan) =>
  ledgerOf(onePlan(made), withPlan())
    .lines.filter(({ bucket }) => bucket === 'credit')
    .map(({ month, amount, source }) => `${month} ${amount.toFixed(2)} ${source.kind === 'charge' ? source.charge : ''}`);

it('pays for the plan from the month after it was earned, and never more than is due', () => {
  // Ten orders earn 8 a month: 8 of February's 10, and of March's.
  expect(creditsOf({ plan: { charges: [credit('0.8')] } })).toEqual(['1 -8.00 c', '2 -8.00 c']);
  expect(creditsOf({ plan: { charges: [credit('1.5')] } })).toEqual(['1 -10.00 c', '2 -10.00 c']);
});

it('is kept until something is due', () => {
  const terms = [{ id: 't', months: 2, price: '30' }];
  expect(creditsOf({ plan: { terms, charges: [credit('0.8')] } })).toEqual(['2 -16.00 c']);
});

it('leaves to a second credit what the first has not paid', () => {
  expect(creditsOf({ plan: { charges: [credit('0.8'), credit('0.5', { id: 'd' })] } })).toEqual([
    '1 -8.00 c',
    '2 -8.00 c',
    '1 -2.00 d',
    '2 -2.00 d',
  ]);
});

it('is taxed as its plan is, unless it says otherwise', () => {
  const taxOf = (more: Partial<Charge>) =>
    ledgerOf(onePlan({ plan: { taxExcluded: true, charges: [credit('0.8', more)] }, file: { months: 2, feeTax: '10' } }), withPlan())
      .lines.filter(({ bucket }) => bucket === 'tax')
      .map(({ amount }) => amount.toFixed(2));
  expect(taxOf({})).toEqual(['1.00', '0.20']);
  expect(taxOf({ taxExcluded: false })).toEqual(['1.00', '1.00']);
});
