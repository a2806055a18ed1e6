import type { PriceSheet } from '#core/decision/price-sheet';
import { withCurrencyQuestions } from '#core/price-phrase/currency-questions';
import type { Clause } from '#core/price-phrase/statement';
import { applyPage } from '#core/price-sheet/apply-page';
import { columnsOf, type Part } from '#core/price-sheet/parts';
import { newId } from '../workbench/new-id';
import { useKnownQuantities } from './known-quantities';
import { type AnsweredClause, notUnderstood, statedWords } from './phrase-reading';
import { useAnswers } from './use-answers';

/** What is stated about one plan; null means the plans that are chosen. Places of clauses are unique in the page. */
export interface Stretch {
  readonly plan: string | null;
  readonly clauses: readonly Clause[];
}

/** A stretch with the answers given, and where its clauses stand among all. */
export interface AnsweredStretch {
  readonly plan: string | null;
  readonly clauses: readonly AnsweredClause[];
  readonly offset: number;
}

/** A page that was read, however it came in: its questions, and what taking it over would make of the sheet. */
export function usePage(sheet: PriceSheet, page: readonly Stretch[], chosen: readonly string[], text: string) {
  const known = useKnownQuantities();
  const columns = columnsOf(sheet);
  const asked = page.map(({ plan, clauses }) => ({ plan, clauses: withCurrencyQuestions(clauses, currencyOf(columns, plan, chosen)) }));
  const answers = useAnswers(
    text,
    asked.flatMap(({ clauses }) => clauses),
  );
  const stretches = asked.map(({ plan, clauses }, index): AnsweredStretch => {
    const offset = asked.slice(0, index).reduce((sum, one) => sum + one.clauses.length, 0);
    return { plan, offset, clauses: answers.answered.slice(offset, offset + clauses.length) };
  });
  const stated = stretches.map(({ plan, clauses }) => ({ plan, stated: statedWords(clauses) }));
  const apply = (one: PriceSheet) => applyPage(one, stated, chosen, { known, newId });
  return {
    stretches,
    ...answers,
    isEmpty: answers.answered.length === 0,
    isReady: answers.asking < 0 && stated.some((one) => one.stated.length > 0),
    apply,
    leftOver: notUnderstood(answers.answered),
  };
}

export type ReadPage = ReturnType<typeof usePage>;

function currencyOf(columns: readonly Part[], plan: string | null, chosen: readonly string[]) {
  const named =
    plan === null ? columns.find(({ id }) => chosen.includes(id)) : columns.find(({ label }) => label.toLowerCase() === plan.toLowerCase());
  const part = named ?? columns[0];
  const isPriced = named !== undefined && ((named.terms?.length ?? 0) > 0 || (named.charges?.length ?? 0) > 0);
  return { currency: part?.currency ?? 'EUR', isPriced };
}
