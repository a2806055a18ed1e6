import { describe, expect, it } from 'vitest';
import { movedDates } from './moved-dates';

const later = (text: string) => movedDates(text, '2026-11-28', '2027-03-01');

describe('a text that is read on a later day', () => {
  it('has its days 93 days later, and its months four months later', () => {
    expect(later('{"on":"2026-11-28","ends":"2026-12-31","start":"2027-01","2026-10":{}}')).toBe(
      '{"on":"2027-03-01","ends":"2027-04-03","start":"2027-05","2027-02":{}}',
    );
  });

  it('has days in words and the year of a month later', () => {
    expect(later('new customers, until 31 December 2026')).toBe('new customers, until 3 April 2027');
    expect(movedDates('Where to sell from 2027?', '2026-11-28', '2027-11-28')).toBe('Where to sell from 2028?');
    expect(later('Where to sell from 2027?')).toBe('Where to sell from 2027?');
  });

  it('keeps a time of the day, amounts, and days that there are not', () => {
    expect(later('2026-11-22T09:10:00.000Z')).toBe('2027-02-23T09:10:00.000Z');
    expect(later('12026-11, 2026-13, 2026-11-28-x, 31 February 2026')).toBe('12026-11, 2026-13, 2026-11-28-x, 31 February 2026');
  });

  it('on the day on which it was written, and back, is what it was', () => {
    const text = 'on 2026-02-28, from 2027-01, until 1 March 2028';
    expect(movedDates(text, '2026-11-28', '2026-11-28')).toBe(text);
    expect(movedDates(later(text), '2027-03-01', '2026-11-28')).toBe(text);
  });
});
