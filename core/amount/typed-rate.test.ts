import { describe, expect, it } from 'vitest';
import { readTypedRate } from './typed-rate';

const range = { least: 0, most: 1_000_000, wanted: 'a number of orders' };

describe('so many a month, as people know it', () => {
  it.each([
    ['30', '30'],
    ['2,5', '2.5'],
    ['30 a year', '2.5'],
    ['30 orders a year', '2.5'],
    ['30/yr', '2.5'],
    ['120 yearly', '10'],
    ['9 per quarter', '3'],
    ['3 a week', '13'],
    ['12 weekly', '52'],
    ['12 a day', '365'],
    ['45 a month', '45'],
    ['45 by the month', '45'],
    ['1.234,5 a month', '1234.5'],
    ['10 a year', '0.83333333'],
  ])('%s is %s', (typed, value) => {
    expect(readTypedRate(typed, range)).toEqual({ ok: true, value });
  });

  it.each([
    ['5 to 60 a year', '2.70833334', '0.41666667', '5'],
    ['between 12 and 36 a year', '2', '1', '3'],
    ['10–20', '15', '10', '20'],
    ['10 - 20 a month', '15', '10', '20'],
    ['8 to 8 a month', '8', '8', '8'],
  ])('%s lies around %s', (typed, value, least, most) => {
    expect(readTypedRate(typed, range)).toEqual({ ok: true, value, between: { least, most } });
  });

  it.each([
    ['', 'Enter a number of orders'],
    ['a year', 'not a number'],
    ['30 a', 'not a number'],
    ['30 a fortnight', 'not a number'],
    ['30 a year or so', 'not a number'],
    ['60 to 5 a year', 'write the smaller figure first'],
    ['5 to x a year', 'not a number'],
    ['1,234 a year', 'two ways'],
    ['-3 a year', 'Enter a number of orders from 0 to 1\u202f000\u202f000'],
    ['100000000 a month', 'Enter a number of orders from 0 to 1\u202f000\u202f000'],
  ])('%j is refused and says what is wanted', (typed, problem) => {
    const read = readTypedRate(typed, range);
    expect(read.ok ? '' : read.problem).toContain(problem);
  });
});
