import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayIn, daysBetween } from './day';

describe('days', () => {
  it('are counted as a calendar has them, leap days included', () => {
    expect(daysBetween('2027-02-27', '2027-03-01')).toBe(2);
    expect(daysBetween('2028-02-27', '2028-03-01')).toBe(3);
    expect(daysBetween('1900-02-28', '1900-03-01')).toBe(1);
    expect(daysBetween('2026-12-31', '2026-01-01')).toBe(-364);
    expect(() => daysBetween('2026-13-01', '2026-01-01')).toThrow('“2026-13-01” is not a day');
  });

  it('lie as far apart as the clock of the platform says', () => {
    const day = fc
      .date({ min: new Date('1950-01-01'), max: new Date('2150-01-01'), noInvalidDate: true })
      .map((date) => date.toISOString().slice(0, 10));
    fc.assert(fc.property(day, day, (from, to) => daysBetween(from, to) === (Date.parse(to) - Date.parse(from)) / 86_400_000));
  });

  it('are found at the beginning of a time', () => {
    expect(dayIn('2026-11-24T09:12:00+01:00')).toBe('2026-11-24');
    expect(dayIn('yesterday')).toBeNull();
  });
});
