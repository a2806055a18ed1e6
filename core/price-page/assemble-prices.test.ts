import { describe, expect, it } from 'vitest';
import { statementSentence, withPoint } from '../price-phrase/price-sentence';
import { assemblePrices } from './assemble-prices';
import type { PriceHints } from './price-terms';
import { pricePieces } from './price-pieces';

const NOTHING: PriceHints = { usualPer: null, paidAtOnce: null, hasMonthly: false, returnsToFull: false, lengths: [] };

function read(lines: readonly string[], hints: Partial<PriceHints> = {}) {
  const pieces = pricePieces(lines.map((plain, at) => ({ line: at + 1, plain })));
  const { facts, doubts } = assemblePrices(pieces, { ...NOTHING, ...hints });
  return [
    ...facts.map(({ statement }) => statementSentence(statement, withPoint)),
    ...doubts.map(({ about, options }) => `${about}? ${options.map(({ label }) => label).join(' | ')}`),
  ];
}

describe('prices put together from their pieces', () => {
  it.each<[string[], string[], Partial<PriceHints>?]>([
    [['¤13', '/month', 'billed annually'], ['156 by the year']],
    [['¤17', '¤13', '/month', 'billed annually'], ['156 by the year', '17 by the month'], { hasMonthly: true }],
    [['¤17', '¤13', '/month', 'billed annually'], ['156 by the year']],
    [
      ['¤9.9', 'per month', '¤118.8 billed once a year', 'or ¤12.9 month by month'],
      ['118.8 by the year', '12.9 by the month'],
    ],
    [
      ['¤19 / month', 'billed yearly, otherwise ¤24'],
      ['228 by the year', '24 by the month'],
    ],
    [['¤19 a month when billed yearly, else ¤24'], ['228 by the year', '24 by the month']],
    [['\uE000¤10\uE001', '¤7 /month', '¤84 billed yearly'], ['84 by the year', '10 by the month'], { hasMonthly: true }],
    [
      ['¤24 / month', 'or ¤240 / year (2 months free)'],
      ['24 by the month', '240 by the year'],
    ],
    [['¤39 a month billed monthly, ¤33 a month billed yearly'], ['39 by the month', '396 by the year']],
    [
      ['¤29', '/mo', 'billed annually (¤348)', '¤36/mo billed monthly'],
      ['348 by the year', '36 by the month'],
    ],
    [['¤1900', 'usd/month on a 3-year term'], ['68400 every 3 years']],
    [['¤0', '/month'], ['0 by the month']],
  ])('%j', (lines, expected, hints) => expect(read(lines, hints)).toEqual(expected));

  it.each<[string[], string[], Partial<PriceHints>?]>([
    [
      ['¤9.99', '¤2.29', '/mo', 'Billed as one payment of ¤82.44 for 36 months', 'Renews at ¤7.49/mo'],
      ['269.64 every 3 years (the first payment 82.44)'],
    ],
    [['¤5.99', '¤2.99', 'per month for 12 months', 'then ¤5.99 per month'], ['5.99 by the month (the first 12 payments 2.99 each)']],
    [
      ['¤1.99 /month', 'for the first 24 months, paid as ¤47.76', 'Regular price ¤6.49/month'],
      ['155.76 every 2 years (the first payment 47.76)'],
    ],
    [
      ['¤3.95', 'per month', 'Introductory price for 12 months, then ¤7.95 per month'],
      ['7.95 by the month (the first 12 payments 3.95 each)'],
    ],
    [['¤3.2 per month', 'renewal price ¤6 per month'], ['72 by the year (the first payment 38.4)'], { paidAtOnce: 12 }],
    [['¤72 ¤54', 'per year'], ['72 by the year (the first payment 54)'], { returnsToFull: true }],
  ])('lower at first: %j', (lines, expected, hints) => expect(read(lines, hints)).toEqual(expected));

  it.each<[string[], string[]]>([
    [['¤59'], ['period? a month | a year | once, for good']],
    [['¤72 ¤54', 'per year'], ['crossed-out? first 54, later 72 | 54 for as long as it is kept']],
    [['¤20 per year', '¤25 per year'], ['two-prices? 20 | 25']],
  ])('asked, not guessed: %j', (lines, expected) => expect(read(lines)).toEqual(expected));

  it('keeps a stated total although the month’s share is rounded, and asks where it cannot be that', () => {
    expect(read(['¤7 /mo', 'billed ¤80 yearly'])).toEqual(['80 by the year']);
    expect(read(['¤7 /mo billed yearly', '¤60 billed yearly'])).toEqual(['two-prices? 84 | 60']);
  });
});
