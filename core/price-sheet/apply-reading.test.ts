import { describe, expect, it } from 'vitest';
import type { PriceSheet } from '../decision/price-sheet';
import { readPricePage } from '../price-page/read-price-page';
import { typedSheet } from '../tests/typed-sheet';
import { applyReading, type Differing, type ReadingAnswers } from './apply-reading';
import { gapsOf } from './gaps';
import { columnsOf, addonsOf, placeOf } from './parts';
import { sentencesOf } from './part-sentences';

const PAGE = `Oakmere

Solo
€7 a month, billed yearly
1 website
20 GB storage
Choose Solo

Duo
€13 a month, billed yearly
3 websites
100 GB storage
Choose Duo
Add-ons
Extra mailbox: €1.50 a month
All prices exclude VAT.
14-day free trial on every plan`;

let next = 0;
const apply = (sheet: PriceSheet, page = PAGE, answers: ReadingAnswers = {}, differing: Differing = 'take') =>
  applyReading(sheet, readPricePage(page), answers, differing, { known: [], newId: () => `n${(next += 1)}` });
const blank: PriceSheet = {
  kind: 'offer',
  offer: { id: 'o', vendor: '', label: '', kind: '', plans: [{ id: 'p', label: '', currency: 'EUR', terms: [] }] },
};
const written = (sheet: PriceSheet) =>
  [...columnsOf(sheet), ...addonsOf(sheet)].map((part) => [part.label, sentencesOf(part, (decimal) => decimal)]);

describe('a page put on a sheet', () => {
  it('fills a blank one: vendor, plans, add-ons, each figure with the page’s own words', () => {
    const { sheet, problems, linesAt } = apply(blank);
    expect(problems).toEqual([]);
    expect(sheet.kind === 'offer' && sheet.offer.label).toBe('Oakmere');
    expect(written(sheet)).toEqual([
      ['Solo', ['84 by the year (14 days free first)', 'at most 1 of sites', 'at most 20 of storage', 'plus tax']],
      ['Duo', ['156 by the year (14 days free first)', 'at most 3 of sites', 'at most 100 of storage', 'plus tax']],
      ['Extra mailbox', ['1.50 by the month']],
    ]);
    expect(sheet.figures?.['p limit storage']).toEqual({ stated: '20 GB storage' });
    expect(linesAt.get('p term 12')).toEqual([4, 17]);
  });

  it('completes one that is there; what is stated differently is told, and taken or kept', () => {
    const there = typedSheet('Oakmere', { Solo: '96/yr, up to 1 sites' });
    const taken = apply(there);
    expect(taken.differing.map(({ former, stated }) => [former, stated])).toEqual([['96 by the year', '€7 a month, billed yearly']]);
    expect(columnsOf(taken.sheet).map(({ label, terms }) => [label, terms?.[0]?.price])).toEqual([
      ['Solo', '84'],
      ['Duo', '156'],
    ]);
    const kept = apply(there, PAGE, {}, 'keep');
    expect(columnsOf(kept.sheet)[0]?.terms?.[0]?.price).toBe('96');
    expect(columnsOf(kept.sheet)[0]?.limits).toEqual({ sites: '1', storage: '20' });
  });

  it('leads from an allowance to the price beyond it, which it has become a part of', () => {
    const page = 'Oakmere\n\nSolo\n€7/month\n250 labels\nthen €0.09 each\n\nDuo\n€13/month\n900 labels\nthen €0.05 each';
    const { sheet, linesAt } = apply(blank, page);
    const [solo] = columnsOf(sheet);
    expect(solo).toMatchObject({ limits: {}, charges: [{ each: '0.09', free: '250' }] });
    const lineOf = (text: string) => page.split('\n').indexOf(text) + 1;
    expect(linesAt.get(placeOf(solo?.id ?? '', { kind: 'charge', id: solo?.charges?.[0]?.id ?? '' }))).toEqual([
      lineOf('250 labels'),
      lineOf('then €0.09 each'),
    ]);
    expect([...linesAt.keys()].some((place) => place.includes('limit'))).toBe(false);
  });

  it('leaves open what is asked until it is answered', () => {
    const page = 'Solo\n€59\n1 website\n2 users\n\nDuo\n€99\n3 websites\n9 users';
    expect(columnsOf(apply(blank, page).sheet).map(({ terms }) => terms)).toEqual([[], []]);
    expect(columnsOf(apply(blank, page, { 0: 1 }).sheet).map(({ terms }) => terms?.map(({ months, price }) => [months, price]))).toEqual([
      [[12, '59']],
      [[12, '99']],
    ]);
  });

  it('has a fee that is asked about as one that is not known, until it is answered', () => {
    const page = 'Brindle\nDebit cards 1.1% + 20p\nCredit cards 1.6% + 20p\nCards from abroad 2.9% + 20p';
    const feesOf = (answers: ReadingAnswers) => {
      const { sheet } = apply(blank, page, answers);
      const charges = sheet.kind === 'processor' ? (sheet.processor.charges ?? []) : [];
      return charges.map((charge) => [charge.label, charge.how === 'per-order' && charge.percent, charge.only?.cards]);
    };
    expect(feesOf({})).toEqual([
      ['Cards from abroad', '2.9', ['international']],
      ['Card fee', null, ['domestic']],
    ]);
    expect(feesOf({ 0: 1 })).toEqual([
      ['Cards from abroad', '2.9', ['international']],
      ['Credit cards', '1.6', ['domestic']],
    ]);
    expect(gapsOf(apply(blank, page).sheet)).toBe(1);
  });

  it('has an answered fee for all cards but those from abroad, which have one of their own', () => {
    const rates = (abroad: string) => {
      const page = `${PAGE}\nPayment fees\n1.5% + €0.25 for European cards\n${abroad}`;
      const { sheet } = apply(blank, page, { 0: 0 });
      return columnsOf(sheet)[0]?.charges?.map((charge) => [charge.how === 'per-order' && charge.percent, charge.only?.cards]);
    };
    expect(rates('2.9% + €0.25 for international cards')).toEqual([
      ['2.9', ['international']],
      ['1.5', ['domestic']],
    ]);
    expect(rates('Cards from abroad cost 1.2% more.')).toEqual([
      ['1.2', ['international']],
      ['1.5', undefined],
    ]);
  });

  it('has no fee where one that is asked about may be none', () => {
    const { sheet } = apply(blank, 'Oakmere\nSolo\n£9 per month, no contract, £10 set-up fee\n1 website\nDuo\n£19 per month\n3 websites');
    expect(columnsOf(sheet).flatMap(({ charges = [] }) => charges)).toEqual([]);
  });

  it('makes a blank sheet a processor’s where the page is one’s, and says where it cannot', () => {
    const page = 'Brindle\nUK cards 1.4% + 20p\nEuropean cards 2.4% + 20p\nInternational cards 3.1% + 20p';
    const { sheet } = apply(blank, page);
    expect(sheet.kind === 'processor' && sheet.processor.charges?.map(({ label }) => label)).toEqual([
      'UK cards',
      'European cards',
      'International cards',
    ]);
    expect(apply(typedSheet('Oakmere', { Solo: '9/mo' }), page).problems).toEqual([
      'the page is a payment processor’s, and this sheet has plans; begin a new sheet for it',
    ]);
  });
});
