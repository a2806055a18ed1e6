import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Decimal, decimal } from '#core/amount/decimal';
import { priceDecision } from '#core/comparison/decision-result';
import { readDecisionFile } from '#core/decision-file/read';
import type { DecisionFile } from '#core/decision-file/schema';
import { randomDecision } from '#core/tests/random-decision';
import { readOrNull } from '#core/tests/read-or-null';
import { richDecision } from '#core/tests/rich-decision';
import { versionTwoDecision } from '#core/tests/version-two-decision';
import { withChanges } from '#core/what-if/changes';
import type { Cell, WorkbookSheet } from '#core/workbook/cells';
import { FIRST_CANDIDATE_ROW, TOTAL_COLUMN, workbookOf } from '#core/workbook/workbook';
import { writeWorkbook } from './write-workbook.server';

const SOFFICE = [process.env['LIBREOFFICE_PATH'], '/usr/bin/soffice'].find((path) => path && existsSync(path));
if (!SOFFICE)
  console.warn('SKIPPED: the workbook is not recalculated, since LibreOffice is not installed (Debian: libreoffice-calc-nogui)');

const read = (path: string) => readDecisionFile(JSON.parse(readFileSync(new URL(`../../${path}`, import.meta.url), 'utf8')));

/** Files whose workbooks are recalculated: the demo, cases with every kind of charge, and decisions made at random. */
const files: Array<[name: string, file: DecisionFile]> = [
  ['demo', read('demo/larkfell-kites.json')],
  ...[
    '02-introductory-and-renewal',
    '03-spread-basis',
    '04-cards-and-processors',
    '05-allowances-and-bands',
    '06-subscribers-and-stored-hours',
    '08-currencies-tax-and-credits',
    '09-limits-and-needs',
    '11-not-known',
    '13-larkfell',
    '15-order-sizes',
    '16-dated-prices-and-offers',
    '17-credit-against-the-plan',
    '18-credit-spread',
    '19-yearly-limits',
    '21-some-streams-and-lost-subscribers',
    '22-everything-together',
    '23-renewals-and-packs',
    '23-renewals-and-packs-spread',
    '24-side-by-side-by-what-is-kept',
  ].map((name): [string, DecisionFile] => [name, read(`core/cases/${name}.json`)]),
  ...[randomDecision, richDecision, versionTwoDecision].flatMap((made, kind) =>
    fc
      .sample(made, { numRuns: Number(process.env['WORKBOOKS'] ?? 5), seed: Number(process.env['VENALIS_SEED'] ?? 7) })
      .flatMap((one, index): Array<[string, DecisionFile]> => {
        const file = readOrNull(one);
        return file && file.candidates.length > 0 ? [[`made-${kind}-${index}`, file]] : [];
      }),
  ),
];
const LEVEL = '1.37';

let folder = '';
/** The rows of a recalculated sheet. */
function rowsOf(name: string, sheet: string): string[][] {
  return Papa.parse<string[]>(readFileSync(join(folder, `${name}-${sheet}.csv`), 'utf8')).data;
}

/** The same workbook with another figure in one of its cells, as a person would type it. */
function withTyped(sheets: WorkbookSheet[], sheetName: string, label: string, value: string): WorkbookSheet[] {
  return sheets.map((sheet) =>
    sheet.name !== sheetName
      ? sheet
      : {
          ...sheet,
          rows: sheet.rows.map((row) =>
            row[0]?.kind === 'text' && row[0].text === label
              ? row.map((cell): Cell => (cell?.kind === 'number' && cell.isInput ? { ...cell, value } : cell))
              : row,
          ),
        },
  );
}

beforeAll(async () => {
  if (!SOFFICE) return;
  folder = mkdtempSync(join(tmpdir(), 'venalis-workbook-'));
  for (const [name, file] of files) writeFileSync(join(folder, `${name}.xlsx`), await writeWorkbook(workbookOf(file)));
  writeFileSync(
    join(folder, 'changed.xlsx'),
    await writeWorkbook(withTyped(workbookOf(read('demo/larkfell-kites.json')), 'Assumptions', 'Level of sales', LEVEL)),
  );
  // Every sheet as CSV, with the values as they are, not as they are shown.
  const csv = 'csv:Text - txt - csv (StarCalc):44,34,76,1,,0,false,false,false,false,false,-1';
  const books = [...files.map(([name]) => name), 'changed'].map((name) => join(folder, `${name}.xlsx`));
  execFileSync(
    SOFFICE,
    [`-env:UserInstallation=file://${folder}/profile`, '--headless', '--convert-to', csv, '--outdir', folder, ...books],
    { stdio: 'ignore' },
  );
}, 180_000);

afterAll(() => {
  if (folder) rmSync(folder, { recursive: true, force: true });
});

/** A figure of a spreadsheet to the cent. */
const cents = (figure: string | undefined, digits: number) => new Decimal(figure || '0').toFixed(digits);

function expectSameTotals(name: string, file: DecisionFile): void {
  const { result, pricing } = priceDecision(file);
  const digits = (
    decimal(result.candidates[0]?.total ?? '0')
      .toFixed()
      .split('.')[1] ??
    result.candidates[0]?.total.split('.')[1] ??
    ''
  ).length;
  const totals = rowsOf(name, 'Totals').slice(FIRST_CANDIDATE_ROW - 1);
  const shown = (index: number, column: number) => totals[index]?.[column];
  expect(result.candidates.map(({ id }, index) => [id, cents(shown(index, TOTAL_COLUMN), digits)])).toEqual(
    result.candidates.map(({ id, total }) => [id, cents(total, digits)]),
  );
  expect(result.candidates.map((_, index) => cents(shown(index, 4), digits))).toEqual(
    result.candidates.map(({ keep }) => cents(keep, digits)),
  );
  expect(result.candidates.map((_, index) => Number(shown(index, 7)) > 0)).toEqual(
    result.candidates.map(({ outgrown }) => outgrown !== null),
  );
  const ledger = rowsOf(name, 'Ledger').slice(2);
  for (const { id, monthly } of result.candidates) {
    const own = ledger.filter(([candidate]) => candidate === id);
    const months = monthly.map((_, month) => own.reduce((sum, row) => sum.plus(row[6 + month] || '0'), new Decimal(0)).toFixed(digits));
    expect(months, `${name} ${id}`).toEqual(monthly.map((amount) => cents(amount, digits)));
  }
  expect(pricing.file.candidates.length).toBe(result.candidates.length);
}

describe.skipIf(!SOFFICE)('the workbook, recalculated by LibreOffice', () => {
  it.each(files)('%s: every total and every month equals ours to the cent', (name, file) => {
    expectSameTotals(name, file);
  });

  it('follows when the level of sales is changed in it', () => {
    const file = read('demo/larkfell-kites.json');
    const { result } = priceDecision(file, decimal(LEVEL));
    const totals = rowsOf('changed', 'Totals').slice(FIRST_CANDIDATE_ROW - 1);
    expect(result.candidates.map((_, index) => cents(totals[index]?.[TOTAL_COLUMN], 2))).toEqual(
      result.candidates.map(({ total }) => total),
    );
    expect(result.candidates[0]?.total).not.toBe(priceDecision(file).result.candidates[0]?.total);
  });
});

describe('what a workbook is written from', () => {
  const sheets = workbookOf(withChanges(read('demo/larkfell-kites.json'), []));

  it('holds the ledger as formulas, not as figures', () => {
    const ledger = sheets.find(({ name }) => name === 'Ledger');
    const months = (ledger?.rows ?? [])
      .slice(2)
      .flatMap((row) => row.slice(5))
      .filter((cell) => cell !== null);
    expect(months.length).toBeGreaterThan(1000);
    expect(months.every((cell) => cell?.kind === 'formula')).toBe(true);
  });

  it('keeps what people typed as text, however it begins', async () => {
    const file = read('demo/larkfell-kites.json');
    const candidates = file.candidates.map((candidate, index) => (index === 0 ? { ...candidate, label: '=HYPERLINK("x")' } : candidate));
    const [totals] = workbookOf({ ...file, candidates });
    expect(totals?.rows[FIRST_CANDIDATE_ROW - 1]?.[1]).toEqual({ kind: 'text', text: '=HYPERLINK("x")', style: 'strong' });
    const bytes = await writeWorkbook(totals ? [totals] : []);
    // A ZIP archive.
    expect([...bytes.slice(0, 2)]).toEqual([0x50, 0x4b]);
  });
});
