import { decimal } from '../amount/decimal';
import { billed, duration, money, type Money, percent, period, wholeCount } from './amount-rules';
import { first, made, optional, type Rule, sequence, sign, word, words } from './grammar';
import { asks, inCurrency, type Reading, states, stating } from './reading';
import type { IntroductoryTime, Statement } from './statement';
import { termOf, timesPrice } from './term-statement';

export const perMonthBilled: Rule<Reading> = made(
  sequence(
    money,
    period,
    words('for', 'for the', 'for your'),
    optional(word('first')),
    duration,
    optional(
      sequence(
        optional(sign(',')),
        optional(word('and')),
        words('then', 'after that', 'afterwards', 'renews at', 'later'),
        money,
        optional(period),
        optional(sequence(optional(sign(',')), billed)),
      ),
    ),
  ),
  ([intro, of, , isFirst, time, then]) => {
    if (of !== 1 || time <= 1) return null;
    const [, , , later, laterPeriod, howBilled] = then ?? [];
    if (!isFirst && !later) return states(termOf({ ...intro, amount: timesPrice(intro.amount, 1, time) }, time));
    const renewal = later ? { ...inCurrency(intro), ...later } : null;
    const monthly = renewal && timesPrice(renewal.amount, laterPeriod ?? 1, 1);
    if (!renewal || intro.amount === null)
      return states({ kind: 'introduction', intro: { price: intro.amount }, time: { months: time }, ...inCurrency(intro) });
    const paid = howBilled?.[1] ?? null;
    const ahead = paid === null ? null : paidAhead({ intro, renewal: { ...renewal, amount: monthly }, time, paid });
    if (ahead) return ahead;
    const whole = timesPrice(intro.amount, 1, time);
    return asks(
      `Is the lower price paid month by month, or for ${time} months ahead?`,
      [
        `month by month: ${time} × ${intro.amount}, then ${monthly} a month`,
        termOf({ ...renewal, amount: monthly }, 1, { intro: { price: intro.amount, periods: time } }),
      ],
      [
        `${time} months ahead: ${whole}, then ${timesPrice(monthly, 1, time)} for each ${time} months`,
        termOf({ ...renewal, amount: timesPrice(monthly, 1, time) }, time, { intro: { price: whole, periods: 1 } }),
      ],
    );
  },
);

/** A lower price by the month and what comes then, both paid so many months at a time; null where the first time is not made of such. */
function paidAhead({ intro, renewal, time, paid }: { intro: Money; renewal: Money; time: number; paid: number }): Reading | null {
  if (paid < 1 || time % paid !== 0) return null;
  const ahead = (amount: string | null) => timesPrice(amount, 1, paid);
  return states(
    termOf({ ...renewal, amount: ahead(renewal.amount) }, paid, { intro: { price: ahead(intro.amount), periods: time / paid } }),
  );
}

const introductoryTime: Rule<IntroductoryTime> = first<IntroductoryTime>(
  made(sequence(optional(wholeCount), word('payment', 'payments', 'term', 'terms', 'bill', 'bills')), ([times]) => ({
    payments: times ?? 1,
  })),
  made(duration, (months) => ({ months })),
);
const theFirst = words('the first', 'your first', 'first');
const then = sequence(
  optional(sign(',', ';')),
  optional(word('and')),
  words('then', 'after that', 'afterwards', 'renews at', 'renewal', 'later'),
  money,
  // What comes then is by the month, or paid for as long as it is billed.
  optional(first(period, billed)),
);

/** "2 for the first 2 months", with what comes then if that is said. */
export const introduction: Rule<Reading> = made(
  first(
    made(
      sequence(
        money,
        words('for each of the first', 'in each of the first', 'each of the first', 'for each of your first'),
        introductoryTime,
        optional(then),
      ),
      ([price, , time, after]) => ({ price, each: true, time, after }),
    ),
    made(
      sequence(money, optional(word('each')), word('for'), theFirst, introductoryTime, optional(then)),
      ([price, each, , , time, after]) => ({ price, each: each !== undefined, time, after }),
    ),
    made(
      sequence(
        theFirst,
        introductoryTime,
        optional(first(sign(':'), words('for', 'at', 'only'))),
        money,
        optional(word('each')),
        optional(then),
      ),
      ([, time, , price, each, after]) => ({ price, each: each !== undefined, time, after }),
    ),
    made(sequence(duration, word('at'), money, optional(then)), ([months, , price, after]) => ({
      price,
      each: true,
      time: { months },
      after,
    })),
    made(sequence(money, optional(word('each')), word('for'), duration, then), ([price, each, , months, after]) => ({
      price,
      each: each !== undefined,
      time: { months },
      after,
    })),
  ),
  ({ price, each, time, after }) =>
    introductionReading(price, each, time, after ? { price: { ...inCurrency(price), ...after[3] }, months: after[4] } : null),
);

function introductionReading(
  price: Money,
  each: boolean,
  time: IntroductoryTime,
  after: { price: Money; months: number | undefined } | null,
): Reading {
  const times = 'months' in time ? time.months : time.payments;
  const readings = (amount: string | null): Statement => {
    if (!after) return { kind: 'introduction', intro: { price: amount }, time, ...inCurrency(price) };
    const months = after.months ?? ('months' in time && time.months >= 12 ? 12 : 1);
    const periods = 'months' in time ? Math.max(1, time.months / months) : time.payments;
    return termOf(after.price, months, Number.isInteger(periods) ? { intro: { price: amount, periods } } : {});
  };
  const isOneYear = 'months' in time && time.months % 12 === 0;
  if (each || times <= 1 || price.amount === null || isOneYear || Number(price.amount) === 0) return states(readings(price.amount));
  const part = decimal(price.amount).div(times).toDecimalPlaces(4);
  const unit = 'months' in time ? 'months' : 'payments';
  return asks(
    `Is ${price.amount} for each of the ${times} ${unit}, or for all of them together?`,
    [`${price.amount} each`, readings(price.amount)],
    [`${price.amount} together, ${part.toFixed()} each`, readings(part.toFixed())],
  );
}

/** "3 months for 1": a term of that length, or what the first months cost. */
export const monthsFor: Rule<Reading> = made(sequence(duration, word('for'), money), ([months, , price]) => {
  if (price.amount === null || months <= 1) return null;
  const introduction = (amount: string): Statement => ({
    kind: 'introduction',
    intro: { price: amount },
    time: { months },
    ...inCurrency(price),
  });
  return asks(
    `What is ${price.amount} for ${months} months?`,
    [`the price of a term of ${months} months`, termOf(price, months)],
    ['what the first months cost together', introduction(decimal(price.amount).div(months).toDecimalPlaces(4).toFixed())],
    ['what each of the first months costs', introduction(price.amount)],
  );
});

export const percentOff: Rule<Reading> = first<Reading>(
  stating(
    sequence(percent, word('off'), optional(word('for', 'on', 'in')), theFirst, introductoryTime),
    ([{ percent: off }, , , , time]) => (off === null ? null : { kind: 'introduction', intro: { off }, time }),
  ),
  stating(sequence(percent, word('off'), word('for'), introductoryTime), ([{ percent: off }, , , time]) =>
    off === null ? null : { kind: 'introduction', intro: { off }, time },
  ),
  stating(sequence(theFirst, introductoryTime, optional(words('at', 'with')), percent, word('off')), ([, time, , { percent: off }]) =>
    off === null ? null : { kind: 'introduction', intro: { off }, time },
  ),
  stating(sequence(percent, words('off once', 'off one time', 'off the first')), ([{ percent: off }]) =>
    off === null ? null : { kind: 'introduction', intro: { off }, time: { payments: 1 } },
  ),
  stating(sequence(words('half price for', 'half price in'), optional(theFirst), introductoryTime), ([, , time]) => ({
    kind: 'introduction',
    intro: { off: '50' },
    time,
  })),
  stating(sequence(theFirst, introductoryTime, words('free', 'for free')), ([, time]) => ({
    kind: 'introduction',
    intro: { price: '0' },
    time,
  })),
  stating(sequence(duration, words('free', 'for free')), ([months]) => ({ kind: 'introduction', intro: { price: '0' }, time: { months } })),
);
