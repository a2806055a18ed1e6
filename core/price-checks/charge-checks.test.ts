import { describe, expect, it } from 'vitest';
import type { Band, Plan } from '../decision-file/price-sheet-schema';
import type { PriceSheet } from '../decision/price-sheet';
import { kindCheck, magnitudeCheck, tierCheck } from './charge-checks';

const context = { today: '2026-11-25', base: 'EUR', write: (decimal: string) => `=${decimal}` };
const NAMES = ['Basic', 'Plus', 'Trade', 'Yard'];
const sheetOf = (plans: Array<Partial<Plan>>): PriceSheet => ({
  kind: 'offer',
  offer: {
    id: 'o',
    vendor: 'Oakum',
    label: 'Oakum',
    kind: 'hosting',
    plans: plans.map((more, index) => ({ id: `p${index}`, label: NAMES[index] ?? '', currency: 'EUR', terms: [], ...more })),
  },
});
const monthly = (price: string | null): Partial<Plan> => ({ terms: [{ id: 'm', months: 1, price }] });
const fee = (rate: { percent?: string | null; each?: string | null }): Partial<Plan> => ({
  charges: [{ id: 'fee', label: 'Sales fee', how: 'per-order', bucket: 'transaction', ...rate }],
});

describe('a tier that is dearer than the one below', () => {
  const asked = (bands: Band[], how: 'graduated' | 'volume' = 'graduated', label = 'Basic') =>
    tierCheck(sheetOf([{ label, charges: [{ id: 'c', label: 'Contacts', how, on: 'contacts', bands }] }]), context);

  it('is asked about with both rates', () => {
    const bands: Band[] = [
      { upTo: '120', each: '2.10' },
      { upTo: '600', each: '2.45', flat: '5' },
      { upTo: null, each: '0.95' },
    ];
    expect(asked(bands)).toEqual([
      {
        check: 'tier',
        place: 'p0 charge c',
        title: 'Basic, Contacts',
        figures: JSON.stringify(bands),
        question: 'From =120 on it gets dearer: =2.45 each + =5 up to =600 instead of =2.10 each. Tiers mostly fall; is it so on the page?',
      },
    ]);
    expect(asked(bands, 'volume', '')[0]?.title).toBe('This plan, Contacts');
  });

  it.each<[string, Band[], string | null]>([
    [
      'a percentage that rises',
      [
        { upTo: '9', percent: '1' },
        { upTo: null, percent: '2' },
      ],
      '=2% instead of =1%',
    ],
    [
      'the same rate',
      [
        { upTo: '9', percent: '1' },
        { upTo: null, percent: '1' },
      ],
      null,
    ],
    [
      'a rate that falls',
      [
        { upTo: '9', each: '2' },
        { upTo: null, each: '1' },
      ],
      null,
    ],
    ['nothing, then something', [{ upTo: '9' }, { upTo: null, each: '1' }], null],
    [
      'a package dearer per unit',
      [
        { upTo: '10', flat: '10' },
        { upTo: '20', flat: '31' },
      ],
      '=31 up to =20 instead of =10 up to =10',
    ],
    [
      'a package as dear per unit',
      [
        { upTo: '10', flat: '10' },
        { upTo: '20', flat: '20' },
      ],
      null,
    ],
    [
      'a package after a free one',
      [
        { upTo: '10', flat: '0' },
        { upTo: '20', flat: '20' },
      ],
      null,
    ],
    [
      'a package without end',
      [
        { upTo: '10', flat: '10' },
        { upTo: null, flat: '90' },
      ],
      null,
    ],
    [
      'a package with a rate beside it',
      [
        { upTo: '10', flat: '10', each: '1' },
        { upTo: '20', flat: '90', each: '1' },
      ],
      null,
    ],
  ])('%s', (_what, bands, words) => {
    const [finding] = asked(bands);
    if (words === null) expect(finding).toBeUndefined();
    else expect(finding?.question).toContain(words);
  });

  it('is looked for in bands alone', () => {
    expect(tierCheck(sheetOf([fee({ percent: '2' }), monthly('9')]), context)).toEqual([]);
  });
});

describe('a percentage among amounts, or an amount among percentages', () => {
  const asked = (...rates: Array<{ percent?: string | null; each?: string | null }>) => kindCheck(sheetOf(rates.map(fee)), context);

  it('is asked about, with what the neighbours have', () => {
    expect(asked({ each: '0.50' }, { each: '0.40' }, { percent: '0.30' })).toEqual([
      {
        check: 'kind',
        place: 'p2 charge fee',
        title: 'Trade, Sales fee',
        figures: '=0.30%',
        question: '=0.30%: its neighbours have an amount. Is a fixed amount meant?',
      },
    ]);
    expect(asked({ percent: '2' }, { percent: '1' }, { each: '0.5' })).toMatchObject([
      { place: 'p2 charge fee', figures: '=0.5', question: '=0.5: its neighbours have a percentage. Is a percentage meant?' },
    ]);
  });

  it('of two plans alone the percentage is asked about', () => {
    expect(asked({ percent: '2' }, { each: '0.5' }).map(({ place }) => place)).toEqual(['p0 charge fee']);
    expect(asked({ percent: '2' }, { each: '0.5' }, { percent: '1', each: '0.2' })).toEqual([]);
  });

  it('leaves alone what costs nothing, has both, or is alike everywhere', () => {
    expect(asked({ each: '0.5' }, { each: '0.4' }, { percent: '0' })).toEqual([]);
    expect(asked({ percent: '2' }, { percent: '1' }, { each: '0' })).toEqual([]);
    expect(asked({ each: '0.5' }, { each: '0.4' }, { percent: '2', each: '0.3' })).toEqual([]);
    expect(asked({ percent: '2' }, { percent: '1' })).toEqual([]);
    expect(asked({ percent: '2' }, { percent: '1' }, { each: '0.5' }, { each: '0.4' })).toEqual([]);
    expect(kindCheck(sheetOf([monthly('9'), monthly('0.5')]), context)).toEqual([]);
  });
});

describe('an amount that is ten times its neighbours, or a tenth', () => {
  const prices = (...each: Array<string | null>) => magnitudeCheck(sheetOf(each.map(monthly)), context);

  it('is asked about beside the nearest', () => {
    expect(prices('12', '25', '250')).toEqual([
      {
        check: 'magnitude',
        place: 'p2 term 1',
        title: 'Trade, by the month',
        figures: '250 25',
        question: '=250 beside =25 for Plus: ten times its neighbour or more. Is the decimal sign where it should be?',
      },
    ]);
    expect(prices('2.5', '25', '60')).toMatchObject([
      { place: 'p0 term 1', figures: '2.5 25', question: expect.stringContaining('a tenth of its neighbour or less') as string },
    ]);
  });

  it('is not what is a little less than ten times, free, not known, or alone', () => {
    expect(prices('12', '25', '249.99')).toEqual([]);
    expect(prices('2.51', '25', '60')).toEqual([]);
    expect(prices('0', '25', '60')).toEqual([]);
    expect(prices(null, '25', '60')).toEqual([]);
    expect(prices('0', '250')).toEqual([]);
    // Of two, only the dearer is asked about.
    expect(prices('1', '10').map(({ place }) => place)).toEqual(['p1 term 1']);
  });

  it('is looked for in percentages and amounts of a fee by themselves', () => {
    const fees = magnitudeCheck(sheetOf([fee({ percent: '2.4', each: '0.25' }), fee({ percent: '24', each: '0.25' })]), context);
    expect(fees).toMatchObject([{ place: 'p1 charge fee', title: 'Plus, sales fee', figures: '24 2.4' }]);
    expect(magnitudeCheck(sheetOf([fee({ each: '0.2' }), fee({ each: '2.5' })]), context)).toMatchObject([{ figures: '2.5 0.2' }]);
    expect(magnitudeCheck(sheetOf([fee({ percent: null }), fee({ percent: '2' })]), context)).toEqual([]);
  });
});
