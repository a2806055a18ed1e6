import { decimal } from '../amount/decimal';
import type { Money } from './amount-rules';
import type { StatedTerm, Statement } from './statement';

/** A price quoted for some months as the price of others; null where it is not known. */
export const timesPrice = (price: string | null, of: number, to: number) =>
  price === null ? null : decimal(price).times(to).div(of).toFixed();

/** A term as a statement. */
export function termOf({ amount: price, currency }: Money, months: number, rest: Partial<StatedTerm> = {}): Statement {
  return { kind: 'term', term: { months, price, ...rest }, ...(currency ? { currency } : {}) };
}
