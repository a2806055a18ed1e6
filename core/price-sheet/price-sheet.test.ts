import { describe, expect, it } from 'vitest';
import type { Charge, Plan } from '../decision-file/price-sheet-schema';
import type { PriceSheet } from '../decision/price-sheet';
import { chargedKinds } from './charged-kinds';
import { typedSheet } from '../tests/typed-sheet';
import { withChargeRow, withOnly } from './edit-charge-row';
import { newOffer, withCopiedPlan } from './edit-offer';
import { gridRows } from './grid-rows';
import { columnsOf } from './parts';
import { narrowedWords, rateWords } from '../wording/rate-words';
import { monthlyEquivalent } from './term-price';
import { termWords } from '../wording/term-words';

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
});

describe('rows of charges', () => {
  const card = { id: 'a', label: 'Card fee', how: 'per-order' as const, bucket: 'payment' as const, percent: '2', each: '0.25' };
  const offer = {
    ...newOffer(ids(), 'EUR'),
    plans: [plan([]), plan([])].map((one, index) => ({
      ...one,
      id: `p${index}`,
      charges: [{ ...card, id: `c${index}`, percent: String(index) }],
    })),
  };
  const sheet: PriceSheet = { kind: 'offer', offer };
  const row = gridRows(sheet).find(({ title }) => title === 'Card fee');
  const charges = (changed: PriceSheet) => columnsOf(changed).map((part) => part.charges?.[0]);

  it('join what means the same in several plans, and are changed together', () => {
    if (!row) throw new Error('a row is expected');
    expect(
      gridRows(sheet)
        .filter(({ section }) => section === 'sale')
        .map(({ title }) => title),
    ).toEqual(['Card fee', 'Sales fee']);
    const narrowed = withChargeRow(sheet, row, { label: 'Domestic cards', only: withOnly(undefined, 'cards', ['domestic']) });
    expect(charges(narrowed)).toMatchObject([
      { id: 'c0', percent: '0', label: 'Domestic cards', only: { cards: ['domestic'] } },
      { id: 'c1', percent: '1', label: 'Domestic cards' },
    ]);
    const [again] = gridRows(narrowed).filter(({ title }) => title === 'Domestic cards');
    if (!again) throw new Error('a row is expected');
    expect(
      charges(withChargeRow(narrowed, again, { bucket: 'usage', on: 'contacts', only: withOnly({ cards: ['domestic'] }, 'cards', []) })),
    ).toEqual([
      { id: 'c0', label: 'Domestic cards', how: 'per-order', bucket: 'usage', percent: '0', each: '0.25', on: 'contacts' },
      { id: 'c1', label: 'Domestic cards', how: 'per-order', bucket: 'usage', percent: '1', each: '0.25', on: 'contacts' },
    ]);
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
    [{ ...base, how: 'per-order', percent: '1.7', each: '0.25' }, '1.7% + 0.25'],
    [
      { ...base, how: 'per-order', percent: '3', least: '0.3', most: '5', monthlyCap: '80' },
      '3%, at least 0.3, at most 5, at most 80 a month',
    ],
    [{ ...base, how: 'per-order', percent: null }, 'not known'],
    [{ ...base, how: 'per-unit', each: '0.16', free: '220' }, '0.16 each, after 220 free'],
    [
      { ...base, how: 'package', size: '1000', each: '4', free: { per: 'contacts', ratio: '4' } },
      '4 for every 1000, after 4 for each of contacts free',
    ],
    [
      {
        ...base,
        how: 'graduated',
        bands: [
          { upTo: '100', each: '2' },
          { upTo: null, each: '1.5' },
        ],
      },
      '2 for the part up to 100; then 1.5',
    ],
    [
      {
        ...base,
        how: 'volume',
        bands: [
          { upTo: '4000', flat: '60' },
          { upTo: '9000', flat: '130' },
        ],
      },
      '60 for all, up to 4000; 130 for all, up to 9000',
    ],
  ])('%#', (charge, words) => {
    expect(rateWords(charge, String)).toBe(words);
  });

  it('say what a charge is narrowed to', () => {
    expect(narrowedWords({ ...base, how: 'per-order', only: { cards: ['international'], payments: 'outside' } })).toBe(
      'cards from abroad, with an outside processor',
    );
    expect(narrowedWords({ ...base, how: 'per-order', only: { channels: ['own-site', 'marketplace', 'craft-fair'] } })).toBe(
      'on your own site or on a marketplace or craft fair',
    );
  });
});

describe('the kinds of cards that fees are narrowed to', () => {
  it('are those of plans, add-ons and processors, each once', () => {
    const shop = typedSheet('Oakmere', {
      Solo: '9/mo, 1.9% + 0.20 for domestic cards, 2.9% for cards from abroad',
      Duo: '19/mo, 1.7% + 0.20 for domestic cards',
    });
    const processor: PriceSheet = {
      kind: 'processor',
      processor: {
        id: 'p',
        label: 'Brindle',
        currency: 'EUR',
        charges: [{ id: 'c', label: 'Direct debit', bucket: 'payment', how: 'per-order', each: '0.35', only: { cards: ['direct-debit'] } }],
      },
    };
    expect(chargedKinds([shop, processor])).toEqual(['direct-debit', 'domestic', 'international']);
  });
});
