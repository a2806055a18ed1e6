import { describe, expect, it } from 'vitest';
import type { Plan, Term } from '../decision-file/price-sheet-schema';
import type { PriceSheet } from '../decision/price-sheet';
import { termWords } from '../wording/term-words';
import { monthForYearCheck, renewalCheck, savingCheck } from './term-checks';

const context = { today: '2026-11-25', base: 'EUR', write: (decimal: string) => `=${decimal}` };
const plan = (terms: Term[], label = 'Basic'): Plan => ({ id: 'p', label, currency: 'EUR', terms });
const sheet = (one: Plan, more: Partial<PriceSheet> = {}): PriceSheet =>
  ({ kind: 'offer', offer: { id: 'o', vendor: 'Oakum', label: 'Oakum', kind: 'hosting', plans: [one] }, ...more }) as PriceSheet;
const month = (price: string | null, more: Partial<Term> = {}): Term => ({ id: 'm', months: 1, price, ...more });
const year = (price: string | null, more: Partial<Term> = {}): Term => ({ id: 'y', months: 12, price, ...more });
const years = (months: number, price: string | null, more: Partial<Term> = {}): Term => ({ id: 'l', months, price, ...more });

describe('an advertised saving', () => {
  const saving = (terms: Term[], percent: string, label?: string) =>
    savingCheck(sheet(plan(terms, label), { savings: { p: percent } }), context);

  it('is asked about with what the figures give', () => {
    expect(saving([month('27'), year('258')], '25')).toEqual([
      {
        check: 'saving',
        place: 'p saving',
        title: '“Save =25%” by the year?',
        figures: '25 27 258',
        question: 'The page says so for Basic. Its own figures give =20.4%: =258 instead of =324. Which of them is wrong?',
      },
    ]);
  });

  it('is right as far as rounding goes, half a percent either way', () => {
    // 120 a year against 118.8 is 1%: half a percent more and less are left alone.
    expect(saving([month('10'), year('118.8')], '1.5')).toEqual([]);
    expect(saving([month('10'), year('118.8')], '0.5')).toEqual([]);
    expect(saving([month('10'), year('118.8')], '1.6')).toHaveLength(1);
    expect(savingCheck(sheet(plan([month('27'), year('258')])), context)).toEqual([]);
  });

  it('is asked about where there is nothing to hold it against', () => {
    const question = (terms: Term[], label?: string) => saving(terms, '20', label)[0]?.question;
    expect(question([year('258')])).toBe(
      'The page says so for Basic, but the sheet has no price by the month to hold against it. What is it?',
    );
    expect(question([month('27')], '')).toBe(
      'The page says so for This plan, but the sheet has no price by the year to hold against it. What is it?',
    );
    expect(question([month('0'), year('258')])).toContain('no price by the year');
    expect(savingCheck(sheet({ id: 'p', label: 'Basic', currency: 'EUR', terms: [] }, { savings: { p: '20' } }), context)).toHaveLength(1);
  });
});

describe('a month taken for a year', () => {
  const asked = (terms: Term[], stated?: string) =>
    monthForYearCheck(sheet(plan(terms), stated === undefined ? {} : { figures: { 'p term 1': { stated } } }), context);

  it('is a year that costs less than three months', () => {
    expect(asked([month('27'), year('24')])).toEqual([
      {
        check: 'month-for-year',
        place: 'p term 12',
        title: 'Basic, by the year',
        figures: '24 27',
        question: '=24 for a whole year, when a month costs =27? Pages often quote the month and bill the year: should it be =288?',
      },
    ]);
    expect(asked([month('27'), year('81')])).toEqual([]);
    expect(asked([month('27'), year('0')])).toEqual([]);
    expect(asked([month('27'), year(null)])).toEqual([]);
    expect(asked([year('24')])).toEqual([]);
  });

  it('is a price by the month whose own words say that it is billed by the year', () => {
    expect(asked([month('24')], '24 a month, billed yearly')).toEqual([
      {
        check: 'month-for-year',
        place: 'p term 1',
        title: 'Basic, by the month',
        figures: '24 24',
        question: 'The page’s words say “24 a month, billed yearly”. Is =24 a month really paid by the month, or =288 once a year?',
      },
    ]);
    expect(asked([month('24')], '24 a month')).toEqual([]);
    expect(asked([month('24')], '24 month-to-month, or 20 billed yearly')).toEqual([]);
    expect(asked([month('24')])).toEqual([]);
    expect(asked([year('24')], '24 a month, billed yearly')).toEqual([]);
  });
});

describe('what a second term costs', () => {
  const asked = (...terms: Term[]) => renewalCheck(sheet(plan(terms)), context);

  it.each<[NonNullable<Term['intro']>, string]>([
    [{ price: '36', periods: 1 }, '=36'],
    [{ price: null, periods: 1 }, 'not known'],
    [{ off: '50', periods: 1 }, '=50% off'],
  ])('is asked where only the introductory price is stated: %j', (intro, words) => {
    expect(asked(year(null, { intro }))).toEqual([
      {
        check: 'renewal',
        place: 'p term 12',
        title: 'Basic, by the year',
        figures: JSON.stringify([null, intro]),
        question: `The introductory price is stated (${words}), the price after it is not. What does the second term cost?`,
      },
    ]);
  });

  it('is asked of a price for two years and more that is less than half of that by the month', () => {
    // 24 × 9 ÷ 2 = 108.
    expect(asked(month('9'), years(24, '107.99'))).toEqual([
      {
        check: 'renewal',
        place: 'p term 24',
        title: `Basic, ${termWords(24)}`,
        figures: '["107.99",null]',
        question:
          'Less than half the price by the month, for 24 months: is =107.99 the price of the first term only? What does it renew at?',
      },
    ]);
    expect(asked(month('9'), years(24, '108'))).toEqual([]);
    expect(asked(month('9'), years(23, '50'))).toEqual([]);
    expect(asked(years(24, '50'))).toEqual([]);
    expect(asked(month('9'), years(24, null))).toEqual([]);
    expect(asked(month('9'), years(24, '50', { intro: { price: '20', periods: 1 } }))).toEqual([]);
    expect(asked(month('9'), year('50'))).toEqual([]);
  });
});
