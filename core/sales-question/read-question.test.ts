import { describe, expect, test } from 'vitest';
import { readQuestion } from './read-question';

const NOTHING = { label: null, kind: null, pace: null, price: null, every: null, currency: null, asks: null };
const read = (text: string) => {
  const found = Object.entries(readQuestion(text)).filter(([, value]) => value !== null);
  return Object.fromEntries(found);
};

describe('readQuestion', () => {
  test('what is sold, how often, at what price, and what is asked', () => {
    expect(readQuestion('30 courses a year at 60, is the dearer plan worth it?')).toEqual({
      ...NOTHING,
      label: 'Courses',
      kind: 'digital',
      pace: { ok: true, value: '2.5' },
      price: '60',
      asks: 'dearer-plan',
    });
  });

  test.each([
    [
      'I sell 120 box kites a month for 48 euros each',
      { label: 'Box kites', kind: 'goods', pace: { ok: true, value: '120' }, price: '48', currency: 'EUR' },
    ],
    ['about 3 orders a week, €35 each', { pace: { ok: true, value: '13' }, price: '35', currency: 'EUR' }],
    [
      '12 workshops per quarter at £140',
      { label: 'Workshops', kind: 'service', pace: { ok: true, value: '4' }, price: '140', currency: 'GBP' },
    ],
    ['1,200 prints yearly', { label: 'Prints', kind: 'goods', pace: { ok: true, value: '100' } }],
  ])('%s', (text, expected) => {
    expect(read(text)).toEqual(expected);
  });

  test('a range keeps both its ends', () => {
    expect(readQuestion('between 6 and 60 kites a year').pace).toEqual({
      ok: true,
      value: '2.75',
      between: { least: '0.5', most: '5' },
    });
  });

  test('members are counted as they are, and pay by the month or the year', () => {
    expect(read('200 members at 9 a month')).toEqual({
      label: 'Members',
      kind: 'subscription',
      pace: { ok: true, value: '200' },
      price: '9',
      every: 1,
    });
    expect(readQuestion('80 subscribers at 90 a year').every).toBe(12);
  });

  test.each([
    ['When should I move to the bigger plan?', 'moving'],
    ['Does paying by the year pay?', 'paying-ahead'],
    ['Would a designer pay for itself?', 'investment'],
    ['Is it worth upgrading?', 'dearer-plan'],
  ])('%s asks about %s', (text, asks) => {
    expect(readQuestion(text)).toEqual({ ...NOTHING, asks });
  });

  test('an amount of money is no count of what is sold', () => {
    expect(read('€2,000 a month in sales')).toEqual({ currency: 'EUR' });
  });

  test('what no field would take is not filled in: less than nothing, more than anybody sells, a range that goes down', () => {
    expect(read('-30 courses a year at -60')).toEqual({});
    expect(read('99999999999999 kites a month at 999999999999999999999')).toEqual({ label: 'Kites', kind: 'goods' });
    expect(readQuestion('60 to 5 kites a year').pace).toBeNull();
  });

  test('what says nothing of sales is only a question', () => {
    expect(readQuestion('Where should we sell?')).toEqual(NOTHING);
    expect(readQuestion('')).toEqual(NOTHING);
  });
});
