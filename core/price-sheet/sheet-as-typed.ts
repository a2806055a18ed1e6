import type { PriceSheet } from '../decision/price-sheet';
import { withCurrencyQuestions } from '../price-phrase/currency-questions';
import { readPage } from '../price-phrase/read-page';
import { applyPage } from './apply-page';
import type { ApplyContext } from './apply-statements';
import { columnsOf } from './parts';

/**
 * A new sheet with what somebody typed about its one plan, where all of it reads and nothing has to be asked.
 *
 * @param text - such as "29/mo, 2% of each sale"
 * @param needs - features that the decision asks for, which are known by their names
 * @returns null where something is not understood, is asked about, or does not fit
 */
export function sheetAsTyped(sheet: PriceSheet, text: string, needs: readonly string[], context: ApplyContext): PriceSheet | null {
  const [column, ...others] = columnsOf(sheet);
  if (!column || others.length > 0) return null;
  const read = readPage(text, [column.label], { known: context.known, needs });
  const page = read.map(({ plan, clauses }) => ({
    plan,
    stated: withCurrencyQuestions(clauses, { currency: column.currency, isPriced: false }).map((clause) =>
      clause.kind === 'read' ? { words: clause.text, statements: clause.statements } : null,
    ),
  }));
  const whole = page.flatMap(({ plan, stated }) => {
    const said = stated.filter((one) => one !== null);
    return said.length === stated.length && said.length > 0 && plan === null ? [{ plan, stated: said }] : [];
  });
  if (whole.length === 0 || whole.length < page.length) return null;
  const applied = applyPage(sheet, whole, [column.id], context);
  return applied.problems.length === 0 ? applied.sheet : null;
}
