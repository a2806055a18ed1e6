import { addMonths, type Month } from '../../calendar/month';
import { constant, difference, figure, percentage, product } from '../expression/build';
import type { Expression, FigurePlace } from '../expression/expression';
import type { Term } from './term';

/** When and how a candidate is joined. */
export interface Joining {
  /** Month index. */
  readonly month: number;
  /**
   * Whether one comes from another candidate of the same offer: then there is no introductory price, no trial, no
   * joining fee, no extra that is paid once and no extra months (decision file §9).
   */
  readonly moved: boolean;
}

/** Joined in the first month, from outside. */
export const FROM_THE_START: Joining = { month: 0, moved: false };

/** A payment for a term. */
export interface TermPayment {
  /** Month index in which it is paid. */
  readonly month: number;
  /** Months it pays for; 0 = once and for good. */
  readonly covers: number;
  /** Its place among the payments, 0 for the first. */
  readonly ordinal: number;
  /** Which of the term's prices it costs. */
  readonly price: 'introductory' | 'usual' | 'changed' | 'renewal';
  /** What it costs for one, before rounding, in the term's currency. */
  readonly amount: Expression;
}

/** What the payments of a term depend on besides the term itself. */
export interface PaidAs {
  readonly joining: Joining;
  /** First month of the horizon, and its length. */
  readonly start: Month;
  readonly months: number;
  /** Id of the plan or add-on the term belongs to. */
  readonly part: string;
  /** Months that come on top of the first payment's. */
  readonly extraMonths: number;
}

const DAYS_OF_A_MONTH = 30;

/**
 * All payments of a term from when it is joined to the end of the horizon (decision file §3, Terms). A term whose price
 * is not known has none to be counted; whoever asks looks at `isTermNotKnown` first.
 */
export function termPayments(term: Term, paid: PaidAs): TermPayment[] {
  const { joining, start, months, extraMonths } = paid;
  const introductory = grantedPeriods(term, paid);
  const first = joining.month + (joining.moved ? 0 : Math.floor((term.trialDays ?? 0) / DAYS_OF_A_MONTH));
  // With a renewal of another length, one payment at the usual price comes first where none is introductory.
  const beforeRenewal = term.renewal === undefined ? Infinity : Math.max(introductory, 1);
  const payments: TermPayment[] = [];
  for (let month = first, ordinal = 0; month < months; ordinal++) {
    const isRenewal = ordinal >= beforeRenewal;
    const length = isRenewal ? (term.renewal?.months ?? term.months) : term.months;
    const covers = length + (ordinal === 0 && !joining.moved && length > 0 ? extraMonths : 0);
    payments.push({
      month,
      covers,
      ordinal,
      ...priceOf(term, paid.part, term.changes === undefined ? start : addMonths(start, month), ordinal < introductory, isRenewal),
    });
    if (covers === 0) break;
    month += covers;
  }
  return payments;
}

/** How many payments cost the introductory price: none after a move inside the offer, or for those who join too late. */
export function grantedPeriods({ intro }: Term, { joining, start }: Pick<PaidAs, 'joining' | 'start'>): number {
  if (!intro || joining.moved) return 0;
  const isTooLate = intro.until !== undefined && addMonths(start, joining.month) > intro.until;
  return isTooLate ? 0 : intro.periods;
}

/** Which price it is, and what it comes to. */
type Price = Pick<TermPayment, 'price' | 'amount'>;

const prices = new WeakMap<Term, Map<number, Price>>();

/** The price of a payment; payments of a term that cost the same share its expression. */
function priceOf(term: Term, part: string, month: Month, isIntroductory: boolean, isRenewal: boolean): Price {
  const known = prices.get(term) ?? new Map<number, Price>();
  prices.set(term, known);
  const change = term.changes === undefined ? -1 : term.changes.findLastIndex(({ from }) => month >= from);
  const key = (change + 1) * 4 + (isIntroductory ? 2 : 0) + (isRenewal ? 1 : 0);
  const price = known.get(key) ?? newPrice(term, part, month, isIntroductory, isRenewal);
  known.set(key, price);
  return price;
}

function newPrice(term: Term, part: string, month: Month, isIntroductory: boolean, isRenewal: boolean): Price {
  const at = (field: string): FigurePlace => ({ part, line: 'term', id: term.id, field });
  const { intro } = term;
  if (isIntroductory && intro && 'price' in intro) return { price: 'introductory', amount: figure(intro.price, at('intro')) };
  const inForce = priceInForce(term, part, month, isRenewal);
  if (!isIntroductory || !intro || !('off' in intro)) return inForce;
  return { price: 'introductory', amount: product(inForce.amount, difference(constant('1'), percentage(intro.off, at('off')))) };
}

/** The price without an introduction: as announced for the month, else the renewal price, else the usual one. */
function priceInForce(term: Term, part: string, month: Month, isRenewal: boolean): Price {
  const holds = term.renewal === undefined || isRenewal;
  const index = holds ? (term.changes ?? []).findLastIndex(({ from }) => month >= from) : -1;
  const change = term.changes?.[index];
  if (change)
    return { price: 'changed', amount: figure(change.price, { part, line: 'change', id: `${term.id} ${index}`, field: 'price' }) };
  const line = { part, line: 'term', id: term.id } as const;
  if (isRenewal) return { price: 'renewal', amount: figure(term.renewal?.price, { ...line, field: 'renewal' }) };
  return { price: 'usual', amount: figure(term.price, { ...line, field: 'price' }) };
}
