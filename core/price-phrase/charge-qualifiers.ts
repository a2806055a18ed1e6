import { count, money, noun, period, whole } from './amount-rules';
import type { ChargeDraft, Qualifier } from './charge-draft';
import { monthAndYear } from './date-rules';
import { first, made, many, meaning, nothing, optional, type Rule, sequence, sign, word, words } from './grammar';
import { cards, channels, kinds, payments, streams } from './narrowing-rules';
import { ORDER_WORDS, quantityOf } from './vocabulary';

export const anOrder = sequence(
  first(sign('/'), words('per', 'an', 'a', 'each', 'every', 'for each', 'for every', 'of each', 'of every', 'on each', 'on every')),
  optional(words('single', 'successful', 'card', 'online', 'successful card', 'paid')),
  words(...ORDER_WORDS),
);
const AT_MOST = words(
  'at most',
  'max',
  'maximum',
  'max .',
  'capped at',
  'up to',
  'not more than',
  'no more than',
  'a maximum of',
  'with a maximum of',
  'cap',
  'cap of',
  'never more than',
);
const AT_LEAST = words('at least', 'min', 'minimum', 'min .', 'a minimum of', 'with a minimum of', 'not less than', 'no less than');
const aMonth: Rule<number> = (tokens, at) => {
  const match = period(tokens, at);
  return match?.value === 1 ? match : null;
};

/** What a bound holds for; "up to 2 seats" is none. */
const perWhat = first<'order' | 'month' | 'all' | undefined>(
  made(words('in all', 'in total', 'altogether', 'all in all'), () => 'all'),
  made(anOrder, () => 'order'),
  made(aMonth, () => 'month'),
  whole(nothing(undefined)),
);

const most = made(sequence(AT_MOST, money, perWhat), ([, limit, per]): Qualifier => {
  if (per === 'all') return { totalCap: limit.amount };
  if (per === 'month') return { monthlyCap: limit.amount };
  return per === 'order' ? { most: limit.amount } : { bound: { side: 'most', money: limit } };
});

const least = made(sequence(AT_LEAST, money, perWhat), ([, limit, per]): Qualifier | null => {
  if (per === 'all') return null;
  if (per === 'month') return { monthlyMin: limit.amount };
  return per === 'order' ? { least: limit.amount } : { bound: { side: 'least', money: limit } };
});

const amountOrNotKnown = first<string | null>(count, meaning(words('?', 'not known'), null));
const freePer = made(
  sequence(words('after'), amountOrNotKnown, words('free for each of', 'for each of', 'free per', 'per'), noun),
  ([, ratio, , per]): Qualifier => ({ free: { ratio, per: quantityOf(per, []) } }),
);
const freeFirst = first<Qualifier>(
  made(
    sequence(
      words('after the first', 'after', 'beyond the first', 'beyond', 'above', 'over'),
      amountOrNotKnown,
      optional(noun),
      optional(period),
      optional(word('free', 'included')),
    ),
    ([, free]) => ({ free }),
  ),
  made(
    sequence(words('the first', 'first'), count, optional(noun), optional(period), words('free', 'are free', 'included')),
    ([, free]) => ({ free }),
  ),
);

const others = first<Qualifier>(
  made(
    words(
      'waived with our own payments',
      'waived with our payments',
      'waived if you use our payments',
      'free with our own payments',
      'not with our own payments',
      'none with our own payments',
    ),
    () => ({ only: { payments: 'outside' } }),
  ),
  made(
    words('given back on refunds', 'returned on refunds', 'refunded with the order', 'not on refunds', 'not charged on refunds'),
    () => ({ refund: 'returned' }),
  ),
  made(words('kept on refunds', 'also on refunds'), () => ({ refund: 'kept' })),
  made(words('without sales tax', 'on net sales', 'net of sales tax', 'before sales tax'), () => ({ of: 'net' })),
  made(words('with sales tax'), () => ({ of: 'gross' })),
  made(words('as a credit', 'as credit', 'credited', 'back as a credit', 'back as credit', 'credited back', 'cash back'), () => ({
    credit: true,
  })),
  made(
    words(
      'plus tax',
      'plus vat',
      'excl . tax',
      'excl . vat',
      'excl tax',
      'excl vat',
      'excluding tax',
      'excluding vat',
      'before tax',
      'ex vat',
      '+ vat',
      '+ tax',
      'tax added',
    ),
    () => ({ taxExcluded: true }),
  ),
  made(words('tax included', 'incl . tax', 'incl . vat', 'incl tax', 'incl vat', 'including tax', 'including vat'), () => ({
    taxExcluded: false,
  })),
);

/** Which months a charge is taken in. */
const dates = first<Qualifier>(
  made(sequence(words('from', 'as of', 'starting in', 'starting'), monthAndYear), ([, from]) => ({ from })),
  made(sequence(words('until', 'till', 'until the end of', 'through'), monthAndYear), ([, until]) => ({ until })),
);
const opening = made(
  sequence(amountOrNotKnown, words('there at the start', 'free at the start', 'to begin with', 'on joining')),
  ([found]): Qualifier => ({ opening: found }),
);
const againstPlan = made(
  words(
    'only to pay for the plan',
    'against the plan',
    'only against the plan',
    'usable only against the subscription',
    'only towards the plan',
  ),
  (): Qualifier => ({ credit: true, against: 'plan' }),
);

/** What narrows, bounds or frees a charge. */
export const qualifier: Rule<Qualifier> = first<Qualifier>(
  againstPlan,
  dates,
  opening,
  freePer,
  most,
  least,
  freeFirst,
  payments,
  streams,
  kinds,
  cards,
  channels,
  others,
);

/** A qualifier behind a rate; "international cards 2.9%" is none, but the start of the next one. */
const qualifierBehind: Rule<Qualifier> = (tokens, at) => {
  const match = qualifier(tokens, at);
  const next = match && tokens[match.next];
  return next?.kind === 'number' || next?.kind === 'currency' ? null : match;
};
const commas = optional(first<unknown>(sequence(sign(','), word('and', 'but')), sign(','), word('and', 'but')));

/** Any number of qualifiers behind a rate, with commas or nothing between. */
export const qualifiersBehind: Rule<Qualifier[]> = (tokens, at) => many(qualifierBehind, commas)(tokens, at);

/** Any number of qualifiers, with commas, brackets or nothing between. */
export const qualifiers: Rule<Qualifier[]> = (tokens, at) => many(qualifier, commas)(tokens, at);

/** Several pieces of a charge put together. */
export function joined(...parts: ReadonlyArray<ChargeDraft>): ChargeDraft {
  const only = Object.assign({}, ...parts.map((part) => part.only ?? {})) as NonNullable<ChargeDraft['only']>;
  const whole = Object.assign({}, ...parts) as ChargeDraft;
  return { ...whole, ...(Object.keys(only).length > 0 ? { only } : {}) };
}
