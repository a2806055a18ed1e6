import { describe, expect, it } from 'vitest';
import { countedDay } from '../calendar/counted-day';
import { RefusedExport, wholeText } from './export-text';
import { readPayouts } from './read-payouts';

const day = countedDay('2027-01-14');

describe('a list of payments', () => {
  it.each<[string, string]>([
    ['gross and fee', 'Date,Gross,Fee\n2027-01-14,48.00,1.54'],
    ['gross and net', 'Created (UTC),Amount,Net\n2027-01-14 09:30:11,48.00,46.46'],
    ['fee and net', 'Day;Fees;Paid out\n2027-01-14;1.54;46.46'],
    ['fees below zero, a currency sign', 'Date,Description,Gross,Fee,Net\n"Jan 14, 2027",Sale,€48.00,-€1.54,€46.46'],
    ['German', 'Buchungstag;Betrag;Gebühr;Netto\n14.01.2027;48,00 €;-1,54 €;46,46 €'],
    ['lines above the header, an empty one below', 'Payments of Tallywell\n\nDate\tGross\tFee\n\n14/01/2027\t48.00\t1.54'],
  ])('has day, what was paid and what was kept: %s', (_, text) => {
    const { payments, unread } = readPayouts(text);
    expect(payments).toMatchObject([{ day, gross: 480_000, fee: 15_400 }]);
    expect(unread.count).toBe(0);
  });

  it('leaves transfers, refunds and monthly fees aside, and says which lines cannot be read', () => {
    const found = readPayouts(
      'Date,Gross,Fee\n2027-01-14,48.00,1.54\n2027-01-20,-48.00,0\n2027-01-31,0,9.00\nsoon,10,1\n2027-02-01,ten,1\n2027-02-02,10,',
    );
    expect(found.payments.map(({ line }) => line)).toEqual([2]);
    expect(found.others).toBe(2);
    expect(found.unread).toEqual({
      count: 3,
      first: [
        { line: 5, why: '“soon” is not a day.' },
        { line: 6, why: '“ten” is not an amount.' },
        { line: 7, why: 'Two of gross, fee and net are needed.' },
      ],
    });
  });

  it('takes the month first where only that reads every day', () => {
    const { payments } = readPayouts('Date,Gross,Fee\n01/14/2027,48.00,1.54\n02/03/2027,10.00,0.50');
    expect(payments.map((one) => one.day)).toEqual([day, countedDay('2027-02-03')]);
  });

  it('is read from any usual encoding', () => {
    const text = 'Buchungstag;Betrag;Gebühr\n14.01.2027;48,00;1,54';
    const windows = Uint8Array.from(text, (letter) => letter.charCodeAt(0));
    for (const bytes of [new TextEncoder().encode(text), windows])
      expect(readPayouts(wholeText(bytes)).payments).toMatchObject([{ gross: 480_000, fee: 15_400 }]);
    expect(() => wholeText(Uint8Array.of(0x50, 0x4b, 0x03, 0x04))).toThrow(RefusedExport);
  });

  it.each(['', 'Date,Gross\n2027-01-14,48', 'just words', 'Date,Order\n2027-01-14,7'])('is none: %j', (text) => {
    expect(() => readPayouts(text)).toThrow(RefusedExport);
  });
});
