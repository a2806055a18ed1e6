import type { PriceSheet } from '../decision/price-sheet';
import { readPhrase } from '../price-phrase/read-phrase';
import type { Clause, Statement } from '../price-phrase/statement';
import { type ApplyContext, applyStatements } from './apply-statements';
import { withCellState } from './cell-state';
import { withMark } from './figure-notes';
import { figureAt } from './grid-cell';
import type { GridRow } from './grid-rows';
import { type Part, placeOf, withPart } from './parts';
import { ruleOf } from './rows/kinds';
import type { CellText, NoFigure } from './rows/row-rule';

/** What a text typed into a cell was read as. */
export type CellReading =
  | { readonly kind: 'state'; readonly state: NoFigure }
  | { readonly kind: 'statements'; readonly statements: readonly Statement[] }
  /** Something is ambiguous or not understood: nothing is taken over until it is settled. */
  | { readonly kind: 'open'; readonly clauses: readonly Clause[] };

const STATE_TEXTS: Readonly<Record<string, NoFigure>> = {
  '': 'empty',
  '–': 'empty',
  '-': 'empty',
  '?': 'not-known',
  'not known': 'not-known',
  'not offered': 'not-offered',
  'n/a': 'not-offered',
  'no limit': 'unlimited',
  unlimited: 'unlimited',
};

/**
 * Reads what was typed into a cell.
 *
 * @param known - quantities that the forecast states
 */
export function readCell(row: GridRow, text: string, known: readonly string[]): CellReading {
  const state = STATE_TEXTS[text.trim().toLowerCase()];
  if (state !== undefined && (state !== 'unlimited' || row.kind.kind === 'limit' || row.kind.kind === 'feature'))
    return { kind: 'state', state };
  const clauses = readPhrase(text, { row: row.kind, known });
  if (clauses.length === 0 || clauses.some(({ kind }) => kind !== 'read')) return { kind: 'open', clauses };
  const statements = clauses.flatMap((clause) => (clause.kind === 'read' ? clause.statements : []));
  return { kind: 'statements', statements: statements.map((statement) => inRow(statement, row)) };
}

/** A charge typed into a row of charges counts what the row counts. */
function inRow(statement: Statement, { kind }: GridRow): Statement {
  if (statement.kind !== 'charge' || kind.kind !== 'charge' || kind.on === undefined) return statement;
  const { charge } = statement;
  return charge.on !== undefined || charge.how === 'per-order' ? statement : { ...statement, charge: { ...charge, on: kind.on } };
}

/** The sheet with what was read from a cell, and what could not be put there in words. */
export function withCell(
  sheet: PriceSheet,
  part: Part,
  row: GridRow,
  reading: Exclude<CellReading, { kind: 'open' }>,
  replaces: CellText,
  context: ApplyContext,
): { sheet: PriceSheet; problems: readonly string[] } {
  if (reading.kind === 'state') return { sheet: withCellState(sheet, part.id, row, reading.state, context.newId), problems: [] };
  const place = placeOf(part.id, figureAt(part, row));
  const [only, ...others] = reading.statements;
  const unmarked = (one: PriceSheet) => withMark(one, place, null);
  const rule = ruleOf(row.kind);
  const retyped = only && others.length === 0 ? rule.retyped?.(part, row.kind, only, replaces, context.newId) : null;
  if (retyped) return { sheet: unmarked(withPart(sheet, part.id, () => retyped)), problems: [] };
  const { sheet: changed, problems } = applyStatements(sheet, part.id, reading.statements, context);
  return { sheet: unmarked(changed), problems };
}
