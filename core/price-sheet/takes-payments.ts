import type { PriceSheet } from '../decision/price-sheet';
import type { Offer, Plan } from '../decision-file/price-sheet-schema';

/** Kinds of vendor through which nothing is sold, so that no card fee is to be expected. */
const SELLS_NOTHING =
  /host|server|mail|message|label|ship|stock|order-automation|review|loyalty|research|plug-?in|theme|one-page|connector|domain/i;

/** Whether a kind of vendor is one through which something is sold. */
export function sellsSomething({ kind }: Pick<Offer, 'kind'>): boolean {
  return !SELLS_NOTHING.test(kind);
}

/** Whether a part states what it takes for card payments that it processes itself, known or not. */
export function statesCardFees({ charges = [] }: Pick<Plan, 'charges'>): boolean {
  return charges.some(({ bucket, only, credit }) => bucket === 'payment' && !credit && only?.payments !== 'outside');
}

/** Plans of which somebody has said that there is no card fee: by a mark in its row, or by settling the question about it. */
export function plansWithoutCardFees({ marks = {}, settled = [] }: Pick<PriceSheet, 'marks' | 'settled'>): ReadonlySet<string> {
  const marked = Object.entries(marks).flatMap(([place, mark]) => {
    const [, plan] = /^(\S+) charge .*"payment"/.exec(place) ?? [];
    return plan !== undefined && mark === 'not-offered' ? [plan] : [];
  });
  return new Set([...marked, ...settled.flatMap(({ check, place }) => (check === 'payment-fee' ? [place] : []))]);
}
