import { describe, expect, it } from 'vitest';
import { dayCounted } from '../calendar/counted-day';
import { type ExportChoices, ExportReader } from './read-export';
import { NotUtf8 } from './export-text';

const bytesOf = (text: string) => new TextEncoder().encode(text);

/** Reads a file in pieces of so many bytes. */
function read(bytes: Uint8Array, choices: ExportChoices = {}, piece = 7, encoding?: 'windows-1252') {
  const reader = new ExportReader(choices, encoding);
  for (let at = 0; at < Math.max(1, bytes.length); at += piece) reader.push(bytes.subarray(at, at + piece), at + piece >= bytes.length);
  return reader.finish();
}

/** Orders as they would be kept, one a line: day, value, refunded and the words of its columns. */
function kept(text: string, choices: ExportChoices = {}): string[] {
  const { found } = read(bytesOf(text), choices, 1 << 16);
  if (!found) throw new Error('orders are expected');
  const { words } = found.file;
  return found.parts.flatMap((part) =>
    part.day.map((day, at) => {
      const named = (['currency', 'country', 'means', 'channel'] as const).map((column) => words[column][part[column][at] ?? 0]);
      return [dayCounted(day), (part.value[at] ?? 0) / 1e4, (part.refunded[at] ?? 0) / 1e4, ...named].join(' ').trimEnd();
    }),
  );
}

const GERMAN =
  'Bestellnummer;Bestelldatum;Vorname;E-Mail;Land;Zahlungsart;Gesamtbetrag;Status\r\n' +
  '1001;03.11.2026 14:22;Änne;a@b.test;DE;Karte;"1.234,50 €";bezahlt\r\n' +
  '1002;04.11.2026 09:00;Bob;b@c.test;AT;Rechnung;48,00;storniert\r\n';

describe('an export of orders', () => {
  it('is read whatever its separator, its decimal sign and its language, without those who ordered', () => {
    const found = read(bytesOf(GERMAN));
    expect(found.columns.map(({ name, role, examples }) => [name, role, ...examples])).toEqual([
      ['Bestellnummer', 'number'],
      ['Bestelldatum', 'date', '03.11.2026 14:22', '04.11.2026 09:00'],
      ['Vorname', 'left-out'],
      ['E-Mail', 'left-out'],
      ['Land', 'country', 'DE', 'AT'],
      ['Zahlungsart', 'means', 'Karte', 'Rechnung'],
      ['Gesamtbetrag', 'total', '1.234,50 €', '48,00'],
      ['Status', 'status', 'bezahlt', 'storniert'],
    ]);
    expect([found.separator, found.decimalSign, found.calledOff]).toEqual([';', ',', 1]);
    expect(kept(GERMAN)).toEqual(['2026-11-03 1234.5 0  DE Karte']);
    expect(kept(GERMAN, { withCalledOff: true })).toHaveLength(2);
    expect(JSON.stringify(found)).not.toMatch(/Änne|a@b/);
  });

  it('comes in any usual encoding', () => {
    const utf16 = (text: string, isBig: boolean) =>
      Uint8Array.from(
        [...(isBig ? '' : ''), ...text].flatMap((letter) => {
          const code = letter.charCodeAt(0);
          return isBig ? [code >> 8, code & 255] : [code & 255, code >> 8];
        }),
      );
    const latin = Uint8Array.from(GERMAN, (letter) => (letter === '€' ? 0x80 : letter.charCodeAt(0)));
    const orders = (bytes: Uint8Array, encoding?: 'windows-1252') => {
      const found = read(bytes, {}, 7, encoding);
      return [found.encoding, found.found?.parts[0]?.value];
    };
    const value = [12_345_000];
    expect(orders(bytesOf(`\uFEFF${GERMAN}`))).toEqual(['utf-8', value]);
    expect(orders(Uint8Array.from([0xff, 0xfe, ...utf16(GERMAN, false)]))).toEqual(['utf-16le', value]);
    expect(orders(Uint8Array.from([0xfe, 0xff, ...utf16(GERMAN, true)]))).toEqual(['utf-16be', value]);
    expect(orders(utf16(GERMAN, false))).toEqual(['utf-16le', value]);
    expect(() => orders(latin)).toThrow(NotUtf8);
    expect(orders(latin, 'windows-1252')).toEqual(['windows-1252', value]);
  });

  it('takes rows of the same number as one order: its lines are added up, repeated totals are not', () => {
    expect(kept('Date,Order,Total\n2026-01-02,A,5\n2026-01-02,A,7\n2026-01-03,B,1\n')).toEqual(['2026-01-02 12 0', '2026-01-03 1 0']);
    expect(kept('Date,Order,Total\n2026-01-02,A,5\n2026-01-02,A,5\n,A,\n')).toEqual(['2026-01-02 5 0']);
  });

  it('knows what was given back: in a column, by the status, or as a row of its own', () => {
    expect(kept('Date,Order,Total,Refunded\n2026-01-02,A,5,5.00\n2026-01-02,B,5,1.50\n2026-01-02,C,5,yes\n2026-01-02,D,5,\n')).toEqual([
      '2026-01-02 5 5',
      '2026-01-02 5 1.5',
      '2026-01-02 5 5',
      '2026-01-02 5 0',
    ]);
    expect(kept('Date,Order,Total,Status\n2026-01-02,A,5,Refunded\n2026-01-02,B,5,Partially refunded\n')).toEqual([
      '2026-01-02 5 5',
      '2026-01-02 5 0',
    ]);
    expect(kept('Date,Order,Total\n2026-01-02,A,5\n2026-01-09,A,-5.00\n')).toEqual(['2026-01-02 5 5']);
    expect(read(bytesOf('Date,Order,Total\n2026-01-02,A,5\n2026-01-09,B,(5.00)\n')).strayRefunds).toBe(1);
  });

  it('makes a total of its parts where there is none', () => {
    expect(kept('Date,Subtotal,Shipping,Tax,Discount\n2026-01-02,40.00,4.90,8.00,-2.90\n2026-01-03,40.00,0,0,5\n')).toEqual([
      '2026-01-02 50 0',
      '2026-01-03 35 0',
    ]);
  });

  it('passes over what stands above the header, and the header once more in the middle', () => {
    expect(kept('Kite shop\nExport of orders\n\nDate,Total\n2026-01-02,5\nDate,Total\n2026-01-03,6\n')).toEqual([
      '2026-01-02 5 0',
      '2026-01-03 6 0',
    ]);
  });

  it('decides about day and month from the whole file, and asks where it cannot', () => {
    expect(kept('Date,Total\n03/04/2026,5\n13/04/2026,6\n')).toEqual(['2026-04-03 5 0', '2026-04-13 6 0']);
    expect(kept('Date,Total\n03/04/2026,5\n04/13/2026,6\n')).toEqual(['2026-03-04 5 0', '2026-04-13 6 0']);
    const open = 'Date,Total\n03/04/2026,5\n04/05/2026,6\n';
    expect([read(bytesOf(open)).dayOrder, read(bytesOf(open)).found]).toEqual(['ask', null]);
    expect(kept(open, { dayOrder: 'month-first' })).toEqual(['2026-03-04 5 0', '2026-04-05 6 0']);
    expect(kept('Date,Total\n03/03/2026,5\n')).toEqual(['2026-03-03 5 0']);
  });

  it('tells rows that cannot be read by their line, and uses the others', () => {
    const { unread, found } = read(bytesOf('Date,Total\n2026-01-02,5\nsoon,6\n2026-02-30,7\n2026-01-03,much\n'));
    expect(unread).toEqual({
      count: 3,
      first: [
        { line: 3, why: 'the date cannot be read.' },
        { line: 4, why: 'the date cannot be read.' },
        { line: 5, why: 'the amount cannot be read.' },
      ],
    });
    expect(found?.file).toMatchObject({ orders: 1, from: '2026-01-02', to: '2026-01-02' });
  });

  it('keeps nothing of a column with too many values to tell orders apart', () => {
    const rows = Array.from({ length: 80 }, (_, at) => `2026-01-02,5,Somebody ${at}`);
    const found = read(bytesOf(['Date,Total,Channel', ...rows].join('\n')));
    expect([found.tooMany, found.found?.file.words.channel]).toEqual([['channel'], ['']]);
    expect(JSON.stringify(found.found)).not.toContain('Somebody');
  });

  it('keeps nothing of who ordered, even where a few names or mail addresses are taken for a place of selling', () => {
    const keptOf = (...names: string[]) => {
      const rows = names.map((name) => `2026-01-02,5,${name}`);
      const { tooMany, found } = read(bytesOf(['Date,Total,Channel', ...rows].join('\n')));
      return [tooMany, found?.file.words.channel];
    };
    expect(keptOf('Ann', 'Bob', 'Cleo', 'Dan', 'Ann')).toEqual([['channel'], ['']]);
    expect(keptOf('shop', 'ann@b.test', 'shop', 'shop')).toEqual([['channel'], ['']]);
    expect(keptOf('shop', 'fair', 'app', 'shop')).toEqual([[], ['shop', 'fair', 'app']]);
  });

  it('reads a column as what a person says it is', () => {
    const text = 'When,What,Total\n2026-01-02,9,5\n';
    expect(kept(text, { roles: { 0: 'date', 1: 'total', 2: 'left-out' } })).toEqual(['2026-01-02 9 0']);
  });

  it.each([
    ['', 'This file is empty.'],
    ['a,b\n1,2\n', 'No line of this file names a date and an amount.'],
    ['Date,Total\n', 'there is no order in it'],
    ['Date,Name\n2026-01-02,Ann\n', 'No line of this file names a date and an amount.'],
    ['Date,Currency\n2026-01-02,EUR\n', 'No column says what was paid'],
    ['Total,Currency\n5,EUR\n', 'No column says when an order was placed.'],
    ['Date,Total\nsoon,5\n', 'No row of this file can be read as an order. Line 2: the date cannot be read.'],
    ['Date,Total\n2026-01-02,0\n', 'costs nothing'],
    ['PK\u0003\u0004rest', 'packed file or a workbook'],
    ['\u001f\u0000\u0002\u0000\u0000', 'not a text file'],
    ['%PDF-1.7', 'This is a PDF.'],
  ])('%j is refused with what to do', (text, problem) => {
    expect(() => read(bytesOf(text))).toThrow(problem);
  });
});
