import { decimal, ONE } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { Term } from '../decision-file/price-sheet-schema';
import type { Part } from './parts';

/** What paying for longer comes to, compared with paying by the month. */
export interface TermComparison {
  /** Renewal price per month, in the plan's currency. */
  readonly perMonth: string;
  /** Percent saved against the price by the month, rounded to a whole percent; null without one. */
  readonly saved: string | null;
}

/** The monthly equivalent of a term's renewal price; null for what is bought for good or not known. */
export function monthlyEquivalent(plan: Pick<Part, 'currency' | 'terms'>, term: Term): TermComparison | null {
  if (term.price === null || term.months <= 1) return null;
  const perMonth = decimal(term.price).div(term.months);
  const monthly = plan.terms?.find((one) => one.months === 1)?.price;
  const comparable = monthly != null && decimal(monthly).gt(0);
  return {
    perMonth: moneyText(roundMoney(perMonth, plan.currency), plan.currency),
    saved: comparable ? ONE.minus(perMonth.div(monthly)).times(100).toFixed(0) : null,
  };
}
