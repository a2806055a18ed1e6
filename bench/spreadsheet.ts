import { HyperFormula } from 'hyperformula';
import type { Charge } from '../core/decision-file/price-sheet-schema';
import type { DecisionFile } from '../core/decision-file/schema';

/** The benchmark's decision as a spreadsheet, to compare with. */
export interface Spreadsheet {
  /** Totals of all candidates. */
  totals(): number[];
  /** Changes one input, the orders of the first month; everything that depends on it is recalculated. */
  setOrders(orders: string): void;
}

const MONTH_COLUMN = (month: number) => columnName(month + 1);

function columnName(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : `${columnName(Math.floor(index / 26) - 1)}${letter}`;
}

/**
 * Writes the decision the way a careful person would into a spreadsheet: inputs once, a row for each quantity, and
 * one formula for each line and month, rounded as a ledger line is; then sums.
 */
export function spreadsheetOf(file: DecisionFile): Spreadsheet {
  const [goods, plans] = file.forecast.streams;
  const series = typeof goods?.orders === 'object' ? goods.orders : { start: '0' };
  const second = typeof plans?.orders === 'object' ? plans.orders : { start: '0' };
  const months = Array.from({ length: file.months }, (_, month) => month);
  // Rows 1 to 6: inputs and quantities by month, from column B on; A1 holds the orders of the first month.
  const rows: Array<Array<string | number>> = [
    [
      Number(series.start),
      ...months.map((month) => `=$A$1*${1 + Number(series.growth ?? 0) / 100}^${month}*${series.season?.[month % 12] ?? 1}`),
    ],
    [Number(second.start), ...months.map((month) => `=$A$2*${1 + Number(second.growth ?? 0) / 100}^${month}`)],
    ['orders', ...months.map((month) => `=${MONTH_COLUMN(month)}1+${MONTH_COLUMN(month)}2`)],
    ['sales', ...months.map((month) => `=${MONTH_COLUMN(month)}1*48+${MONTH_COLUMN(month)}2*9.5`)],
    ['contacts', ...months.map((month) => `=${MONTH_COLUMN(month)}3*22`)],
  ];
  const totals: number[] = [];
  file.candidates.forEach((candidate, index) => {
    const plan = file.offers[index]?.plans[0];
    const term = plan?.terms[0];
    if (!plan || !term) throw new Error('a plan is expected');
    const rate = plan.currency === 'USD' ? 0.92 : 1;
    const line = (formula: string) => (rate === 1 ? `=ROUND(${formula},2)` : `=ROUND(ROUND(${formula},2)*${rate},2)`);
    const first = rows.length + 1;
    rows.push(['plan', ...months.map((month) => (month % term.months === 0 ? line(String(term.price)) : 0))]);
    rows.push(['time', ...months.map((month) => (month === 0 ? 264 : 24))]);
    for (const charge of plan.charges ?? [])
      rows.push([charge.id, ...months.map((month) => line(formulaOf(charge, MONTH_COLUMN(month), rate)))]);
    const last = rows.length;
    rows.push([candidate.id, `=SUM(B${first}:${MONTH_COLUMN(file.months - 1)}${last})`]);
    totals.push(rows.length - 1);
  });
  const engine = HyperFormula.buildFromArray(rows, { licenseKey: 'gpl-v3', precisionRounding: 14 });
  return {
    totals: () => totals.map((row) => Number(engine.getCellValue({ sheet: 0, row, col: 1 }))),
    setOrders(orders) {
      engine.setCellContents({ sheet: 0, row: 0, col: 0 }, Number(orders));
    },
  };
}

/** One charge's amount in a month, in its own currency. */
function formulaOf(charge: Charge, column: string, rate: number): string {
  const [orders, sales, contacts] = [`${column}3`, rate === 1 ? `${column}4` : `${column}4/${rate}`, `${column}5`];
  switch (charge.how) {
    case 'per-order':
      return `${sales}*${charge.percent ?? 0}/100+${orders}*${charge.each ?? 0}`;
    case 'per-unit':
      return `MAX(0,${orders}-${allowanceOf(charge.free)})*${charge.each ?? 0}`;
    case 'package':
      return `ROUNDUP(MAX(0,${contacts}-${allowanceOf(charge.free)})/${charge.size},0)*${charge.each}`;
    case 'graduated': {
      const [a, b, c] = charge.bands;
      return `MIN(${orders},${a?.upTo})*${a?.each}+MAX(0,MIN(${orders},${b?.upTo})-${a?.upTo})*${b?.each}+MAX(0,${orders}-${b?.upTo})*${c?.each}`;
    }
    case 'prepaid':
      throw new RangeError('The benchmark’s decisions have no prepaid packs');
    case 'volume': {
      const [a, b, c] = charge.bands;
      return `MIN(${charge.monthlyCap},IF(${sales}<=${a?.upTo},${a?.flat},IF(${sales}<=${b?.upTo},${b?.flat},${sales}*${c?.percent}/100)))`;
    }
  }
}

/** The benchmark's allowances are fixed numbers. */
function allowanceOf(free: unknown): string {
  return typeof free === 'string' ? free : '0';
}
