import { readPhrase } from '../price-phrase/read-phrase';
import { headingOf, type RowKind } from '../price-phrase/row-kind';
import type { Clause } from '../price-phrase/statement';
import { slugOf } from '../price-phrase/vocabulary';
import { rowOf } from '../price-sheet/grid-rows';
import { readCell } from '../price-sheet/read-cell';
import { type Table, transposed } from './table';

/** What a line of a table states: a row of the sheet, prices in words of their own, or nothing. */
export type LineMeaning = { readonly kind: 'row'; readonly row: RowKind } | { readonly kind: 'words' } | { readonly kind: 'ignore' };

/** How a table is to be read. */
export interface TableMapping {
  /** Whether the plans stand beside each other, or one below the other. */
  readonly plans: 'across' | 'down';
  /** The line with the plans' names; -1 if there is none. */
  readonly header: number;
  /** What each line means, by its number; the header's is ignored. */
  readonly lines: readonly LineMeaning[];
}

/** A plan and what its column states; places are made unique by line. */
export interface TablePlan {
  readonly plan: string | null;
  readonly clauses: readonly Clause[];
}

const NOTHING_STATED = /^([–—-]|n\.?a\.?)?$/i;
const YES_NO = /^(✓|✔|✗|✕|✘|x|yes|no|included|not included|[–—-]|unlimited|\d+|)$/i;

/** The table as plans across, whichever way it stands. */
export function linesOf(table: Table, plans: TableMapping['plans']): Table {
  return plans === 'across' ? table : transposed(table);
}

/**
 * Suggests how to read a table: the way in which more of its cells can be read.
 *
 * @param known - quantities that the forecast states
 */
export function suggestMapping(table: Table, known: readonly string[]): TableMapping {
  const across = mappingFor(table, 'across', known);
  const down = mappingFor(table, 'down', known);
  return scoreOf(table, down, known) > scoreOf(table, across, known) ? down : across;
}

function mappingFor(table: Table, plans: TableMapping['plans'], known: readonly string[]): TableMapping {
  const lines = linesOf(table, plans);
  const isHeader = (line: readonly string[]) =>
    line.slice(1).every((cell) => cell !== '' && !/^[\s€$£]*[\d.,]+/.test(cell) && cell.length <= 60 && !YES_NO.test(cell)) &&
    headingOf(line[0] ?? '', known) === null;
  const header = lines.slice(0, 3).findIndex((line) => line.length > 1 && isHeader(line));
  return { plans, header, lines: lines.map((line, index) => (index === header ? { kind: 'ignore' } : meaningOf(line, known))) };
}

function meaningOf([head = '', ...cells]: readonly string[], known: readonly string[]): LineMeaning {
  if (cells.every((cell) => cell === '')) return { kind: 'ignore' };
  const row = headingOf(head, known);
  const isFeature = row?.kind === 'limit' && cells.every((cell) => YES_NO.test(cell) && !/\d|unlimited/i.test(cell));
  if (row && !isFeature) return { kind: 'row', row };
  if (head !== '' && cells.every((cell) => YES_NO.test(cell))) return { kind: 'row', row: { kind: 'feature', feature: slugOf(head) } };
  return { kind: 'words' };
}

function scoreOf(table: Table, mapping: TableMapping, known: readonly string[]): number {
  const clauses = tablePlans(table, mapping, known).flatMap((plan) => plan.clauses);
  const read = clauses.filter(({ kind }) => kind === 'read').length;
  const isNamed = mapping.header === 0 ? 0.5 : 0;
  const named = mapping.lines.filter(({ kind }) => kind === 'row').length / Math.max(1, mapping.lines.length);
  return clauses.length === 0 ? 0 : read / clauses.length + named + isNamed;
}

/** Cells of one line stand far apart in the order of places, so that no two clauses share one. */
const PLACES_A_LINE = 1_000_000;

/** What each plan's column states, read as the mapping says. */
export function tablePlans(table: Table, mapping: TableMapping, known: readonly string[]): TablePlan[] {
  const lines = linesOf(table, mapping.plans);
  const names = lines[mapping.header];
  const width = lines[0]?.length ?? 0;
  return Array.from({ length: Math.max(0, width - 1) }, (_, index) => index + 1).map((column) => ({
    plan: names?.[column] || `Plan ${column}`,
    clauses: lines.flatMap((line, at) => {
      const meaning = mapping.lines[at] ?? { kind: 'ignore' };
      const place = (at * width + column) * PLACES_A_LINE;
      return cellClauses(meaning, line[0] ?? '', line[column] ?? '', known).map((clause) => ({
        ...clause,
        from: clause.from + place,
        to: clause.to + place,
      }));
    }),
  }));
}

function cellClauses(meaning: LineMeaning, head: string, text: string, known: readonly string[]): Clause[] {
  if (meaning.kind === 'ignore') return [];
  const isFeature = meaning.kind === 'row' && meaning.row.kind === 'feature';
  if (NOTHING_STATED.test(text) && !(isFeature && text !== '')) return [];
  if (meaning.kind === 'words') return readPhrase(text, { known });
  const row = rowOf(meaning.row);
  const reading = readCell(row, isFeature && /^[–—-]$/.test(text) ? 'no' : text, known);
  const place = { text: `${head}: ${text}`, from: 0, to: text.length };
  if (reading.kind === 'open') return reading.clauses.map((clause) => ({ ...clause, text: `${head}: ${clause.text}` }));
  if (reading.kind === 'statements') return [{ kind: 'read', statements: reading.statements, ...place }];
  return stateClauses(meaning.row, reading.state, place);
}

function featureIn(state: string): boolean | null {
  if (state === 'not-known') return null;
  return state === 'unlimited';
}

/** "Not known" and "no limit" as statements, where a statement can say them. */
function stateClauses(row: RowKind, state: string, place: { text: string; from: number; to: number }): Clause[] {
  if (row.kind === 'limit' && (state === 'unlimited' || state === 'not-known'))
    return [{ kind: 'read', statements: [{ kind: 'limit', quantity: row.quantity, most: state === 'unlimited' ? true : null }], ...place }];
  if (row.kind === 'feature')
    return [
      {
        kind: 'read',
        statements: [{ kind: 'feature', feature: row.feature, value: featureIn(state) }],
        ...place,
      },
    ];
  if (row.kind === 'term' && state === 'not-known')
    return [{ kind: 'read', statements: [{ kind: 'term', term: { months: row.months, price: null } }], ...place }];
  return state === 'empty' || state === 'not-offered' ? [] : [{ kind: 'not-understood', ...place }];
}
