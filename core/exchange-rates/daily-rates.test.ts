import { describe, expect, it } from 'vitest';
import { rateFor, readDailyRates } from './daily-rates';

const FILE = (cubes: string, day = '2027-02-05') =>
  `<?xml version="1.0" encoding="UTF-8"?><gesmes:Envelope xmlns:gesmes="http://www.gesmes.org/xml/2002-08-01"><Cube><Cube time="${day}">${cubes}</Cube></Cube></gesmes:Envelope>`;
const RATES = '<Cube currency="USD" rate="1.25"/><Cube currency="GBP" rate="0.8"/><Cube currency="XXX" rate="1"/>';

describe('daily rates', () => {
  it('are read with their day; codes that no currency has are passed over', () => {
    expect(readDailyRates(FILE(RATES))).toEqual({
      ok: true,
      rates: { day: '2027-02-05', base: 'EUR', perBase: { USD: '1.25', GBP: '0.8' } },
    });
  });

  it.each([
    ['EUR', 'USD', '0.8'],
    ['USD', 'EUR', '1.25'],
    ['GBP', 'USD', '0.64'],
    ['EUR', 'EUR', '1'],
    ['EUR', 'SEK', null],
  ])('%s for one %s', (base, currency, expected) => {
    const reading = readDailyRates(FILE(RATES));
    expect(reading.ok && rateFor(reading.rates, base, currency)).toBe(expected);
  });

  it.each([
    ['half a file', FILE(RATES).slice(0, -40), /broke off|no XML/],
    ['no XML', 'USD 1.25', /no day|no XML/],
    ['nothing', '', /no day|no XML/],
    ['no rates', FILE(''), /no day, or no rates/],
    ['a bomb of entities', '<?xml version="1.0"?><!DOCTYPE a [<!ENTITY b "bb">]><a>&b;</a>', /document type/],
    ['a rate that is none', FILE('<Cube currency="USD" rate="-1"/>'), /perBase USD/],
    ['a day that is none', FILE(RATES, '2027-13-40'), /day/],
    ['far too much', `${FILE(RATES)}${' '.repeat(600_000)}`, /larger/],
  ])('%s is refused in words', (_what, xml, problem) => {
    const reading = readDailyRates(xml);
    expect(reading.ok ? '' : reading.problem).toMatch(problem);
  });
});
