import type { PriceSheet } from '../decision/price-sheet';
import { readPhrase } from '../price-phrase/read-phrase';
import type { Clause, Statement } from '../price-phrase/statement';
import { type ApplyContext, applyStatements, withTermOf } from './apply-statements';
import { type CellState, figureAt } from './grid-cell';
import { chargeIn, type GridRow } from './grid-rows';
import { withCellState } from './cell-state';
import { type Part, placeOf, termIn, withPart } from './parts';
import { withMark } from './figure-notes';

/** What a text typed into a cell was read as. */
export type CellReading =
  | { readonly kind: 'state'; readonly state: Exclude<CellState, 'stated'> }
  | { readonly kind: 'statements'; readonly statements: readonly Statement[] }
  /** Something is ambiguous or not understood: nothing is taken over until it is settled. */
  | { readonly kind: 'open'; readonly clauses: readonly Clause[] };

const STATE_TEXTS: Readonly<Record<string, Exclude<CellState, 'stated'>>> = {
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

/** A typed text can replace all that a cell says, or only its figure: an introductory price stays. */
export type CellText = 'all' | 'figure';

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
  const at = figureAt(part, row);
  const place = at && placeOf(part.id, at);
  const [only, ...others] = reading.statements;
  const unmarked = (one: PriceSheet) => (place === null ? one : withMark(one, place, null));
  const retyped = only && others.length === 0 ? retypedPart(part, row, only, replaces, context.newId) : null;
  if (retyped) return { sheet: unmarked(withPart(sheet, part.id, () => retyped)), problems: [] };
  const { sheet: changed, problems } = applyStatements(sheet, part.id, reading.statements, context);
  return { sheet: unmarked(changed), problems };
}

/** What is retyped in its cell is the same thing, corrected: not another statement beside the former. Null if it is something else. */
function retypedPart(part: Part, row: GridRow, statement: Statement, replaces: CellText, newId: () => string): Part | null {
  const { kind } = row;
  const found = chargeIn(part, row);
  if (found && statement.kind === 'charge' && kind.kind === 'charge')
    return { ...part, charges: (part.charges ?? []).map((charge) => (charge === found ? { id: found.id, ...statement.charge } : charge)) };
  if (kind.kind === 'term' && statement.kind === 'term' && statement.term.months === kind.months) {
    const term = termIn(part, kind);
    const kept = replaces === 'figure' ? term : undefined;
    return { ...part, terms: withTermOf(part.terms ?? [], { ...kept, ...statement.term, id: term?.id ?? newId() }) };
  }
  if (kind.kind === 'term' && statement.kind === 'introduction') return withIntroduction(part, kind, statement);
  const [fee, ...others] = part.once ?? [];
  if (kind.kind === 'joining' && statement.kind === 'joining' && fee)
    return { ...part, once: [{ ...fee, amount: statement.amount }, ...others] };
  return null;
}

/** An introductory price typed into the cell of a term is that term's alone. */
function withIntroduction(
  part: Part,
  kind: Extract<GridRow['kind'], { kind: 'term' }>,
  { intro, time }: Extract<Statement, { kind: 'introduction' }>,
): Part | null {
  const term = termIn(part, kind);
  if (!term || term.months === 0) return null;
  const periods = 'payments' in time ? time.payments : time.months / term.months;
  return Number.isInteger(periods) ? { ...part, terms: withTermOf(part.terms ?? [], { ...term, intro: { ...intro, periods } }) } : null;
}
