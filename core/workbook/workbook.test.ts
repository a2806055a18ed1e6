import { describe, expect, it } from 'vitest';
import type { Charge } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { type Cell, columnLetters, fixedCell, type WorkbookSheet } from './cells';
import { FIRST_CANDIDATE_ROW, workbookOf } from './workbook';

const kites = kiteDecision();
const sheetOf = (sheets: WorkbookSheet[], name: string) => sheets.find((sheet) => sheet.name === name)?.rows ?? [];
const formulaIn = (cell: Cell | undefined) => (cell?.kind === 'formula' ? cell.formula : null);
const textIn = (cell: Cell | undefined) => (cell?.kind === 'text' ? cell.text : null);

/** The kites with another charge on Alder's plan. */
function charged(charge: Charge, more: Partial<DecisionFile> = {}): WorkbookSheet[] {
  return workbookOf({
    ...kites,
    ...more,
    offers: kites.offers.map((offer) =>
      offer.id === 'a' ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, charges: [charge] })) } : offer,
    ),
  });
}

/** What the working “comes to” of Alder's charge says in the first month. */
const amountOf = (sheets: WorkbookSheet[]) =>
  formulaIn(sheetOf(sheets, 'Workings').find((row) => textIn(row[0]) === 'A' && (textIn(row[1]) ?? '').endsWith('comes to'))?.[6]);

describe('cells', () => {
  it.each([
    [0, 'A'],
    [25, 'Z'],
    [26, 'AA'],
    [701, 'ZZ'],
    [702, 'AAA'],
  ])('column %i is %s', (index, letters) => {
    expect(columnLetters(index)).toBe(letters);
  });

  it('a cell that stays where it is', () => {
    expect(fixedCell('Prices', 3, 12)).toBe('Prices!$D$12');
  });
});

describe('formulas of charges', () => {
  it('a share of sales and something for each order refer to the prices', () => {
    expect(amountOf(charged({ id: 'fa', label: 'Fee', how: 'per-order', percent: '5', each: '0.30' }))).toMatch(
      /^\(Sales!G\$\d+\*Sales!G\$\d+\*Prices!\$[A-Z]\$\d+\/100\+Workings!G\d+\*Prices!\$[A-Z]\$\d+\)$/,
    );
  });

  it('bounds on the fee of an order, and on the month', () => {
    const amount = amountOf(
      charged({ id: 'fa', label: 'Fee', how: 'per-order', percent: '5', least: '0.10', most: '2', monthlyMin: '5', monthlyCap: '50' }),
    );
    expect(amount).toMatch(
      /^MIN\(MAX\(.*MIN\(MAX\(.*,Prices!\$[A-Z]\$\d+\),Prices!\$[A-Z]\$\d+\).*,Prices!\$[A-Z]\$\d+\),Prices!\$[A-Z]\$\d+\)$/,
    );
  });

  it('packages round up, bands go step by step, without dust', () => {
    expect(amountOf(charged({ id: 'fa', label: 'Labels', how: 'package', size: '50', each: '4', free: '10' }))).toContain(
      'ROUNDUP(ROUND(MAX((Workings!',
    );
    const bands = [
      { upTo: '50', each: '0.10' },
      { upTo: null, each: '0.05', flat: '2' },
    ];
    expect(amountOf(charged({ id: 'fa', label: 'Fee', how: 'graduated', bands }))?.match(/IF\(ROUND\(/g)).toHaveLength(2);
    expect(amountOf(charged({ id: 'fa', label: 'Fee', how: 'volume', bands }))?.match(/IF\(ROUND\(/g)).toHaveLength(1);
  });

  it('a cap on the whole time counts what came before it', () => {
    const workings = sheetOf(charged({ id: 'fa', label: 'Fee', how: 'per-order', percent: '5', totalCap: '100' }), 'Workings');
    const rowOf = (what: string) => workings.find((one) => textIn(one[0]) === 'A' && (textIn(one[1]) ?? '').endsWith(what));
    expect(formulaIn(rowOf('so far')?.[8])).toMatch(/^MIN\(SUM\(Workings!G\d+:I\d+\),Prices!\$[A-Z]\$\d+\)$/);
    expect(formulaIn(rowOf('comes to')?.[6])).toMatch(/^Workings!G\d+$/);
    expect(formulaIn(rowOf('comes to')?.[8])).toMatch(/^\(Workings!I\d+-Workings!H\d+\)$/);
  });

  it('what is not known has no line, and the total says at least', () => {
    const sheets = charged({ id: 'fa', label: 'Fee', how: 'per-order', percent: null });
    expect(amountOf(sheets)).toBeNull();
    expect(sheetOf(sheets, 'Totals')[FIRST_CANDIDATE_ROW - 1]?.map(textIn)).toContain('at least: a price is not known');
    expect(sheetOf(sheets, 'Prices').some((row) => row.map(textIn).includes('not known'))).toBe(true);
  });

  it('a lift multiplies what grows with sales, and nothing else', () => {
    const forecast = { ...kites.forecast, drivers: { visits: { per: 'orders', ratio: '60' }, staff: '2' } };
    const counted = (on: string) =>
      sheetOf(
        charged(
          { id: 'fa', label: 'Fee', how: 'per-unit', on, each: '1' },
          { forecast, candidates: kites.candidates.map((one) => ({ ...one, lift: '10' })) },
        ),
        'Workings',
      )
        .filter((row) => textIn(row[0]) === 'A' && (textIn(row[1]) ?? '').endsWith('counted'))
        .map((row) => formulaIn(row[6]));
    expect(counted('visits')[0]).toMatch(/\*\(1\+Assumptions!\$E\$\d+\/100\)$/);
    expect(counted('staff')[0]).not.toContain('Assumptions');
  });
});

describe('a workbook', () => {
  it('states what can be changed as figures of its own', () => {
    const inputs = sheetOf(workbookOf(kites), 'Assumptions').flatMap((row) =>
      row.flatMap((cell) => (cell?.kind === 'number' && cell.isInput ? [cell.value] : [])),
    );
    expect(inputs).toEqual(expect.arrayContaining(['100', '10', '50', '20']));
  });

  it('months set by hand stand in their formula', () => {
    const stream = {
      id: 'kites',
      label: 'Kites',
      kind: 'goods' as const,
      orders: { start: '100', set: { '2027-02': '7' } },
      orderValue: '10',
    };
    const orders = sheetOf(workbookOf({ ...kites, forecast: { streams: [stream] } }), 'Sales').find((row) => textIn(row[1]) === 'orders');
    expect(formulaIn(orders?.[7])).toMatch(/^7\*Assumptions!/);
    expect(formulaIn(orders?.[6])).toMatch(/^MAX\(0,/);
  });

  it('without candidates or sales has sheets all the same', () => {
    expect(workbookOf({ ...kites, candidates: [] }).map(({ name }) => name)).toEqual([
      'Totals',
      'Assumptions',
      'Sales',
      'Prices',
      'Ledger',
      'Workings',
    ]);
    expect(workbookOf({ ...kites, forecast: { streams: [] } })).toHaveLength(6);
  });
});
