import { describe, expect, it } from 'vitest';
import { type OnePlan, onePlan, withPlan } from '../tests/one-plan';
import type { Candidate } from '../decision-file/candidate-schema';
import { ledgerOf, unknownPrices } from './ledger';

/** Every line as `month bucket amount`, with what was charged where that is in another currency. */
function linesOf(made: OnePlan, more: Partial<Candidate> = {}) {
  return ledgerOf(onePlan(made), withPlan(more)).lines.map(({ month, bucket, amount, charged, currency }) =>
    [month, bucket, amount.toFixed(2), ...(currency === 'EUR' ? [] : [charged.toFixed(), currency])].join(' '),
  );
}

const fee = { id: 'c', label: 'Fee', how: 'per-order' as const, each: '1.005' };

describe('a ledger', () => {
  it('has the payments first, then every charge by month, then own time, then tax', () => {
    const made = {
      plan: { charges: [{ ...fee, bucket: 'payment' as const }], taxExcluded: true },
      file: { months: 2, feeTax: '20', hourValue: '30' },
    };
    expect(linesOf(made, { hours: { setup: '2', monthly: '0.5' } })).toEqual([
      '0 plan 10.00',
      '1 plan 10.00',
      '0 payment 10.05',
      '1 payment 10.05',
      '0 time 75.00',
      '1 time 15.00',
      '0 tax 4.01',
      '1 tax 4.01',
    ]);
  });

  it('takes credits off, and the tax on them', () => {
    const made = { plan: { charges: [{ ...fee, each: '0.2', credit: true }], taxExcluded: true }, file: { months: 1, feeTax: '10' } };
    expect(linesOf(made)).toEqual(['0 plan 10.00', '0 credit -2.00', '0 tax 0.80']);
  });

  it('has no line for own time that is not spent, nor for tax that comes to nothing', () => {
    expect(linesOf({ file: { months: 1, feeTax: '20', hourValue: '30' } }, { hours: { setup: '0', monthly: '0' } })).toEqual([
      '0 plan 10.00',
    ]);
    expect(linesOf({ plan: { taxExcluded: true }, file: { months: 1 } })).toEqual(['0 plan 10.00']);
    expect(linesOf({ file: { months: 1, hourValue: '30' } }, { hours: { setup: '1' } })).toContain('0 time 30.00');
  });

  it('rounds in the vendor’s currency, then in the base currency', () => {
    const made = { plan: { currency: 'USD', charges: [fee] }, file: { months: 1, rates: { USD: '0.915' } } };
    // Ten orders at 1.005: 10.05 dollars, at 0.915 are 9.19575.
    expect(linesOf(made)).toEqual(['0 plan 9.15 10 USD', '0 transaction 9.20 10.05 USD']);
  });

  it('takes the tax of a charge from the charge itself, else from its plan', () => {
    const taxed = (own: boolean | undefined) =>
      linesOf({ plan: { charges: [{ ...fee, ...(own === undefined ? {} : { taxExcluded: own }) }] }, file: { months: 1, feeTax: '10' } });
    expect(taxed(undefined)).toEqual(['0 plan 10.00', '0 transaction 10.05']);
    expect(taxed(true)).toEqual(['0 plan 10.00', '0 transaction 10.05', '0 tax 1.01']);
  });

  it('leaves out and names what has no known price, each once and sorted', () => {
    const made: OnePlan = {
      plan: {
        terms: [{ id: 't', months: 1, price: null }],
        charges: [
          { ...fee, each: null },
          { ...fee, id: 'a' },
        ],
      },
      addons: [{ id: 'x', label: 'X', currency: 'EUR', terms: [{ id: 'm', months: 1, price: null }] }],
      file: { months: 1 },
    };
    const pricing = onePlan(made);
    const { lines, unknown } = ledgerOf(pricing, withPlan({ addons: [{ addon: 'x', term: 'm' }] }));
    expect(lines.map(({ source }) => (source.kind === 'charge' ? source.charge : source.kind))).toEqual(['a']);
    expect(unknown).toEqual(['c', 'p', 'x']);
    expect(unknownPrices(pricing, withPlan({ addons: [{ addon: 'x' }] }))).toEqual(['c', 'p']);
    expect(unknownPrices(onePlan(), withPlan())).toEqual([]);
  });
});
