import Papa from 'papaparse';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { decimal, sum } from '../amount/decimal';
import { priceDecision } from '../comparison/decision-result';
import { lineUp } from '../comparison/line-up';
import { readDecisionFile } from '../decision-file/read';
import { csvText, defused } from './csv-text';
import { ledgerTable, lineUpTable } from './decision-tables';

describe('CSV', () => {
  it('is as RFC 4180 has it: CR LF, quotes doubled, commas and line breaks quoted', () => {
    expect(
      csvText([
        ['a', 'b'],
        [{ typed: 'He said "no", twice' }, { typed: 'two\nlines' }],
      ]),
    ).toBe('a,b\r\n"He said ""no"", twice","two\nlines"\r\n');
  });

  it.each(['=1+1', '+49 30', '-5', '@import', '\t=1', '\r=1', ' =1', '＝1'])('defuses what a person typed: %j', (text) => {
    expect(defused(text)).toBe(`'${text}`);
  });

  it.each(['Marlpit Grow', '5 - 3', 'a=b', "'quoted", ''])('leaves plain text as it is: %j', (text) => {
    expect(defused(text)).toBe(text);
  });

  it('leaves our own figures as they are, negative ones too', () => {
    expect(csvText([['-12.00', { typed: '-12.00' }]])).toBe("-12.00,'-12.00\r\n");
  });
});

describe('tables of a decision', () => {
  const file = readDecisionFile(JSON.parse(readFileSync(new URL('../../demo/larkfell-kites.json', import.meta.url), 'utf8')));
  const priced = priceDecision({
    ...file,
    candidates: file.candidates.map((one) => (one.id === 'A' ? { ...one, label: '=SUM(A1)' } : one)),
  });
  const parsed = (text: string) => Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;

  it('the ledger adds up to every total', () => {
    const rows = parsed(csvText(ledgerTable(priced)));
    for (const { id, total } of priced.result.candidates)
      expect(sum(rows.filter(({ candidate }) => candidate === id).map(({ amount }) => decimal(amount ?? 'none'))).toFixed(2)).toBe(total);
    expect(new Set(rows.map(({ what }) => what))).toContain('Marlpit Grow, paid by the year');
  });

  it('the line-up has a row for each candidate, and no formula in it', () => {
    const rows = parsed(csvText(lineUpTable(lineUp(priced), 'EUR')));
    expect(rows.map(({ candidate }) => candidate).sort()).toEqual(priced.result.candidates.map(({ id }) => id).sort());
    expect(rows.find(({ candidate }) => candidate === 'A')).toMatchObject({
      name: "'=SUM(A1)",
      total: '7049.72',
      usable: 'yes',
      year_1: '3415.31',
    });
    expect(rows.every((row) => Object.values(row).every((cell) => !/^[=@]/.test(cell)))).toBe(true);
  });
});
