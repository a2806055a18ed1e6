import type { Clause, Statement } from '#core/price-phrase/statement';
import type { StatedWords } from '#core/price-sheet/apply-page';

/** A clause with the answer that was given to its question; null while there is none. */
export interface AnsweredClause {
  readonly clause: Clause;
  readonly answer: number | null;
}

/** What clauses state, with the answers given so far. */
export function statedBy(clauses: readonly AnsweredClause[]): Statement[] {
  return clauses.flatMap(statements);
}

/** What clauses state, each with the page's own words. */
export function statedWords(clauses: readonly AnsweredClause[]): StatedWords[] {
  return clauses.map((one) => ({ words: one.clause.text, statements: statements(one) })).filter((one) => one.statements.length > 0);
}

function statements({ clause, answer }: AnsweredClause): readonly Statement[] {
  if (clause.kind === 'read') return clause.statements;
  return clause.kind === 'asked' && answer !== null ? (clause.options[answer]?.statements ?? []) : [];
}

/** The first question without an answer, by its position; -1 if there is none. */
export function openQuestion(clauses: readonly AnsweredClause[]): number {
  return clauses.findIndex(({ clause, answer }) => clause.kind === 'asked' && answer === null);
}

/** The stretches that are not understood. */
export function notUnderstood(clauses: readonly AnsweredClause[]): string[] {
  return clauses.flatMap(({ clause }) => (clause.kind === 'not-understood' ? [clause.text] : []));
}
