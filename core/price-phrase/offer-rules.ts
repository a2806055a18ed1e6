import { decimal } from '../amount/decimal';
import { duration, money, type Money, percent, period } from './amount-rules';
import { longest, made, optional, type Rule, sequence, sign, word, words } from './grammar';
import { asks, inCurrency, type Reading, states } from './reading';
import type { Statement } from './statement';
import { rhythm } from './term-rhythm';

/** Prices that are lower at first, said in one breath with what comes then. */

const times = (amount: string, of: number, to: number) => decimal(amount).times(to).div(of).toFixed();

function introduced(months: number, price: string, intro: { price: string; periods: number }, currency: Money): Statement {
  return { kind: 'term', term: { months, price, intro }, ...inCurrency(currency) };
}

/** "11.40/mo billed every 3 years, 3.20/mo for the first 3 years": both are paid three years ahead. */
const billedAheadLowerFirst: Rule<Reading> = made(
  sequence(money, rhythm, sign(','), money, period, words('for the first', 'for your first'), duration),
  ([later, { of, paid }, , lower, lowerOf, , first]) => {
    if (later.amount === null || lower.amount === null || of <= 0 || paid <= of || first % paid !== 0) return null;
    const intro = { price: times(lower.amount, lowerOf, paid), periods: first / paid };
    return states(introduced(paid, times(later.amount, of, paid), intro, later));
  },
);

/** "115.20 for 3 years, then 11.40/mo": paid ahead at first; how it is paid later is not said. */
const aheadThenByTheMonth: Rule<Reading> = made(
  sequence(
    money,
    word('for'),
    optional(words('the first')),
    duration,
    optional(sign(',')),
    words('then', 'after that', 'renews at'),
    money,
    period,
  ),
  ([lower, , , first, , , later, laterOf]) => {
    if (lower.amount === null || later.amount === null || first <= 1 || laterOf >= first) return null;
    // A whole that is less than twice what a month costs later is the price of a month.
    if (decimal(lower.amount).lt(later.amount)) return null;
    const [ahead, byTheMonth] = [times(later.amount, laterOf, first), times(lower.amount, first, laterOf)];
    return asks(
      `${lower.amount} pays for ${first} months. How is ${later.amount} paid after that?`,
      [`for ${first} months ahead again: ${ahead}`, introduced(first, ahead, { price: lower.amount, periods: 1 }, lower)],
      [
        laterOf === 1 ? 'month by month' : `every ${laterOf} months`,
        introduced(laterOf, later.amount, { price: byTheMonth, periods: first / laterOf }, lower),
      ],
    );
  },
);

/** "one-time payment of 1,180". */
const oneTimePayment: Rule<Reading> = made(
  sequence(
    words('one time payment of', 'single payment of', 'one off payment of', 'pay once', 'a one time payment of'),
    optional(sign(':')),
    money,
  ),
  ([, , price]) => states({ kind: 'term', term: { months: 0, price: price.amount }, ...inCurrency(price) }),
);

/** "20% off with code": for how long is not said. */
const codeDiscount: Rule<Reading> = made(
  sequence(
    percent,
    words('off', 'discount'),
    words('with code', 'with the code', 'with a code', 'with this code', 'with coupon', 'by code'),
  ),
  ([{ percent: off }]) =>
    off === null
      ? null
      : asks(
          `How long does ${off}% off with the code hold?`,
          ['for the first payment', { kind: 'introduction', intro: { off }, time: { payments: 1 } }],
          ['for the first year', { kind: 'introduction', intro: { off }, time: { months: 12 } }],
        ),
);

export const offerRule: Rule<Reading> = longest<Reading>(billedAheadLowerFirst, aheadThenByTheMonth, oneTimePayment, codeDiscount);
