import { expect, it } from 'vitest';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { Candidate } from '../decision-file/candidate-schema';
import { onePlan, type OnePlan, withPlan } from '../tests/one-plan';
import { streamsWithoutPaymentFee } from './no-payment-fee';

const fee = (more: Partial<Charge> = {}) =>
  ({ id: 'c', label: 'Fee', how: 'per-order', bucket: 'payment', percent: '2', ...more }) as Charge;
const forecast: DecisionForecast = {
  streams: [
    { id: 's', label: 's', kind: 'goods', orders: { start: '0', add: '5' }, orderValue: '10', cards: { domestic: '90', foreign: '10' } },
    { id: 'z', label: 'z', kind: 'goods', orders: '0', orderValue: '10' },
  ],
};
type DecisionForecast = NonNullable<NonNullable<OnePlan['file']>['forecast']>;
const without = (charges: Charge[], more: Partial<Candidate> = {}) =>
  streamsWithoutPaymentFee(onePlan({ plan: { charges }, file: { forecast } }), withPlan(more));

it('names streams with orders that meet no payment fee, and none without orders', () => {
  expect(without([])).toEqual(['s']);
  expect(without([fee()])).toEqual([]);
  expect(without([fee({ percent: '0' })])).toEqual([]);
  expect(without([fee({ percent: null })])).toEqual([]);
});

it('wants a fee for every kind of card that is used', () => {
  expect(without([fee({ only: { cards: ['domestic'] } })])).toEqual(['s']);
  expect(without([fee({ only: { cards: ['domestic'] } }), fee({ id: 'd', only: { cards: ['foreign'] } })])).toEqual([]);
});

it('wants it in every month with orders', () => {
  // Nothing is sold in January.
  expect(without([fee({ from: '2027-02' })])).toEqual([]);
  expect(without([fee({ from: '2027-03' })])).toEqual(['s']);
  expect(without([fee({ until: '2027-02' }), fee({ id: 'd', from: '2027-03' })])).toEqual([]);
});

it('takes nothing for a payment fee but what is charged on orders or sales for it', () => {
  expect(without([fee({ bucket: 'transaction' })])).toEqual(['s']);
  expect(without([fee({ credit: true })])).toEqual(['s']);
  expect(without([fee({ how: 'per-unit', on: 'subscribers' })])).toEqual(['s']);
  expect(without([fee({ how: 'per-unit', on: 'sales' })])).toEqual([]);
});
