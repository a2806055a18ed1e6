import { describe, expect, it } from 'vitest';
import type { ReplayAnswer } from '#core/replay/replay-answer';
import { writerFor } from '../locale/writer';
import {
  averageWords,
  besideForecastWords,
  courseWords,
  emptyMonthsWords,
  estimatedWords,
  foundWords,
  noticedWords,
  restsOnWords,
  sureWords,
  withoutOrdersWords,
  wouldHaveCostWords,
  spreadWords,
} from './past-orders-words';

const write = writerFor('en-GB', 'EUR');

function candidate(label: string, total: string, more: string, open: { usable?: boolean; unknown?: string[] } = {}) {
  const result = {
    id: label,
    total,
    buckets: {},
    monthly: [],
    perOrder: null,
    shareOfSales: null,
    keep: '0',
    prepaid: '0',
    outgrown: null,
    missing: [],
    unclear: [],
    unknown: open.unknown ?? [],
    noPaymentFee: [],
    usable: open.usable ?? true,
  };
  return { id: label, label, result, more, moreThanAverage: '0.00' };
}

const replay = (...candidates: ReplayAnswer['candidates']): ReplayAnswer => ({
  orders: 1_704,
  sales: '60000.00',
  salesAMonth: '5000.00',
  months: Array.from({ length: 12 }, (_, at) => `2025-${String(at + 1).padStart(2, '0')}`),
  empty: [],
  without: [],
  candidates,
  differing: [],
});

describe('what past orders would have cost', () => {
  it('is told in a sentence', () => {
    const [grow, trade] = [candidate('Grow', '2939.44', '0.00'), candidate('Trade', '3051.91', '112.47')];
    expect(wouldHaveCostWords(replay(grow, trade), write)).toBe(
      'Your 1,704 orders of 12 months would have cost least with Grow: €2,939, €112 less than Trade.',
    );
    expect(wouldHaveCostWords(replay(grow), write)).toBe('Your 1,704 orders of 12 months would have cost least with Grow: €2,939.');
    expect(wouldHaveCostWords(replay(grow, { ...trade, more: '0.20' }), write)).toContain('Grow: €2,939, as much as Trade.');
    expect(wouldHaveCostWords(replay(candidate('Seed', '1', '0', { usable: false })), write)).toBe(
      'Your 1,704 orders of 12 months could not have been sold with any candidate as it is.',
    );
  });

  it('stands beside the forecast', () => {
    const forecast = { orders: '190', sales: '7357', leader: 'Trade' };
    const told = replay(candidate('Grow', '1', '0'));
    expect(besideForecastWords(told, forecast, write)).toBe(
      'They had 142 orders and €5,000 a month, where you expect 190 and €7,357: at what you expect, Trade costs least.',
    );
    expect(besideForecastWords(told, { ...forecast, leader: 'Grow' }, write)).toMatch(/the same candidate costs least in both\.$/);
    expect(besideForecastWords(told, { ...forecast, leader: null }, write)).toBe('');
  });

  it.each([
    ['214.20', '€214 more than the average order shows'],
    ['-12.00', '€12 less than the average order shows'],
    ['0.80', ''],
  ])('fees on single orders of %s more: %j', (more, words) => {
    expect(averageWords(more, write)).toBe(words);
  });
});

it('what was noticed in a file is told as far as there was anything', () => {
  const nothing = {
    dayOrder: 'day-first' as const,
    decimalSign: '.' as const,
    furtherRows: 0,
    calledOff: 0,
    partlyRefunded: 0,
    free: 0,
    strayRefunds: 0,
    unread: { count: 0, first: [] },
    tooMany: [],
  };
  expect(noticedWords(nothing, write)).toEqual([]);
  expect(
    noticedWords(
      { ...nothing, furtherRows: 1, calledOff: 2, free: 1, partlyRefunded: 1, strayRefunds: 1_000, tooMany: ['channel'] },
      write,
    ),
  ).toEqual([
    '1 row belongs to an order that stands above.',
    '2 orders were called off, failed or a test, and are left out.',
    '1 order cost nothing and is left out.',
    '1 order was refunded in part, and counts as not refunded.',
    '1,000 refunds are for orders that are not in this file, and left out.',
    'The column for the place of selling looks like a list of those who ordered: nothing of it is kept.',
  ]);
});

describe('an estimate', () => {
  const words = (of: Parameters<typeof estimatedWords>[0]['of'], ...values: string[]) =>
    estimatedWords({ of }, values, ['domestic', 'international'], 'EUR', write);
  it('is written as its figure is', () => {
    expect(words('orders', '93')).toBe('93');
    expect(words('order-value', '46.5')).toBe('€46.50');
    expect(words('order-sizes', '1')).toBe('all alike');
    expect(words('order-sizes', '0.4', '2.2')).toBe('from 0.4 to 2.2 times the average');
    expect(words('cards', '69.1', '30.9')).toBe('domestic 69.1%, international 30.9%');
    expect(words('season', ...new Array<string>(12).fill('1'))).toBe('the same all year');
    expect(words('season', '0.5', '1', '1', '1', '1', '1.5', '1', '1', '1', '1', '1', '1')).toBe('Jan 0.5 to Jun 1.5');
  });

  const sure = (more: Partial<Parameters<typeof sureWords>[0]>) =>
    sureWords({ stream: 's', of: 'orders', typed: ['1'], past: ['1'], give: '4', orders: 1_288, months: 14, ...more }, 'EUR', write);
  it('says how sure it is', () => {
    expect(sure({})).toBe('± 4 in nine of ten cases');
    expect(sure({ of: 'order-value' })).toBe('± €4.00 in nine of ten cases');
    expect(sure({ of: 'refunds', give: '1.1' })).toBe('± 1.1 points in nine of ten cases');
    expect(sure({ of: 'growth', give: null })).toBe('rough: only 2 months have one a year before');
    expect(sure({ of: 'season', give: null, months: 30 })).toBe('from two years or more');
    expect(sure({ of: 'order-sizes', give: null })).toBe('');
    expect(restsOnWords({ orders: 1_288, months: 14 }, write)).toBe('1,288 orders in 14 months');
  });
});

it('months without orders are named', () => {
  expect(emptyMonthsWords([], write)).toBe('');
  expect(emptyMonthsWords(['2026-11', '2026-12'], write)).toBe(
    'There is no order of November 2026 and December 2026: if a file is missing, drop it here too.',
  );
  expect(emptyMonthsWords(['2026-01', '2026-02', '2026-03', '2026-04'], write)).toMatch(/^There is no order of 4 of these months:/);
});

it('streams without past orders are named', () => {
  expect(withoutOrdersWords([])).toBe('');
  expect(withoutOrdersWords(['Video club'])).toBe(
    'No past order belongs to Video club, so what it brings and costs is not in these figures.',
  );
});

it.each([
  [null, 'Past months before the expected ones'],
  [{ past: 1_000, expected: '1240.0', months: 12 }, 'You expect 24% more orders than the same 12 months had: 1,240 instead of 1,000.'],
  [{ past: 100, expected: '90.0', months: 1 }, 'You expect 10% fewer orders than the same month had: 90 instead of 100.'],
  [{ past: 1_000, expected: '1001.0', months: 12 }, 'You expect as many orders as the same 12 months had.'],
])('what is expected is set beside what was: %j', (years, words) => {
  expect(courseWords(years, write)).toBe(words);
});

it('a file is told by its orders and its days', () => {
  expect(foundWords({ orders: 1, from: '2026-05-05', to: '2026-05-05' }, write)).toBe('1 order of 5 May 2026');
  expect(foundWords({ orders: 1_200, from: '2026-05-05', to: '2026-06-01' }, write)).toBe('1,200 orders from 5 May 2026 to 1 June 2026');
});

describe('the spread of the past', () => {
  it.each([
    ['140', 'Single months lie 1.4 times as far apart as chance alone would have it.'],
    ['100', 'Single months lie apart as chance alone would have it.'],
  ])('says how far single months lie apart: %s', (scatter, words) => {
    const said = spreadWords({ cautious: '-20', hopeful: '25', scatter, months: 14 }, writerFor('en-GB', 'EUR'));
    expect(said).toBe(
      `Going by 14 months, one stretch of three months in ten comes out 20% below what level, growth and season say, and one in ten 25% above. ${words}`,
    );
  });
});
