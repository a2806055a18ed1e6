import { describe, expect, it } from 'vitest';
import { dayCounted } from '../calendar/counted-day';
import { readWrittenAmount } from './written-amount';
import { readWrittenDay } from './written-day';

describe('a day as an export writes it', () => {
  it.each([
    ['2026-11-03T14:02:11Z', '2026-11-03', '2026-11-03'],
    ['2026/11/3', '2026-11-03', '2026-11-03'],
    ['20261103', '2026-11-03', '2026-11-03'],
    ['03/11/2026 14:02', '2026-11-03', '2026-03-11'],
    ['28/11/26', '2026-11-28', null],
    ['11-28-2026', null, '2026-11-28'],
    ['3.11.2026', '2026-11-03', '2026-11-03'],
    ['3 Nov 2026', '2026-11-03', '2026-11-03'],
    ['Tue, 3 November 2026 10:00', '2026-11-03', '2026-11-03'],
    ['November 3, 2026', '2026-11-03', '2026-11-03'],
    ['3. Dezember 2026', '2026-12-03', '2026-12-03'],
    ['31/04/2026', null, null],
    ['1889-01-01', null, null],
    ['soon', null, null],
    ['', null, null],
  ])('%j', (text, dayFirst, monthFirst) => {
    const read = readWrittenDay(text);
    const shown = [read.dayFirst, read.monthFirst].map((day) => (day === null ? null : dayCounted(day)));
    expect(shown).toEqual([dayFirst, monthFirst]);
  });
});

describe('an amount as an export writes it', () => {
  it.each([
    ['48', 48, 48],
    ['48.00', 48, null],
    ['48,5', null, 48.5],
    ['€1,234.50', 1234.5, null],
    ['1.234,50 EUR', null, 1234.5],
    ['1.234', 1.234, 1234],
    ['1,234,567', 1_234_567, null],
    ["1'234.50", 1234.5, null],
    ['1 234,50', null, 1234.5],
    ['-5.00', -5, null],
    ['(5.00)', -5, null],
    ['−5', -5, -5],
    ['5.00-', -5, null],
    ['12.34567', null, null],
    ['99999999999', null, null],
    ['much', null, null],
    ['1.2.3', null, null],
  ])('%j', (text, point, comma) => {
    const read = readWrittenAmount(text);
    expect([read.point, read.comma].map((amount) => (amount === null ? null : amount / 1e4))).toEqual([point, comma]);
  });
});
