import { describe, expect, it } from 'vitest';
import { readTypedDay } from './typed-day';

describe('a day as people type it', () => {
  it.each([
    ['2026-11-28', '2026-11-28'],
    ['28 November 2026', '2026-11-28'],
    [' 3  Nov 2026 ', '2026-11-03'],
    ['28. November 2026', '2026-11-28'],
    ['28.11.2026', '2026-11-28'],
    ['November 3, 2026', '2026-11-03'],
    ['28/11/2026', '2026-11-28'],
    ['11/28/2026', '2026-11-28'],
    ['4/4/2027', '2027-04-04'],
    ['1990-01-01', '1990-01-01'],
    ['31 December 2199', '2199-12-31'],
    ['29 February 2028', '2028-02-29'],
  ])('%s is %s', (typed, value) => {
    expect(readTypedDay(typed)).toEqual({ ok: true, value });
  });

  it('is asked about where day and month could be either way round', () => {
    expect(readTypedDay('3/4/2027')).toEqual({
      ok: false,
      problem: '“3/4/2027” can be read two ways: write 3 April 2027 or 4 March 2027.',
    });
  });

  it.each(['1989-12-31', '0202-11-28', '1.1.2200', '9999-12-31'])('%s is in no year that anybody means', (typed) => {
    expect(readTypedDay(typed)).toEqual({ ok: false, problem: 'Enter a day from 1 January 1990 to 31 December 2199.' });
  });

  it.each(['', 'soon', '29 February 2027', '31.4.2027', '2026-13-01', '28 November', '28 Nov 26'])('%j is refused', (typed) => {
    expect(readTypedDay(typed)).toEqual({ ok: false, problem: 'Enter a day such as 28 November 2026.' });
  });
});
