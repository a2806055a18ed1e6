import { minorDigits } from '../amount/currencies';
import { priceDecision } from '../comparison/decision-result';
import { lineUp } from '../comparison/line-up';
import type { Candidate } from '../decision-file/candidate-schema';
import type { DecisionFile } from '../decision-file/schema';
import { BUCKETS } from '../pricing/ledger-line';
import { type AssumptionPlaces, assumptionsSheet } from './assumptions-sheet';
import { type Cell, columnLetters, formula, newSheet, type SheetInProgress, text, type WorkbookSheet } from './cells';
import { type CandidateRows, LEDGER, ledgerSheets, WORKINGS } from './ledger-sheet';
import { liftFactor } from './lift-factor';
import { pricesSheet } from './prices-sheet';
import { FIRST_MONTH, monthColumn, salesSheet, type SalesPlaces } from './sales-sheet';

export const TOTALS = 'Totals';
/** The column of the totals, and the row of the first candidate, on the first sheet. */
export const TOTAL_COLUMN = 2;
export const FIRST_CANDIDATE_ROW = 4;

/**
 * A decision as a workbook of live formulas: what is assumed, sales by month, prices, every candidate's ledger, and the
 * totals. Recalculated, its totals are those of the decision's result (decision file §7).
 */
export function workbookOf(file: DecisionFile): WorkbookSheet[] {
  const { pricing, result, ...priced } = priceDecision(file);
  const { months } = result;
  const { sheet: assumptions, places } = assumptionsSheet(file);
  const { sheet: sales, sales: salesPlaces } = salesSheet(file, months, places);
  const { sheet: prices, prices: pricePlaces } = pricesSheet(file);
  const { ledger, workings, rows } = ledgerSheets(pricing, months, places, salesPlaces, pricePlaces);
  const labels = new Map(lineUp({ pricing, result, ...priced }).columns.map(({ id, label, atLeast }) => [id, { label, atLeast }]));
  const totals = totalsSheet(file, rows, months.length, places, salesPlaces, labels);
  const monthly = { rows: 2, columns: FIRST_MONTH };
  return [
    finished(totals, [6, 34, 16, 16, 16, 12, 12, 14], { rows: FIRST_CANDIDATE_ROW - 1, columns: 2 }),
    finished(assumptions, [30, 34, 16, 12, 14], { rows: 0, columns: 2 }),
    finished(sales, [26, 26, 2, 2, 2, 2], { rows: 1, columns: FIRST_MONTH }),
    finished(prices, [34, 30, 10, 14, 10, 18, 14, 10, 10, 20, 14, 14, 12, 12, 10, 10], { rows: 2, columns: 2 }),
    finished(ledger, [10, 44, 12, 10, 8, 14], monthly),
    finished(workings, [10, 54, 2, 10, 2, 2], monthly),
  ];
}

function finished({ name, rows }: SheetInProgress, widths: readonly number[], frozen: WorkbookSheet['frozen']): WorkbookSheet {
  return { name, rows, widths, frozen };
}

type Labels = ReadonlyMap<string, { readonly label: string; readonly atLeast: boolean }>;

function totalsSheet(
  file: DecisionFile,
  candidates: readonly CandidateRows[],
  months: number,
  assumed: AssumptionPlaces,
  sales: SalesPlaces,
  labels: Labels,
): SheetInProgress {
  const sheet = newSheet(TOTALS);
  const digits = minorDigits(file.currency);
  sheet.add(text(file.name || 'Where to sell?', 'title'));
  sheet.add(
    text(
      `Totals over ${file.months} months, ${file.currency}. Everything here follows from the other sheets; change the shaded figures on “Assumptions” and “Prices”.`,
      'quiet',
    ),
  );
  sheet.add(
    ...[
      '',
      'Candidate',
      'Total',
      'Dearer than the cheapest',
      'Left to you',
      'Per order',
      '% of sales',
      'Months over a limit',
      '',
      ...BUCKETS,
    ].map((head) => text(head, 'head')),
  );
  const lastRow = FIRST_CANDIDATE_ROW + candidates.length - 1;
  const range = (column: number) => `$${columnLetters(column)}$${FIRST_CANDIDATE_ROW}:$${columnLetters(column)}$${lastRow}`;
  for (const { candidate, first, last, limits } of candidates) {
    const row = sheet.rows.length + 1;
    const own = (column: number) => `${columnLetters(column)}${row}`;
    const column = `${LEDGER}!$F$${first}:$F$${last}`;
    const lift = (stream: string) => liftFactor(candidate, stream, assumed);
    const yearly = (what: 'orders' | 'sales') => allMonths(file, candidate, what, months, sales, lift);
    const note = labels.get(candidate.id)?.atLeast ? 'at least: a price is not known' : '';
    sheet.add(
      text(candidate.id),
      text(labels.get(candidate.id)?.label ?? candidate.label, 'strong'),
      formula(last < first ? '0' : `SUM(${column})`, 'money', true),
      formula(`${own(TOTAL_COLUMN)}-MIN(${range(TOTAL_COLUMN)})`, 'money'),
      formula(keepFormula(file, months, assumed, sales, lift, digits, own(TOTAL_COLUMN)), 'money'),
      formula(`IF(${yearly('orders')}=0,"",${own(TOTAL_COLUMN)}/(${yearly('orders')}))`, 'money'),
      formula(`IF(${yearly('sales')}=0,"",100*${own(TOTAL_COLUMN)}/(${yearly('sales')}))`, 'number'),
      limits.length === 0
        ? formula('0', 'whole')
        : formula(
            limits.map((limit) => `SUM(${WORKINGS}!${monthColumn(0)}${limit}:${monthColumn(months - 1)}${limit})`).join('+'),
            'whole',
          ),
      text(note, 'quiet'),
      ...BUCKETS.map((bucket): Cell =>
        formula(last < first ? '0' : `SUMIF(${LEDGER}!$C$${first}:$C$${last},"${bucket}",${column})`, 'money'),
      ),
    );
  }
  return sheet;
}

/** All orders or sales over the horizon, as a candidate has them. */
function allMonths(
  { forecast }: DecisionFile,
  candidate: Candidate,
  what: 'orders' | 'sales',
  months: number,
  sales: SalesPlaces,
  lift: (stream: string) => string,
): string {
  const range = (at: (month: number) => string) => `${at(0)}:${at(months - 1).replace(/^.*!/, '')}`;
  if (typeof candidate.lift !== 'object')
    return `SUM(${range((month) => sales.quantity(what, month) ?? '0')})${lift(forecast.streams[0]?.id ?? '')}`;
  const parts = forecast.streams.map(({ id }) => {
    const orders = range((month) => sales.ofStream(id, 'orders', month));
    const all = what === 'orders' ? `SUM(${orders})` : `SUMPRODUCT(${orders},${range((month) => sales.ofStream(id, 'value', month))})`;
    return `${all}${lift(id)}`;
  });
  return `(${parts.join('+') || '0'})`;
}

/** Net sales × margin × (1 − refunds) of every stream, rounded, less the total (decision file §7, `keep`). */
function keepFormula(
  { forecast }: DecisionFile,
  months: number,
  assumed: AssumptionPlaces,
  sales: SalesPlaces,
  lift: (stream: string) => string,
  digits: number,
  total: string,
): string {
  const kept = forecast.streams.map(({ id }) => {
    const row = (what: 'orders' | 'net') => `${sales.ofStream(id, what, 0)}:${sales.ofStream(id, what, months - 1).replace(/^.*!/, '')}`;
    return `SUMPRODUCT(${row('orders')},${row('net')})*${assumed.ofStream(id, 'margin')}/100*(1-${assumed.ofStream(id, 'refunds')}/100)${lift(id)}`;
  });
  return `ROUND(${kept.join('+') || '0'},${digits})-${total}`;
}
