import { describe, expect, it } from 'vitest';
import type { PriceSheet } from '../decision/price-sheet';
import { noteFigure } from '../price-sheet/figure-notes';
import { typedSheet } from '../tests/typed-sheet';
import { checkSheet, withReopened, withSettled } from './price-checks';

const context = { today: '2026-11-25', base: 'EUR', write: (decimal: string) => decimal };
const CARD = '2% + 0.25 per order';
const sheetOf = (plans: Record<string, string>, kind = 'hosting') => typedSheet('Oakum', plans, { kind, answers: ['each part'] });
const asked = (sheet: PriceSheet) => checkSheet(sheet, context).open.map(({ check, place, question }) => ({ check, place, question }));
const checks = (sheet: PriceSheet) => asked(sheet).map(({ check }) => check);

describe('checks of a price sheet', () => {
  it('an advertised saving that the figures do not give, with the real percentage', () => {
    expect(asked(sheetOf({ Basic: '27/mo, 258/yr, save 25%' }))).toEqual([
      {
        check: 'saving',
        place: 'oakum-basic saving',
        question: 'The page says so for Basic. Its own figures give 20.4%: 258 instead of 324. Which of them is wrong?',
      },
    ]);
    expect(checks(sheetOf({ Basic: '27/mo, 258/yr, save 20%' }))).toEqual([]);
    expect(asked(sheetOf({ Basic: '258/yr, save 20%' }))[0]?.question).toContain('no price by the month');
  });

  it('a year at the price of a month, and words that say it is billed by the year', () => {
    expect(asked(sheetOf({ Basic: '27/mo, 24/yr' }))).toMatchObject([
      { check: 'month-for-year', question: expect.stringContaining('should it be 288?') as string },
    ]);
    expect(checks(sheetOf({ Basic: '27/mo, 258/yr' }))).toEqual([]);
    const stated = noteFigure(sheetOf({ Basic: '24/mo' }), 'oakum-basic term 1', { stated: '24 a month, billed yearly' });
    expect(asked(stated)).toMatchObject([{ check: 'month-for-year', question: expect.stringContaining('288 once a year') as string }]);
  });

  it('a second-term price that is missing', () => {
    const withoutRenewal = sheetOf({ Basic: 'not known by the year (the first payment 36)' });
    expect(asked(withoutRenewal)).toMatchObject([{ check: 'renewal', place: 'oakum-basic term 12' }]);
    expect(checks(sheetOf({ Basic: '9/mo, 108 every 3 years' }))).toEqual(['renewal']);
    expect(checks(sheetOf({ Basic: '9/mo, 324 every 3 years (the first payment 108)' }))).toEqual([]);
  });

  it('a tier that is dearer per unit than the one below', () => {
    expect(asked(sheetOf({ Basic: '2.10 per subscriber up to 120, 2.45 up to 600, then 0.95' }))).toMatchObject([
      { check: 'tier', question: expect.stringContaining('From 120 on') as string },
    ]);
    expect(checks(sheetOf({ Basic: '2.10 per subscriber up to 120, 1.45 up to 600, then 0.95' }))).toEqual([]);
    expect(checks(sheetOf({ Basic: '60 up to 4,000 contacts; 190 up to 9,000' }))).toEqual(['tier']);
    expect(checks(sheetOf({ Basic: '60 up to 4,000 contacts; 130 up to 9,000' }))).toEqual([]);
  });

  it('a percentage where neighbours have an amount, and the other way round', () => {
    const plans = (last: string) => ({ Basic: 'Transaction fee: 0.50', Plus: 'Transaction fee: 0.40', Trade: `Transaction fee: ${last}` });
    expect(asked(sheetOf(plans('0.30%')))).toMatchObject([
      { check: 'kind', place: expect.stringContaining('oakum-trade charge') as string },
    ]);
    expect(checks(sheetOf(plans('0.30')))).toEqual([]);
    expect(checks(sheetOf({ Basic: 'Transaction fee: 2%', Plus: 'Transaction fee: 1%', Trade: 'Transaction fee: 0.5' }))).toEqual(['kind']);
  });

  it('an amount ten times or a tenth of its neighbours', () => {
    expect(asked(sheetOf({ Basic: '12/mo', Plus: '25/mo', Trade: '600/mo' }))).toMatchObject([
      { check: 'magnitude', place: 'oakum-trade term 1' },
    ]);
    expect(asked(sheetOf({ Basic: '1.2/mo', Plus: '25/mo', Trade: '60/mo' }))).toMatchObject([
      { check: 'magnitude', place: 'oakum-basic term 1' },
    ]);
    expect(checks(sheetOf({ Basic: '12/mo', Plus: '25/mo', Trade: '60/mo' }))).toEqual([]);
    expect(checks(sheetOf({ Basic: 'Card fee: 2.4% + 0.25', Plus: 'Card fee: 24% + 0.25' }))).toEqual(['magnitude']);
  });

  it('two statements of the same thing that differ', () => {
    expect(asked(noteFigure(sheetOf({ Basic: '27/mo' }), 'oakum-basic term 1', { otherwise: '29 by the month' }))).toMatchObject([
      { check: 'contradiction', question: expect.stringContaining('“29 by the month”') as string },
    ]);
  });

  it('currencies mixed within a sheet', () => {
    const mixed = sheetOf({ Basic: '27/mo', Plus: '54/mo' });
    if (mixed.kind !== 'offer') throw new Error('an offer is wanted');
    const [basic, plus] = mixed.offer.plans;
    if (!basic || !plus) throw new Error('two plans are wanted');
    expect(checks(mixed)).toEqual([]);
    expect(asked({ ...mixed, offer: { ...mixed.offer, plans: [basic, { ...plus, currency: 'USD' }] } })).toMatchObject([
      { check: 'currencies', question: expect.stringContaining('EUR for Basic; USD for Plus') as string },
    ]);
  });

  it('two plans of one name', () => {
    const sheet = sheetOf({ Basic: '27/mo', Plus: '54/mo' });
    if (sheet.kind !== 'offer') throw new Error('an offer is wanted');
    const plans = sheet.offer.plans.map((plan) => ({ ...plan, label: 'Basic' }));
    expect(asked({ ...sheet, offer: { ...sheet.offer, plans } })).toMatchObject([
      { check: 'name', place: 'oakum-plus', question: expect.stringContaining('same name') as string },
    ]);
  });

  it('a selling plan without any statement on payment fees', () => {
    expect(asked(sheetOf({ Basic: '27/mo', Plus: `54/mo, ${CARD}` }, 'store-platform'))).toMatchObject([
      { check: 'payment-fee', place: 'oakum-basic' },
    ]);
    expect(checks(sheetOf({ Basic: '27/mo' }, 'hosting'))).toEqual([]);
    expect(checks(sheetOf({ Basic: '27/mo, no processing fees' }, 'store-platform'))).toEqual([]);
  });

  it.each([
    ['99.9', '8.8 hours'],
    ['99.99', '53 minutes'],
    ['98', '175 hours'],
  ])('an uptime of %s %% in hours a year', (percent, words) => {
    expect(asked(sheetOf({ Basic: `27/mo, ${percent}% uptime` }))).toMatchObject([
      { check: 'uptime', question: expect.stringContaining(words) as string },
    ]);
  });

  it('a sheet seen half a year ago, and an offer that is over', () => {
    const sheet = sheetOf({ Basic: '27/mo, 1 for the first month, until 2026-10-31' });
    expect(checks({ ...sheet, seen: '2026-05-29' })).toEqual(['age', 'offer-over']);
    expect(checks({ ...sheet, seen: '2026-05-30' })).toEqual(['offer-over']);
  });

  it('is settled with a reason that is kept, and asked again once its figures change', () => {
    const sheet = sheetOf({ Basic: '27/mo, 258/yr, save 25%' });
    const [finding] = checkSheet(sheet, context).open;
    if (!finding) throw new Error('a finding is wanted');
    const settled = withSettled(sheet, finding, 'The page rounds up', '2026-11-25');
    expect(checkSheet(settled, context)).toMatchObject({ open: [], settled: [{ by: { reason: 'The page rounds up' } }] });
    expect(checks({ ...settled, savings: { 'oakum-basic': '30' } })).toEqual(['saving']);
    const [by] = settled.settled ?? [];
    expect(by && checks(withReopened(settled, by))).toEqual(['saving']);
  });

  it('settling one question leaves the others, and settling it anew takes the place of the first', () => {
    const sheet = sheetOf({ Basic: '27/mo, 258/yr, save 25%', Plus: '54/mo, 516/yr, save 30%' });
    const [first, second] = checkSheet(sheet, context).open;
    if (!first || !second) throw new Error('two findings are wanted');
    const both = withSettled(withSettled(sheet, first, 'one', '2026-11-25'), second, 'two', '2026-11-26');
    expect(both.settled?.map(({ place, reason, on }) => [place, reason, on])).toEqual([
      [first.place, 'one', '2026-11-25'],
      [second.place, 'two', '2026-11-26'],
    ]);
    expect(withSettled(both, first, 'three', '2026-11-27').settled?.map(({ reason }) => reason)).toEqual(['two', 'three']);
    const sameCheckElsewhere = { ...first, check: 'magnitude' };
    expect(withSettled(both, sameCheckElsewhere, 'four', '2026-11-27').settled).toHaveLength(3);
    expect(checkSheet(both, context).settled.map(({ finding, by }) => [finding.place, by.reason])).toEqual([
      [first.place, 'one'],
      [second.place, 'two'],
    ]);
    const [settledFirst] = both.settled ?? [];
    expect(settledFirst && checks(withReopened(both, settledFirst))).toEqual(['saving']);
    expect(settledFirst && withReopened(sheet, settledFirst).settled).toEqual([]);
    expect(settledFirst && withReopened(both, { ...settledFirst, check: 'magnitude' }).settled).toHaveLength(2);
  });

  it('one settled elsewhere, or about something else, does not settle it', () => {
    const sheet = sheetOf({ Basic: '27/mo, 258/yr, save 25%' });
    const [finding] = checkSheet(sheet, context).open;
    if (!finding) throw new Error('a finding is wanted');
    for (const other of [
      { ...finding, place: 'elsewhere' },
      { ...finding, check: 'magnitude' },
      { ...finding, figures: '1' },
    ])
      expect(checks(withSettled(sheet, other, 'no', '2026-11-25'))).toEqual(['saving']);
  });

  it('long figures are kept as far as a file holds them', () => {
    const long = 'x'.repeat(400);
    const sheet = noteFigure(sheetOf({ Basic: '27/mo' }), 'oakum-basic term 1', { otherwise: long });
    const [finding] = checkSheet(sheet, context).open;
    if (!finding) throw new Error('a finding is wanted');
    const settled = withSettled(sheet, finding, 'so', '2026-11-25');
    expect(settled.settled?.[0]?.figures).toHaveLength(300);
    expect(checks(settled)).toEqual([]);
  });

  it('a sheet is looked at anew where the day or the base currency is another', () => {
    const sheet = { ...sheetOf({ Basic: '27/mo' }), seen: '2026-11-01' };
    expect(checks(sheet)).toEqual([]);
    expect(checkSheet(sheet, { ...context, today: '2027-11-25' }).open.map(({ check }) => check)).toEqual(['age']);
  });
});
