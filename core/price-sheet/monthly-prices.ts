import { decimal } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { Plan, Term } from '../decision-file/price-sheet-schema';

/** What a month of a term costs, in the plan's currency; null where it is not known, or paid once and for good. */
export interface MonthlyPrices {
  /** While the introductory price holds. */
  readonly now: string | null;
  /** Afterwards. */
  readonly renewal: string | null;
}

/** What a month of a term costs at first and later (decision file §3, Terms). */
export function monthlyPrices(plan: Pick<Plan, 'currency'> | null, term: Term | null): MonthlyPrices {
  if (!plan || !term || term.months === 0) return { now: null, renewal: null };
  const monthly = (price: string | null, months: number) =>
    price === null ? null : moneyText(roundMoney(decimal(price).div(months), plan.currency), plan.currency);
  const { price, months, intro, renewal: later } = term;
  const renewal = later ? monthly(later.price, later.months) : monthly(price, months);
  if (!intro) return { now: monthly(price, months), renewal };
  if ('price' in intro) return { now: monthly(intro.price, months), renewal };
  return {
    now: price === null ? null : monthly(decimal(price).times(decimal('100').minus(intro.off)).div('100').toFixed(), months),
    renewal,
  };
}
