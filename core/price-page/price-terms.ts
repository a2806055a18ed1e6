import { decimal, isSameAmount } from '../amount/decimal';
import type { StatedTerm, Statement } from '../price-phrase/statement';
import type { Fact } from './page-reading';
import type { PricePiece } from './price-pieces';

/** What a page says about all its prices. */
export interface PriceHints {
  /** Months that prices without any words are for; null where the page does not say. */
  readonly usualPer: number | null;
  /** Months paid at once, where the page says so of all its prices. */
  readonly paidAtOnce: number | null;
  /** Whether the page says what paying by the year saves. */
  readonly savesByYear?: boolean;
  /** Whether prices by the month can be had beside those paid by the year. */
  readonly hasMonthly: boolean;
  /** Months of the terms that the page offers without saying which of them its prices are for. */
  readonly lengths: readonly number[];
  /** Whether the page says that the full price is paid later. */
  readonly returnsToFull: boolean;
}

/** A price that can be meant in several ways. */
export interface PriceDoubt {
  readonly about: 'period' | 'length' | 'crossed-out' | 'two-prices';
  readonly lines: readonly number[];
  readonly options: ReadonlyArray<{ readonly label: string; readonly statements: readonly Statement[] }>;
}

export interface AssembledPrices {
  readonly facts: Fact[];
  readonly doubts: PriceDoubt[];
  /** Lines whose amounts say nothing of their own, and why. */
  readonly aside: Array<{ readonly line: number; readonly why: string }>;
}

export const A_YEAR = 12;

/** A price for a length is stated once; said again it is confirmed, said differently it is asked. */
export function addTerm({ facts, doubts }: AssembledPrices, term: StatedTerm, lines: readonly number[]): void {
  const at = facts.findIndex(({ statement }) => statement.kind === 'term' && statement.term.months === term.months);
  const found = facts[at];
  if (found?.statement.kind !== 'term') {
    facts.push({ statement: { kind: 'term', term }, lines });
    return;
  }
  const former = found.statement.term;
  if (isSameAmount(former.price, term.price)) facts[at] = { ...found, lines: [...found.lines, ...lines] };
  else if (isRounded(former, term)) facts[at] = { ...found, lines: [...found.lines, ...lines] };
  else {
    doubts.push({
      about: 'two-prices',
      lines: [...found.lines, ...lines],
      options: [former, term].map((one) => ({ label: one.price ?? 'not stated', statements: [{ kind: 'term', term: one }] })),
    });
    facts.splice(at, 1);
  }
}

/** Whether a price for so many months is known. */
export function hasTerm({ facts }: AssembledPrices, months: number): boolean {
  return facts.some(({ statement }) => statement.kind === 'term' && statement.term.months === months);
}

/** Whether two prices for several months are the same but for the rounding of a month's share. */
function isRounded({ months, price }: StatedTerm, other: StatedTerm): boolean {
  if (months <= 1 || price === null || other.price === null) return false;
  const difference = decimal(price).minus(other.price).abs();
  const isWhole = decimal(other.price).div(months).isInteger() || decimal(price).div(months).isInteger();
  return difference.lte(decimal(months).times(isWhole ? '0.5' : '0.01'));
}

export const times = (amount: string | null, months: number, per: number): string | null =>
  amount === null ? null : decimal(amount).times(months).div(per).toFixed();

/** For how many months a piece is paid at once; `usual` where it does not say. */
export function monthsOf({ billed, first }: PricePiece, usual: number): number {
  return (billed !== null && billed > 1 ? billed : null) ?? first ?? usual;
}

/** Whether a stated total is what is shown times the months, but for the rounding of what is shown. */
export function fits(total: PricePiece, shown: string | null, payments: number): boolean {
  if (total.amount === null || shown === null) return false;
  const step = shown.includes('.') ? '0.01' : '0.5';
  return decimal(shown).times(payments).minus(total.amount).abs().lte(decimal(step).times(payments));
}
