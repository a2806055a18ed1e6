import { describe, expect, it } from 'vitest';
import type { Charge, Plan } from '../decision-file/price-sheet-schema';
import { chargeInRow, chargeRows, withChargeAmounts } from './charge-rows';
import { newOffer, withCopiedPlan, withIntroductoryPrice, withTermPrice } from './edit-offer';
import { narrowedWords, rateWords } from './rate-words';
import { monthlyEquivalent } from './term-price';
import { termWords } from './term-words';

const ids = () => {
  let next = 0;
  return () => `id${next++}`;
};
const plan = (terms: Plan['terms']): Plan => ({ id: 'p', label: 'p', currency: 'EUR', terms });

describe('terms', () => {
  it.each([
    [0, 'once, for good'],
    [1, 'by the month'],
    [12, 'by the year'],
    [36, 'every 3 years'],
    [5, 'every 5 months'],
  ])('%i months are paid %s', (months, words) => {
    expect(termWords(months)).toBe(words);
  });

  it('are compared by the month, with what they really save', () => {
    const terms = [
      { id: 'm', months: 1, price: '27' },
      { id: 'y', months: 12, price: '258' },
    ];
    expect(monthlyEquivalent(plan(terms), { id: 'y', months: 12, price: '258' })).toEqual({ perMonth: '21.50', saved: '20' });
    expect(monthlyEquivalent(plan([]), { id: 'y', months: 12, price: '100' })).toEqual({ perMonth: '8.33', saved: null });
    expect(monthlyEquivalent(plan(terms), { id: 'y', months: 12, price: null })).toBeNull();
  });

  it('are added, changed and removed by their length', () => {
    const newId = ids();
    const both = withTermPrice(withTermPrice([], 12, '100', newId), 1, '9', newId);
    expect(both.map(({ months, price }) => [months, price])).toEqual([[1, '9'], [12, '100']]);
    expect(withTermPrice(both, 12, null, newId).find(({ months }) => months === 12)).toMatchObject({ id: 'id0', price: null });
    expect(withTermPrice(both, 1, undefined, newId)).toHaveLength(1);
  });

  it('take and lose an introductory price', () => {
    const term = { id: 'm', months: 1, price: '27' };
    expect(withIntroductoryPrice(term, '2', 3)).toEqual({ ...term, intro: { price: '2', periods: 3 } });
    expect(withIntroductoryPrice({ ...term, intro: { price: '2', periods: 3 } }, undefined, 3)).toEqual(term);
  });
});

describe('rows of charges', () => {
  const card: Charge = { id: 'a', label: 'Card fee', how: 'per-order', bucket: 'payment', percent: '2', each: '0.25' };
  const [row] = chargeRows([{ charges: [card] }]);

  it('join what means the same in several plans', () => {
    const rows = chargeRows([{ charges: [card] }, { charges: [{ ...card, id: 'b', percent: '1.5' }] }, { charges: [{ ...card, id: 'c', only: { cards: ['domestic'] } }] }]);
    expect(rows).toHaveLength(2);
  });

  it('make a charge with its first amount and remove it with its last', () => {
    if (!row) throw new Error('a row is expected');
    const made = withChargeAmounts(undefined, row, { percent: '1.8' }, ids());
    expect(made).toEqual([{ id: 'id0', label: 'Card fee', how: 'per-order', bucket: 'payment', percent: '1.8' }]);
    expect(withChargeAmounts(made, row, { each: '0.3' }, ids())[0]).toMatchObject({ id: 'id0', percent: '1.8', each: '0.3' });
    expect(withChargeAmounts(made, row, { percent: undefined }, ids())).toEqual([]);
    expect(withChargeAmounts(undefined, row, { percent: undefined }, ids())).toEqual([]);
    expect(chargeInRow(made, row)).toBe(made[0]);
  });
});

describe('plans', () => {
  it('are copied to the right with fresh identifiers and without the name', () => {
    const newId = ids();
    const offer = newOffer(newId, 'EUR');
    const first = { ...plan([{ id: 't', months: 1, price: '5' }]), charges: [{ id: 'c', label: 'f', how: 'per-order' as const }] };
    const [, copy] = withCopiedPlan({ ...offer, plans: [first] }, newId, 'EUR').plans;
    expect(copy).toMatchObject({ label: '', terms: [{ months: 1, price: '5' }], charges: [{ label: 'f' }] });
    expect([copy?.id, copy?.terms[0]?.id, copy?.charges?.[0]?.id]).not.toEqual(expect.arrayContaining(['p', 't', 'c']));
  });
});

describe('rates in words', () => {
  const base = { id: 'x', label: 'x' };
  it.each<[Charge, string]>([
    [{ ...base, how: 'per-order', percent: '1.7', each: '0.25' }, '1.7 % + 0.25'],
    [{ ...base, how: 'per-order', percent: '3', least: '0.3', most: '5', monthlyCap: '80' }, '3 %, at least 0.3, at most 5, at most 80 a month'],
    [{ ...base, how: 'per-order', percent: null }, 'not known'],
    [{ ...base, how: 'per-unit', each: '0.16', free: '220' }, '0.16 each, after 220 free'],
    [{ ...base, how: 'package', size: '1000', each: '4', free: { per: 'contacts', ratio: '4' } }, '4 for every 1000, after 4 for each of contacts free'],
    [{ ...base, how: 'graduated', bands: [{ upTo: '100', each: '2' }, { upTo: null, each: '1.5' }] }, '2 for the part up to 100; then 1.5'],
    [{ ...base, how: 'volume', bands: [{ upTo: '4000', flat: '60' }, { upTo: '9000', flat: '130' }] }, 'nothing and 60 flat for all, up to 4000; nothing and 130 flat for all, up to 9000'],
  ])('%#', (charge, words) => {
    expect(rateWords(charge, String)).toBe(words);
  });

  it('say what a charge is narrowed to', () => {
    expect(narrowedWords({ ...base, how: 'per-order', only: { cards: ['international'], payments: 'outside' } })).toBe('international cards, with an outside processor');
  });
});
