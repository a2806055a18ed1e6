import { decimal } from '../amount/decimal';
import { count, money, noun, percent, period } from './amount-rules';
import { tiersRule } from './band-rules';
import type { ChargeDraft } from './charge-draft';
import { anOrder } from './charge-qualifiers';
import { first, made, meaning, optional, type Rule, sequence, sign, word, words } from './grammar';
import { inCurrency } from './reading';
import { ADVERBS, isUsualQuantity, ORDER_WORDS, PERIODS, plural, quantityOf, SALES_WORDS, slugOf } from './vocabulary';
import { capital } from '../wording/capital';

/** The rate of a charge, before anything narrows it. */
export interface Core {
  readonly draft: ChargeDraft;
  readonly currency?: string;
  /** Comes on top of an allowance that stands elsewhere. */
  readonly beyond?: boolean;
  /** Which question has to be asked about it. */
  readonly ask?: 'tiers' | 'whose-fee' | 'free-what' | 'kept';
}

const plus = first<unknown>(sign('+', '&'), word('plus', 'and'));
const andFixed = sequence(plus, money, optional(first<unknown>(anOrder, word('each'))));
const ofOrder = first<unknown>(
  anOrder,
  sequence(
    words('of', 'on', 'from'),
    optional(words('each', 'every', 'the', 'an', 'a')),
    words('order', 'orders', 'order value', 'order total', 'sale', 'transaction', 'transactions', 'purchase', 'payment', 'payments'),
  ),
);
const ofSales = sequence(
  words('of', 'on', 'from'),
  optional(words('all', 'your', 'all your', 'the', 'monthly', 'your monthly')),
  words(...SALES_WORDS),
);
const extra = first(words('extra', 'additional', 'further', 'more'));

export const percentAndFixed: Rule<Core> = made(
  sequence(percent, optional(ofOrder), andFixed, optional(ofOrder)),
  ([{ percent: rate }, , [, fixed]]) => ({
    draft: { how: 'per-order', percent: rate, each: fixed.amount },
    ...inCurrency(fixed),
  }),
);

export const percentOfOrder: Rule<Core> = made(sequence(percent, ofOrder), ([{ percent: rate }]) => ({
  draft: { how: 'per-order', percent: rate },
}));
export const percentOfSales: Rule<Core> = made(sequence(percent, ofSales), ([{ percent: rate }]) => ({
  draft: { how: 'per-unit', on: 'sales', percent: rate },
}));
export const percentAlone: Rule<Core> = made(percent, ({ percent: rate }) => ({
  draft: { how: 'per-order', percent: rate },
  ask: 'whose-fee',
}));
export const fixedPerOrder: Rule<Core> = made(sequence(money, anOrder), ([fixed]) => ({
  draft: { how: 'per-order', each: fixed.amount },
  ...inCurrency(fixed),
}));
export const nothingPerOrder: Rule<Core> = made(words('nothing per order', 'no fee per order'), () => ({ draft: { how: 'per-order' } }));

/** The written-out form: "0.16 + 2% per unit of labels". */
export const perUnitWritten: Rule<Core> = made(
  sequence(
    first<ChargeDraft>(
      made(sequence(money, sign('+'), percent), ([{ amount }, , { percent: rate }]) => ({ each: amount, percent: rate })),
      made(percent, ({ percent: rate }) => ({ percent: rate })),
      made(word('nothing'), () => ({})),
      made(money, ({ amount }) => ({ each: amount })),
    ),
    words('per unit of'),
    noun,
  ),
  ([rate, , on]) => ({ draft: { how: 'per-unit', on: quantityOf(on, []), ...rate } }),
);

export const packageWritten: Rule<Core> = made(
  sequence(money, words('per started'), first<string | null>(count, meaning(words('?', 'not known'), null)), words('of'), noun),
  ([price, , size, , on]) => ({
    draft: { how: 'package', each: price.amount, size, on: quantityOf(on, []) },
    ...inCurrency(price),
  }),
);

/** Packs bought ahead, of which what is left over is kept: "90 per prepaid pack of 800 of labels". */
export const prepaidPack: Rule<Core> = made(
  sequence(
    money,
    words('per prepaid pack of', 'for a prepaid pack of', 'a prepaid pack of', 'per pack bought ahead of', 'prepaid for'),
    first<string | null>(count, meaning(words('?', 'not known'), null)),
    optional(word('of')),
    noun,
  ),
  ([price, , size, , on]) => ({
    draft: { how: 'prepaid', each: price.amount, size, on: quantityOf(on, []) },
    ...inCurrency(price),
  }),
);

export const perNoun: Rule<Core> = made(
  sequence(
    money,
    first<unknown>(sign('/'), words('per', 'for each', 'for every', 'each', 'for', 'a', 'an')),
    optional(word('started')),
    optional(extra),
    noun,
    optional(period),
  ),
  ([price, , , isExtra, on]) => {
    const quantity = quantityOf(plural(on), []);
    if (ORDER_WORDS.includes(on) || (isTime(on) && !isUsualQuantity(on))) return null;
    const sold = /^(.+) sold$/.exec(on)?.[1];
    // "Per course sold" is of orders of that kind.
    if (sold !== undefined)
      return {
        draft: { how: 'per-order', each: price.amount, only: { kinds: [slugOf(sold)] }, label: `Fee per ${sold}` },
        ...inCurrency(price),
      };
    return { draft: { how: 'per-unit', on: quantity, each: price.amount }, ...inCurrency(price), ...(isExtra ? { beyond: true } : {}) };
  },
);

/** Whether words that follow "per" name a time and nothing that is counted. */
function isTime(words: string): boolean {
  const [start = ''] = words.split(' ');
  return PERIODS.includes(start) || ADVERBS.includes(start) || /^(day|week|half)/.test(start);
}

export const perExtraOrder: Rule<Core> = made(
  sequence(money, first<unknown>(sign('/'), words('per', 'for each', 'for every', 'each', 'a', 'an')), extra, words(...ORDER_WORDS)),
  ([price]) => ({
    draft: { how: 'per-unit', each: price.amount },
    beyond: true,
    ...inCurrency(price),
  }),
);

export const packageOf: Rule<Core> = made(
  sequence(
    money,
    optional(extra),
    words('per', 'for each', 'for every', 'each', 'for', 'a', 'an'),
    optional(extra),
    count,
    optional(words('of', 'extra', 'additional', 'further')),
    optional(noun),
    optional(period),
  ),
  ([price, isMore, , isExtra, size, alsoExtra, on]) => {
    if (size === '1' || (on !== undefined && isTime(on))) return null;
    const beyond = isMore ?? isExtra ?? (alsoExtra === 'of' ? undefined : alsoExtra);
    const core: Core = {
      draft: { how: 'package', each: price.amount, size, ...(on ? { on: quantityOf(on, []) } : {}) },
      ...inCurrency(price),
      ...(beyond ? { beyond: true } : {}),
    };
    if (on !== undefined && /\bcredits$/.test(on) && !beyond) return { ...core, ask: 'kept' };
    return on === undefined ? { ...core, ask: 'free-what' } : core;
  },
);

/** "saves 0.40 per parcel" is money back for each of them. */
export const savedPerNoun: Rule<Core> = made(
  sequence(
    words('saves', 'save', 'saves you'),
    money,
    first<unknown>(sign('/'), words('per', 'on each', 'on every', 'a', 'for each')),
    noun,
  ),
  ([, price, , on]) => ({
    draft: { how: 'per-unit', on: quantityOf(plural(on), []), each: price.amount, credit: true, label: 'Saved' },
    ...inCurrency(price),
  }),
);

export const noFee: Rule<Core> = first<Core>(
  made(
    sequence(
      word('no', 'zero'),
      optional(words('own', 'additional', 'extra', 'platform')),
      words(
        'transaction fee',
        'transaction fees',
        'sales fee',
        'sales fees',
        'commission',
        'commissions',
        'platform fee',
        'platform fees',
        'fee per sale',
        'selling fees',
      ),
    ),
    () => ({ draft: { how: 'per-order', percent: '0', bucket: 'transaction', label: 'Sales fee' } }),
  ),
  made(
    sequence(word('no', 'zero'), words('card fee', 'card fees', 'payment fee', 'payment fees', 'processing fee', 'processing fees')),
    () => ({ draft: { how: 'per-order', percent: '0', bucket: 'payment', label: 'Card fee' } }),
  ),
);

export const revenueShare: Rule<Core> = made(
  sequence(percent, words('revenue share', 'commission', 'transaction fee', 'platform fee', 'sales fee', 'fee'), optional(ofOrder)),
  ([{ percent: rate }, what]) => ({
    draft: { how: 'per-order', percent: rate, ...(what === 'fee' ? {} : { bucket: 'transaction', label: 'Sales fee' }) },
    ...(what === 'fee' ? { ask: 'whose-fee' as const } : {}),
  }),
);

const KEEPS = first<unknown>(
  sequence(
    words('you', 'sellers', 'creators', 'teachers', 'authors', 'makers', 'artists', 'hosts'),
    words('keep', 'get', 'receive', 'earn', 'are paid'),
  ),
  words('keep', 'keeping', 'your share', 'your share is'),
);
/** Nobody offers a seller less than half: "keep 20%" is more likely what the vendor keeps. */
export const LEAST_KEPT = 50;

/** "You keep 90% of each sale": the vendor takes the rest. */
export const keptShare: Rule<Core> = made(
  sequence(KEEPS, percent, optional(first<unknown>(ofOrder, ofSales, words('of what you sell', 'of everything')))),
  ([, { percent: kept }]) =>
    kept === null || decimal(kept).lt(LEAST_KEPT) || decimal(kept).gt(100)
      ? null
      : { draft: { how: 'per-order', percent: decimal(100).minus(kept).toFixed(), bucket: 'transaction', label: 'Sales fee' } },
);

/** "1.8% + 0.25 card fee", "2.9% + 0.30 for card payments", "1% + 0.20 transaction fee". */
export const namedFee: Rule<Core> = made(
  sequence(
    percent,
    optional(andFixed),
    first<'payment' | 'transaction'>(
      meaning(
        words(
          'card fee',
          'card fees',
          'payment fee',
          'payment fees',
          'processing fee',
          'processing fees',
          'card processing',
          'payment processing',
          'card processing fee',
          'payment processing fee',
          'for card payments',
          'for payments',
        ),
        'payment',
      ),
      meaning(words('transaction fee', 'transaction fees', 'commission', 'platform fee', 'sales fee'), 'transaction'),
    ),
    optional(ofOrder),
  ),
  ([{ percent: rate }, fixed, bucket]) => ({
    draft: {
      how: 'per-order',
      percent: rate,
      ...(fixed ? { each: fixed[1].amount } : {}),
      bucket,
      label: bucket === 'payment' ? 'Card fee' : 'Sales fee',
    },
    ...(fixed ? inCurrency(fixed[1]) : {}),
  }),
);

export const tiers: Rule<Core> = made(tiersRule, (found) => ({
  draft: {
    how: found.how === 'ask' ? 'graduated' : found.how,
    on: found.quantity,
    bands: found.bands,
    label: capital(plural(found.words)),
  },
  ...(found.currency ? { currency: found.currency } : {}),
  ...(found.how === 'ask' ? { ask: 'tiers' as const } : {}),
}));
