import { describe, expect, it } from 'vitest';
import { monthlyPrices } from './monthly-prices';

const plan = { currency: 'EUR' };
const term = { id: 't', months: 12, price: '120' };

describe('what a month costs', () => {
  it('is a part of the term’s price, at first and later', () => {
    expect(monthlyPrices(plan, term)).toEqual({ now: '10.00', renewal: '10.00' });
    expect(monthlyPrices(plan, { ...term, intro: { price: '60', periods: 1 } })).toEqual({ now: '5.00', renewal: '10.00' });
    expect(monthlyPrices(plan, { ...term, intro: { off: '25', periods: 1 } })).toEqual({ now: '7.50', renewal: '10.00' });
    expect(monthlyPrices(plan, { ...term, renewal: { months: 1, price: '14' } })).toEqual({ now: '10.00', renewal: '14.00' });
  });

  it('is not told where it is not known, or paid once', () => {
    expect(monthlyPrices(plan, { ...term, price: null })).toEqual({ now: null, renewal: null });
    expect(monthlyPrices(plan, { ...term, price: null, intro: { off: '25', periods: 1 } })).toEqual({ now: null, renewal: null });
    expect(monthlyPrices(plan, { ...term, intro: { price: null, periods: 1 } })).toEqual({ now: null, renewal: '10.00' });
    expect(monthlyPrices(plan, { ...term, months: 0 })).toEqual({ now: null, renewal: null });
    expect(monthlyPrices(null, null)).toEqual({ now: null, renewal: null });
  });
});
