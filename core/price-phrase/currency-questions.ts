import type { Clause, Option, Statement } from './statement';

const DOLLARS = ['USD', 'AUD', 'CAD', 'NZD', 'SGD', 'HKD', 'BBD', 'BSD', 'JMD', 'TTD'];

/** Dollars that are offered where a page only says "$". */
const LIKELY_DOLLARS = ['USD', 'CAD', 'AUD'];

/** What a plan is priced in, and whether anything on it is priced yet. */
export interface PlanCurrency {
  readonly currency: string;
  readonly isPriced: boolean;
}

/**
 * Statements in another currency than the plan's become a question; a plan without any price yet takes the
 * currency the phrase names.
 *
 * A "$" means the plan's own currency if that is a dollar, and otherwise has to be named.
 */
export function withCurrencyQuestions(clauses: readonly Clause[], plan: PlanCurrency): Clause[] {
  return clauses.map((clause): Clause => {
    const { text, from, to } = clause;
    if (clause.kind === 'asked') return { ...clause, options: clause.options.flatMap((option) => optionInCurrencies(option, plan)) };
    const named = clause.kind === 'read' ? foreignIn(clause.statements, plan) : null;
    if (clause.kind !== 'read' || named === null) return clause;
    const question =
      named === '$'
        ? `Which dollar? The plan is in ${plan.currency}.`
        : `This is in ${named}, the plan in ${plan.currency}. One plan has one currency.`;
    if (named !== '$' && !plan.isPriced) return { ...clause, statements: inCurrency(clause.statements, named) };
    const options = currenciesFor(named).map((code): Option => ({
      label: `the whole plan is in ${code}`,
      statements: inCurrency(clause.statements, code),
    }));
    return {
      kind: 'asked',
      question,
      options: [...options, { label: `the figure is in ${plan.currency}`, statements: withoutCurrency(clause.statements) }],
      text,
      from,
      to,
    };
  });
}

/** The currency that statements name, if it is not the plan's. */
export function foreignIn(statements: readonly Statement[], { currency }: Pick<PlanCurrency, 'currency'>): string | null {
  const named = statements.find((one) => one.currency !== undefined && one.currency !== currency)?.currency;
  return named === undefined || (named === '$' && DOLLARS.includes(currency)) ? null : named;
}

const currenciesFor = (named: string) => (named === '$' ? LIKELY_DOLLARS : [named]);

function withoutCurrency(statements: readonly Statement[]): Statement[] {
  return statements.map(({ currency: _named, ...statement }) => statement as Statement);
}

function inCurrency(statements: readonly Statement[], code: string): Statement[] {
  return [{ kind: 'currency', code }, ...withoutCurrency(statements)];
}

/** An answer that names another currency as several: the plan in it, or the figure in the plan's. */
function optionInCurrencies(option: Option, plan: PlanCurrency): Option[] {
  const named = foreignIn(option.statements, plan);
  if (named === null) return [option];
  const inOthers = currenciesFor(named).map((code): Option => ({
    label: `${option.label}, the whole plan in ${code}`,
    statements: inCurrency(option.statements, code),
  }));
  return plan.isPriced || named === '$'
    ? [...inOthers, { label: `${option.label}, the figure in ${plan.currency}`, statements: withoutCurrency(option.statements) }]
    : inOthers;
}
