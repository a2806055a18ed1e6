import { decimal } from '../amount/decimal';
import { billed, count, isEnd, money, percent, period, whole, wholeCount } from './amount-rules';
import { monthAndYear } from './date-rules';
import { first, longest, made, many, optional, type Rule, sequence, sign, word, words } from './grammar';
import { asks, inCurrency, type Reading, states, stating } from './reading';
import { offerRule } from './offer-rules';
import type { StatedTerm } from './statement';
import { introduction, monthsFor, percentOff, perMonthBilled } from './introduction-rules';
import { ONCE, rhythm } from './term-rhythm';
import { termOf, timesPrice } from './term-statement';

/** That a price has to be asked for. */
export const NOT_SAID = words(
  'ask us',
  'talk to us',
  'call us',
  'call for price',
  'price on request',
  'on request',
  'contact us',
  'contact sales',
  'custom price',
  'custom pricing',
  'ask for a quote',
  'ask for price',
  'price not known',
  'request a quote',
);

/** What stands in brackets behind a term in a written-out sentence. */
export type Detail = Partial<Pick<StatedTerm, 'intro' | 'trialDays' | 'refundDays' | 'prorated' | 'renewal' | 'changes'>>;

const payments = sequence(words('the first', 'first'), optional(wholeCount), word('payment', 'payments'));

/** Until when one has to join for an introductory price. */
const joinedBy: Rule<{ until?: string }> = made(
  optional(sequence(words('for those who join by', 'if you join by', 'for joining by', 'when joining by'), monthAndYear)),
  (found) => (found ? { until: found[1] } : {}),
);

const detail: Rule<Detail> = first<Detail>(
  made(sequence(payments, money, optional(word('each')), joinedBy), ([[, periods], { amount }, , until]) => ({
    intro: { price: amount, periods: periods ?? 1, ...until },
  })),
  made(sequence(percent, words('off'), payments, joinedBy), ([{ percent: off }, , [, periods], until]) =>
    off === null ? null : { intro: { off, periods: periods ?? 1, ...until } },
  ),
  made(
    sequence(words('then', 'renews at', 'then renews at'), money, (tokens, at) => rhythm(tokens, at)),
    ([, { amount }, { of, paid }]) =>
      paid > 0 && (of === paid || amount !== null)
        ? { renewal: { months: paid, price: of === paid ? amount : timesPrice(amount, of, paid) } }
        : null,
  ),
  made(sequence(money, words('from', 'as of', 'from then on , from'), monthAndYear), ([{ amount: price }, , from]) =>
    price === null ? null : { changes: [{ from, price }] },
  ),
  made(sequence(wholeCount, words('days free first', 'day free first')), ([trialDays]) => ({ trialDays })),
  made(sequence(words('money back within'), wholeCount, word('days', 'day')), ([, refundDays]) => ({ refundDays })),
  made(words('unused part paid back'), () => ({ prorated: true })),
  made(words('unused part not paid back'), () => ({ prorated: false })),
);

/** Details in brackets behind a price, as written-out sentences have them. */
export const details: Rule<Detail> = made(optional(sequence(sign('('), many(detail, sign(',')), sign(')'))), (found) =>
  joinedDetails(found?.[1] ?? []),
);

/** Several changes of price are one list. */
function joinedDetails(all: readonly Detail[]): Detail {
  const changes = all.flatMap((one) => one.changes ?? []);
  return { ...(Object.assign({}, ...all) as Detail), ...(changes.length > 0 ? { changes } : {}) };
}

const priceThenRhythm: Rule<Reading> = made(sequence(money, rhythm, details), ([price, { of, paid }, rest]) => {
  const months = paid;
  const amount = of === paid ? price.amount : timesPrice(price.amount, of, paid);
  const reading = states(termOf({ ...price, amount }, months, rest));
  return of === paid || price.amount === null
    ? reading
    : {
        ...reading,
        remark: `quoted for ${of === 1 ? 'a month' : `${of} months`}, paid every ${paid === 1 ? 'month' : `${paid} months`}: ${amount}`,
      };
});

const rhythmThenPrice: Rule<Reading> = whole(
  made(
    sequence(
      first(
        period,
        billed,
        made(ONCE, () => 0),
      ),
      optional(sign(':')),
      optional(word('for', 'at')),
      money,
      details,
    ),
    ([months, , , price, rest]) => states(termOf(price, months, rest)),
  ),
);

const free: Rule<Reading> = (tokens, at) => {
  const match = words(
    'free for ever',
    'free forever',
    'free plan',
    'free',
    'for free',
    'no monthly fee',
    'no subscription',
    'no base fee',
    'no fixed costs',
  )(tokens, at);
  const isAlone = match && (isEnd(tokens, match.next) || words('up to', 'for up to')(tokens, match.next));
  return isAlone ? { value: states(termOf({ amount: '0' }, 1)), next: match.next } : null;
};

const notSaid = made(sequence(NOT_SAID, optional(period)), ([, months]) => states(termOf({ amount: null }, months ?? 1)));

/** "from 27/mo": pages say so of the least that a plan can cost. */
const FROM = words('from', 'starting at', 'starting from', 'as from', 'prices from', 'as low as');
const fromPrice: Rule<Reading> = made(sequence(FROM, money, rhythm), ([, price, { of, paid }]) => {
  const amount = of === paid ? price.amount : timesPrice(price.amount, of, paid);
  return asks(
    `“From ${price.amount}” is the least it can cost. Is it what this plan costs?`,
    [`yes, ${amount}`, termOf({ ...price, amount }, paid)],
    ['no, the price is not known', termOf({ ...price, amount: null }, paid)],
  );
});

const days: Rule<number> = first<number>(
  made(sequence(wholeCount, word('day', 'days')), ([times]) => times),
  made(sequence(wholeCount, word('week', 'weeks')), ([times]) => times * 7),
);
const TRIAL = words('free trial', 'trial', 'trial free', 'free to try', 'to try', 'trial period', 'trial , no card needed');
const REFUND = words('money back', 'money back guarantee', 'refund', 'refunds', 'refund window', 'refundable', 'refund guarantee');

const trial: Rule<Reading> = first<Reading>(
  stating(sequence(days, TRIAL), ([found]) => ({ kind: 'trial', days: found })),
  stating(sequence(days, word('free')), ([found]) => ({ kind: 'trial', days: found })),
  stating(
    sequence(
      words('free for', 'try free for', 'try it for', 'trial of', 'trial', 'free trial of', 'free trial'),
      optional(sign(':')),
      days,
    ),
    ([, , found]) => ({ kind: 'trial', days: found }),
  ),
  made(sequence(days, word('for'), money), ([found, , price]) =>
    price.amount === null
      ? null
      : states({ kind: 'trial', days: found }, { kind: 'joining', label: 'Trial', amount: price.amount, ...inCurrency(price) }),
  ),
);

const refund: Rule<Reading> = first<Reading>(
  stating(sequence(days, REFUND), ([found]) => ({ kind: 'refund', days: found })),
  stating(sequence(REFUND, optional(words('within', 'for', 'in', ':')), days), ([, , found]) => ({ kind: 'refund', days: found })),
);

const prorated: Rule<Reading> = first<Reading>(
  stating(words('unused part paid back', 'prorated', 'pro rata', 'unused time is credited', 'unused months paid back'), () => ({
    kind: 'prorated',
    prorated: true,
  })),
  stating(words('unused part not paid back', 'not prorated'), () => ({ kind: 'prorated', prorated: false })),
);

const BY_THE_YEAR = words(
  'by the year',
  'yearly',
  'annually',
  'per year',
  'a year',
  'when billed yearly',
  'when paid yearly',
  'with yearly billing',
  'with annual billing',
  'billed yearly',
  'billed annually',
  'for paying by the year',
  'if you pay by the year',
  'for a year',
  'when you pay yearly',
  'on yearly plans',
  'for yearly payment',
  'for paying yearly',
);

/** So many months of twelve in percent. */
function shareOfYear(months: number): string {
  return decimal(months).div(12).times(100).toDecimalPlaces(1).toFixed();
}

/** An advertised saving by the year; whether the figures bear it out is checked beside them. */
const saving: Rule<Reading> = first<Reading>(
  stating(sequence(words('save', 'saves', 'save up to', 'you save'), percent, optional(BY_THE_YEAR)), ([, { percent: saved }]) =>
    saved === null ? null : { kind: 'saving', percent: saved },
  ),
  stating(sequence(percent, words('off', 'less', 'cheaper', 'discount'), BY_THE_YEAR), ([{ percent: saved }]) =>
    saved === null ? null : { kind: 'saving', percent: saved },
  ),
  made(sequence(words('12 months for the price of', 'a year for the price of'), wholeCount, optional(word('months'))), ([, paid]) =>
    paid >= 1 && paid < 12 ? states({ kind: 'saving', percent: shareOfYear(12 - paid) }) : null,
  ),
  made(
    sequence(
      words('pay yearly and get', 'pay by the year and get', 'pay annually and get'),
      wholeCount,
      words('months free', 'month free'),
    ),
    ([, free]) => states({ kind: 'saving', percent: shareOfYear(free) }),
  ),
  made(sequence(count, words('months free'), BY_THE_YEAR), ([free]) => states({ kind: 'saving', percent: shareOfYear(Number(free)) })),
);

/** An amount that says nothing about what it is for. */
export const bareAmount: Rule<Reading> = whole(
  made(money, (price) =>
    asks(
      `What is ${price.amount ?? 'it'} paid for?`,
      ['by the month', termOf(price, 1)],
      ['by the year', termOf(price, 12)],
      ['once, for good', termOf(price, 0)],
    ),
  ),
);

/** How a plan is paid: terms, introductory prices, trials, refunds. */
export const termRule: Rule<Reading> = longest<Reading>(
  offerRule,
  priceThenRhythm,
  rhythmThenPrice,
  free,
  notSaid,
  perMonthBilled,
  introduction,
  monthsFor,
  fromPrice,
  percentOff,
  trial,
  refund,
  prorated,
  saving,
);
