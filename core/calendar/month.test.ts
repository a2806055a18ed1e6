import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addMonths, monthOfYear, monthsFrom } from './month';

describe('months', () => {
  it.each([
    ['2027-11', 3, '2028-02'],
    ['2027-01', -1, '2026-12'],
    ['2027-12', 12, '2028-12'],
    ['2027-05', 0, '2027-05'],
  ])('%s and %i months is %s', (month, count, expected) => {
    expect(addMonths(month, count)).toBe(expected);
  });

  it('go forth and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 400 }), (count) => {
        expect(addMonths(addMonths('2027-06', count), -count)).toBe('2027-06');
      }),
    );
  });

  it('follow one another over the turn of the year', () => {
    expect(monthsFrom('2027-11', 4)).toEqual(['2027-11', '2027-12', '2028-01', '2028-02']);
    expect(monthsFrom('2027-11', 4).map(monthOfYear)).toEqual([10, 11, 0, 1]);
  });

  it.each(['2027-13', '2027-1', '27-01', 'May 2027', ''])('%j is none', (text) => {
    expect(() => addMonths(text, 1)).toThrow(RangeError);
  });
});
