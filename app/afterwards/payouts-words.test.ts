import { describe, expect, it } from 'vitest';
import type { ChargedFees, FeesCompared } from '#core/past-orders/charged-fees';
import type { PayoutsRead } from '../../workers/past-orders';
import { writerFor } from '../locale/writer';
import { chargedWords, payoutsReadWords } from './payouts-words';

const write = writerFor('en-GB', 'EUR');
const fees = (charged: string, bySheet: string, chargedPercent: string, bySheetPercent: string): ChargedFees => ({
  kind: '',
  payments: 31,
  gross: '1400.00',
  charged,
  bySheet,
  chargedPercent,
  bySheetPercent,
});
const compared = (all: ChargedFees, unmatched = 0): FeesCompared => ({ all, kinds: [], unmatched });

describe('what was charged, in words', () => {
  it.each([
    [fees('40.60', '36.40', '2.90', '2.60'), 'Charged 2.9% where the sheet says 2.6%: €4 more on 31 payments.'],
    [fees('36.40', '50.40', '2.60', '3.60'), 'Charged 2.6% where the sheet says 3.6%: €14 less on 31 payments.'],
    [fees('36.40', '36.10', '2.60', '2.58'), 'Charged 2.6% on 31 payments, as the sheet says.'],
  ])('is more, less or what the sheet says', (all, words) => {
    expect(chargedWords(compared(all), write)).toBe(words);
  });
});

describe('what was read of a list of payments', () => {
  const read = (more: Partial<PayoutsRead> = {}): PayoutsRead => ({
    name: 'p.csv',
    payments: 31,
    others: 0,
    unread: { count: 0, first: [] },
    months: {},
    compared: null,
    ...more,
  });
  const all = fees('40.60', '36.40', '2.90', '2.60');

  it.each<[PayoutsRead, boolean, string[]]>([
    [read({ compared: compared(all) }), true, ['31 payments were read.']],
    [read({ compared: compared(all, 1) }), true, ['31 payments were read.', 'For 1 payment no order of that day and amount was kept.']],
    [
      read({ payments: 1, others: 2, unread: { count: 1, first: [{ line: 5, why: '“soon” is not a day.' }] } }),
      false,
      [
        '1 payment was read.',
        '2 lines are left out: refunds, transfers or monthly fees.',
        '1 line cannot be read; line 5: “soon” is not a day.',
        'Keep the orders of the same months under past orders, and they are set beside what the sheet says.',
      ],
    ],
    [
      read(),
      true,
      [
        '31 payments were read.',
        'None of them is for an order of that day and amount that was kept, so they can’t be set beside the sheet.',
      ],
    ],
    [read({ payments: 0, others: 1 }), true, ['No payment was found in it.', '1 line is left out: refunds, transfers or monthly fees.']],
  ])('says what is missing, and what to do', (found, hasOrders, words) => {
    expect(payoutsReadWords(found, hasOrders, write)).toEqual(words);
  });
});
