import { describe, expect, it } from 'vitest';
import type { OfferSheet, PriceSheet } from '../decision/price-sheet';
import { statementsOf, readPhrase } from '../price-phrase/read-phrase';
import { applyStatements } from './apply-statements';
import { typedSheet } from '../tests/typed-sheet';

const known = ['visits', 'seats', 'contacts'];
let next = 0;
const context = { known, newId: () => `n${next++}` };
const apply = (sheet: PriceSheet, text: string, plan = 'tidewrack-basic') =>
  applyStatements(sheet, plan, statementsOf(readPhrase(text)), context);
const planOf = (sheet: PriceSheet, index = 0) => (sheet as OfferSheet).offer.plans[index];
const basic = (text = '') => typedSheet('Tidewrack', { Basic: text });

describe('applyStatements', () => {
  it('adds terms by length and puts another price in the place of the former, which it keeps beside', () => {
    const { sheet } = apply(basic('27/mo, 258/yr'), '29/mo');
    expect(planOf(sheet)?.terms.map(({ months, price }) => [months, price])).toEqual([
      [1, '29'],
      [12, '258'],
    ]);
    expect(sheet.figures).toEqual({ 'tidewrack-basic term 1': { otherwise: '27 by the month' } });
  });

  it('hangs an introductory price on the term it fits', () => {
    const intro = (text: string, phrase: string) =>
      planOf(apply(basic(text), phrase).sheet)?.terms.map(({ months, intro: found }) => [months, found]);
    expect(intro('27/mo, 258/yr', '1 for the first month')).toEqual([
      [1, { price: '1', periods: 1 }],
      [12, undefined],
    ]);
    expect(intro('27/mo, 258/yr', 'first year 99')).toEqual([
      [1, undefined],
      [12, { price: '99', periods: 1 }],
    ]);
    expect(intro('90 a quarter', '25 % off the first 6 months')).toEqual([[3, { off: '25', periods: 2 }]]);
  });

  it('says what has nothing to belong to', () => {
    expect(apply(basic(), '1 for the first month').problems).toEqual([
      'an introductory price: there is no price yet that it could belong to',
    ]);
    expect(apply(basic(), '14-day free trial').problems).toHaveLength(1);
    expect(applyStatements(basic(), 'gone', [{ kind: 'trial', days: 3 }], context).problems).toEqual([
      'there is no such plan on the sheet any more',
    ]);
  });

  it('gives the price by the year from an advertised saving where the page has none', () => {
    const { sheet } = apply(basic('24/mo'), 'save 15 % by the year');
    expect(planOf(sheet)?.terms.at(-1)).toMatchObject({ months: 12, price: '244.80' });
    expect(sheet.savings).toEqual({ 'tidewrack-basic': '15' });
  });

  it('puts a fee in the place of the same fee, and others beside it', () => {
    const { sheet } = apply(apply(basic('2.7% + 25c'), '2.4% + 25c').sheet, '0.9% with an outside processor');
    expect(planOf(sheet)?.charges?.map(({ label, ...charge }) => [label, 'percent' in charge && charge.percent])).toEqual([
      ['Card fee', '2.4'],
      ['With an outside processor', '0.9'],
    ]);
  });

  it('counts what is extra beyond the limit that stands on the sheet, or beyond something not known', () => {
    const beyond = planOf(apply(basic('up to 5,000 emails'), '4 per extra 1,000 emails').sheet);
    expect(beyond).toMatchObject({ limits: {}, charges: [{ how: 'package', size: '1000', free: '5000' }] });
    expect(planOf(apply(basic(), '4 per extra 1,000 emails').sheet)?.charges).toMatchObject([{ free: null }]);
  });

  it('means the forecast’s quantity by another word for it', () => {
    expect(planOf(apply(basic(), 'up to 2 users, 5 per extra seat').sheet)).toMatchObject({
      limits: {},
      charges: [{ on: 'seats', free: '2' }],
    });
  });

  it('marks what no amount can state, and unmarks it again', () => {
    const { sheet } = apply(basic('max 400 products'), 'unlimited products');
    expect(sheet.marks).toEqual({ 'tidewrack-basic limit products': 'unlimited' });
    expect(planOf(sheet)?.limits).toEqual({});
    expect(apply(sheet, 'max 9 products').sheet.marks).toEqual({});
  });

  it('a processor has fees, and a fee by the month; an add-on has no joining fee: what cannot be is said', () => {
    const processor: PriceSheet = { kind: 'processor', processor: { id: 'pay', label: 'Pay', currency: 'EUR' } };
    const { sheet, problems } = apply(processor, '12/mo, 2.4% + 0.25, 258/yr, up to 2 seats', 'pay');
    expect(sheet).toMatchObject({
      processor: { charges: [{ label: 'Monthly fee', how: 'volume', bands: [{ upTo: null, flat: '12' }] }, { percent: '2.4' }] },
    });
    expect(problems).toHaveLength(2);
    const withAddon = typedSheet('Tidewrack', { Basic: '27/mo' }, { addons: { Club: '18/mo' } });
    expect(apply(withAddon, '50 setup', 'tidewrack-club').problems).toEqual([
      'a joining fee: an add-on has none; state it as paid once, for good',
    ]);
    expect(apply(withAddon, '50 setup').problems).toEqual([]);
  });

  it('notes until when and for whom an offer holds at the price before it', () => {
    const { sheet } = apply(basic(), '27/mo, 1 for the first month, until 31 December 2026, for new customers only');
    expect(sheet.figures).toEqual({ 'tidewrack-basic term 1': { until: '2026-12-31', forWhom: 'new customers' } });
    expect(apply(basic(), 'until 31 December 2026').problems).toHaveLength(1);
  });
});
