import { describe, expect, it } from 'vitest';
import { countedDay } from '../calendar/counted-day';
import { readDecisionFile } from '../decision-file/read';
import { type PastOrder, pastOrdersOf } from '../replay/past-orders';
import { chargedByMonth, feesCompared } from './charged-fees';
import { matchPayments } from './match-payments';
import type { Payment } from './read-payouts';

const order = (date: string, value: string, card = 'domestic'): PastOrder => ({ date, value, stream: 0, card, refunded: false });
const paid = (date: string, gross: number, fee = 0): Payment => ({
  day: countedDay(date),
  gross: gross * 10_000,
  fee: fee * 10_000,
  line: 2,
});

function ordersOf(all: readonly PastOrder[]) {
  const found = pastOrdersOf(all);
  if (!found) throw new Error('orders are expected');
  return found;
}

describe('payments and orders', () => {
  const orders = ordersOf([order('2027-01-10', '48'), order('2027-01-12', '48'), order('2027-01-12', '19.50'), order('2027-03-01', '48')]);
  const places = (payments: readonly Payment[]) => matchPayments(payments, orders).flatMap(({ orders: at }) => at);

  it('belong together by amount and day, each order once, the earliest first', () => {
    expect(places([paid('2027-01-12', 48), paid('2027-01-12', 19.5), paid('2027-01-13', 48), paid('2027-01-13', 48)])).toEqual([0, 2, 1]);
  });

  it.each<[string, number[]]>([
    ['2027-01-08', []],
    ['2027-01-09', [0]],
    ['2027-01-17', [0]],
    ['2027-01-18', [1]],
    ['2027-01-20', []],
    ['2027-02-28', [3]],
    ['2027-03-08', [3]],
    ['2027-03-09', []],
  ])('up to a day before the order and a week behind it: paid on %s', (date, found) => {
    expect(places([paid(date, 48)])).toEqual(found);
  });

  it('do not where the amount is another one', () => {
    expect(places([paid('2027-01-10', 48.01)])).toEqual([]);
  });

  it.each<[string, string, number, number[][]]>([
    ['the orders of a day', '2027-01-14', 67.5, [[1, 2]]],
    ['of some days on end', '2027-01-14', 115.5, [[1, 2, 0]]],
    ['none before its day', '2027-01-11', 67.5, []],
    ['none more than a week behind', '2027-01-20', 67.5, []],
    ['nor a part of a day', '2027-01-14', 29, []],
  ])('a payout is for %s', (_, date, gross, found) => {
    expect(matchPayments([paid(date, gross)], orders).map(({ orders: at }) => at)).toEqual(found);
  });

  it('a payout has none of the orders that were paid singly, and no order is in two', () => {
    const payments = [paid('2027-01-12', 19.5), paid('2027-01-13', 96), paid('2027-01-14', 96)];
    expect(matchPayments(payments, orders).map(({ orders: at }) => at)).toEqual([[2], [1, 0]]);
  });
});

describe('what was charged', () => {
  const file = readDecisionFile({
    format: 'venalis.decision',
    version: 2,
    name: 'Fees',
    currency: 'EUR',
    start: '2027-01',
    months: 12,
    forecast: {
      streams: [{ id: 's', label: 'Kites', kind: 'goods', orders: '1', orderValue: '1', cards: { domestic: '50', international: '50' } }],
    },
    offers: [
      {
        id: 'o',
        vendor: 'Birch',
        label: 'Birch',
        kind: 'k',
        plans: [
          {
            id: 'p',
            label: 'One',
            currency: 'EUR',
            terms: [{ id: 'm', months: 1, price: '10' }],
            charges: [
              { id: 'd', label: 'Card fee', how: 'per-order', bucket: 'payment', percent: '2', only: { cards: ['domestic'] } },
              { id: 'i', label: 'Abroad', how: 'per-order', bucket: 'payment', percent: '3', only: { cards: ['international'] } },
              // What the platform takes of sales is no business of whoever took the payment.
              { id: 't', label: 'Sales fee', how: 'per-order', percent: '5' },
            ],
          },
        ],
      },
    ],
    candidates: [{ id: 'A', label: 'Birch One', plans: [{ plan: 'p', term: 'm' }] }],
  });
  const orders = ordersOf([order('2027-01-10', '100'), order('2027-01-11', '200'), order('2027-02-01', '50', 'international')]);
  const payments = [paid('2027-01-10', 100, 2.9), paid('2027-01-11', 200, 5.8), paid('2027-02-02', 50, 1.5), paid('2027-02-03', 77, 2)];

  it('stands beside what the sheet says for the same orders, in all and by kind of card', () => {
    const found = feesCompared(file, orders, payments, 'A');
    // 2 % of 300 and 3 % of 50.
    expect(found?.all).toEqual({
      kind: '',
      payments: 3,
      gross: '350.00',
      charged: '10.20',
      bySheet: '7.50',
      chargedPercent: '2.91',
      bySheetPercent: '2.14',
    });
    expect(found?.kinds.map(({ kind, chargedPercent, bySheetPercent }) => [kind, chargedPercent, bySheetPercent])).toEqual([
      ['domestic', '2.90', '2.00'],
      ['international', '3.00', '3.00'],
    ]);
    expect(found?.unmatched).toBe(1);
  });

  it('is added up by month, with payments whose order is not known', () => {
    expect(chargedByMonth(payments, 'EUR')).toEqual({ '2027-01': '8.70', '2027-02': '3.50' });
  });

  it('is nothing where no order is known, and not told of a candidate that is not there', () => {
    expect(feesCompared(file, orders, [paid('2027-01-10', 77, 1)], 'A')?.all).toMatchObject({ payments: 0, chargedPercent: '0' });
    expect(feesCompared(file, orders, payments, 'B')).toBeNull();
  });
});
