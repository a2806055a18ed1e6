import { count, money, noun, percent, period } from './amount-rules';
import { tiersRule } from './band-rules';
import { anOrder, type ChargeDraft, joined, type Qualifier, qualifiers, qualifiersBehind } from './charge-qualifiers';
import { first, longest, made, meaning, optional, type Rule, sequence, sign, word, words } from './grammar';
import { asks, inCurrency, type Reading } from './reading';
import type { StatedCharge, Statement } from './statement';
import {
  ADVERBS,
  type Bucket,
  CHARGE_HEADINGS,
  ORDER_WORDS,
  PERIODS,
  plural,
  isUsualQuantity,
  quantityOf,
  SALES_WORDS,
  slugOf,
} from './vocabulary';

/** What stands before a charge's rate: its name, and what kind of fee it is. */
export interface ChargeHead {
  readonly label?: string | undefined;
  readonly bucket?: Bucket | undefined;
  readonly only?: StatedCharge['only'];
}

interface Core {
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

const percentAndFixed: Rule<Core> = made(
  sequence(percent, optional(ofOrder), andFixed, optional(ofOrder)),
  ([{ percent: rate }, , [, fixed]]) => ({
    draft: { how: 'per-order', percent: rate, each: fixed.amount },
    ...inCurrency(fixed),
  }),
);

const percentOfOrder: Rule<Core> = made(sequence(percent, ofOrder), ([{ percent: rate }]) => ({
  draft: { how: 'per-order', percent: rate },
}));
const percentOfSales: Rule<Core> = made(sequence(percent, ofSales), ([{ percent: rate }]) => ({
  draft: { how: 'per-unit', on: 'sales', percent: rate },
}));
const percentAlone: Rule<Core> = made(percent, ({ percent: rate }) => ({ draft: { how: 'per-order', percent: rate }, ask: 'whose-fee' }));
const fixedPerOrder: Rule<Core> = made(sequence(money, anOrder), ([fixed]) => ({
  draft: { how: 'per-order', each: fixed.amount },
  ...inCurrency(fixed),
}));
const nothingPerOrder: Rule<Core> = made(words('nothing per order', 'no fee per order'), () => ({ draft: { how: 'per-order' } }));

/** The written-out form: "0.16 + 2 % per unit of labels". */
const perUnitWritten: Rule<Core> = made(
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

const packageWritten: Rule<Core> = made(
  sequence(money, words('per started'), first<string | null>(count, meaning(words('?', 'not known'), null)), words('of'), noun),
  ([price, , size, , on]) => ({
    draft: { how: 'package', each: price.amount, size, on: quantityOf(on, []) },
    ...inCurrency(price),
  }),
);

/** Packs bought ahead, of which what is left over is kept: "90 per prepaid pack of 800 of labels". */
const prepaidPack: Rule<Core> = made(
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

const perNoun: Rule<Core> = made(
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

const perExtraOrder: Rule<Core> = made(
  sequence(money, first<unknown>(sign('/'), words('per', 'for each', 'for every', 'each', 'a', 'an')), extra, words(...ORDER_WORDS)),
  ([price]) => ({
    draft: { how: 'per-unit', each: price.amount },
    beyond: true,
    ...inCurrency(price),
  }),
);

const packageOf: Rule<Core> = made(
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

const then = sequence(
  optional(sign(',', ';', '.')),
  optional(words('and', 'but')),
  optional(words('then', 'after that', 'beyond that', 'above that', 'thereafter', 'every further', 'further', 'extra')),
);
const included = first<{ free: string; on: string | undefined }>(
  made(
    sequence(
      optional(words('up to')),
      count,
      optional(noun),
      optional(period),
      words('included', 'free', 'for free', 'are free', 'are included', 'come free'),
    ),
    ([, free, on]) => ({ free, on }),
  ),
  made(
    sequence(words('the first', 'first'), count, optional(noun), optional(period), words('free', 'included', 'are free', 'are included')),
    ([, free, on]) => ({ free, on }),
  ),
  made(sequence(words('the first', 'first'), noun, words('free', 'included', 'is free', 'is included')), ([, on]) => ({ free: '1', on })),
  made(
    sequence(
      words('free up to', 'free for up to', 'includes', 'with', 'included :'),
      count,
      optional(noun),
      optional(period),
      optional(word('included')),
    ),
    ([, free, on]) => ({ free, on }),
  ),
);
const overageRate: Rule<Core> = longest<Core>(
  percentAndFixed,
  percentOfOrder,
  percentOfSales,
  made(percent, ({ percent: rate }) => ({ draft: { how: 'per-order', percent: rate } })),
  made(
    sequence(money, optional(words('each', 'apiece', 'per piece', 'a piece')), optional(words('beyond', 'above', 'for every further one'))),
    ([price]) => ({ draft: { how: 'per-unit', each: price.amount }, ...inCurrency(price) }),
  ),
  fixedPerOrder,
  perExtraOrder,
  packageOf,
  perNoun,
);

/** "220 orders included, then 0.16 each"; "first 40 free, 0.9 %"; "8,000 free, then 0.90 per thousand". */
const allowanceThenRate: Rule<Core> = made(sequence(included, then, overageRate), ([{ free, on }, [separator, , carriesOn], core]) => {
  if (separator === undefined && carriesOn === undefined) return null;
  const named = on === undefined ? core.draft.on : quantityOf(on, []);
  const isOfOrders = core.draft.how === 'per-order' || named === 'orders';
  const draft = { ...core.draft, free, ...(named !== undefined && !isOfOrders ? { on: named } : {}) };
  const { ask: _ask, beyond: _beyond, ...rest } = core;
  return on === undefined && core.draft.on === undefined && core.draft.how !== 'per-order'
    ? { ...rest, draft, ask: 'free-what' }
    : { ...rest, draft };
});

/** "180 transactions, then 0.23 each": an allowance that nothing but what follows calls one. */
const countThenRate: Rule<Core> = made(
  sequence(count, noun, optional(period), optional(sign(',')), words('then', 'after that', 'beyond that'), overageRate),
  ([free, on, , , , core]) => {
    const named = quantityOf(on, []);
    const { ask: _ask, beyond: _beyond, ...rest } = core;
    return { ...rest, draft: { ...core.draft, free, ...(named === 'orders' || core.draft.how === 'per-order' ? {} : { on: named }) } };
  },
);

/** "saves 0.40 per parcel" is money back for each of them. */
const savedPerNoun: Rule<Core> = made(
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

const noFee: Rule<Core> = first<Core>(
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

const revenueShare: Rule<Core> = made(
  sequence(percent, words('revenue share', 'commission', 'transaction fee', 'platform fee', 'sales fee', 'fee'), optional(ofOrder)),
  ([{ percent: rate }, what]) => ({
    draft: { how: 'per-order', percent: rate, ...(what === 'fee' ? {} : { bucket: 'transaction', label: 'Sales fee' }) },
    ...(what === 'fee' ? { ask: 'whose-fee' as const } : {}),
  }),
);

const tiers: Rule<Core> = made(tiersRule, (found) => ({
  draft: {
    how: found.how === 'ask' ? 'graduated' : found.how,
    on: found.quantity,
    bands: found.bands,
    label: capital(plural(found.words)),
  },
  ...(found.currency ? { currency: found.currency } : {}),
  ...(found.how === 'ask' ? { ask: 'tiers' as const } : {}),
}));

const core: Rule<Core> = longest<Core>(
  tiers,
  allowanceThenRate,
  countThenRate,
  savedPerNoun,
  perUnitWritten,
  packageWritten,
  prepaidPack,
  percentAndFixed,
  percentOfOrder,
  percentOfSales,
  nothingPerOrder,
  fixedPerOrder,
  perExtraOrder,
  packageOf,
  perNoun,
  noFee,
  revenueShare,
  percentAlone,
);

/** A charge with all that narrows it, before or behind its rate. */
export function chargeRule(head: ChargeHead | null): Rule<Reading> {
  return longest<Reading>(
    made(sequence(core, onTop, narrowing), ([found, , behind]) => readingOf(found, behind, head)),
    made(sequence(qualifiersBefore, core, onTop, narrowing), ([before, found, , behind]) => readingOf(found, [...before, ...behind], head)),
  );
}

const onTop = optional(words('extra', 'on top', 'in addition', 'besides'));
const narrowing: Rule<Qualifier[]> = made(
  optional(
    made(sequence(optional(sign(',')), optional(words('but', 'and')), qualifiersBehind), ([, , found]) =>
      found.length > 0 ? found : null,
    ),
  ),
  (found) => found ?? [],
);

const qualifiersBefore: Rule<Qualifier[]> = made(optional(sequence(qualifiers, optional(sign(':', ',')))), (found) => found?.[0] ?? []);

function readingOf(found: Core, extras: readonly Qualifier[], head: ChargeHead | null): Reading {
  const bounds = extras.flatMap(({ bound }) => (bound ? [bound] : []));
  const plain = extras.map(({ bound: _bound, ...rest }) => rest);
  const draft = joined(head?.only ? { only: head.only } : {}, found.draft, ...plain);
  const [bound] = bounds;
  const state = (changed: ChargeDraft): Statement => ({
    kind: 'charge',
    charge: chargeOf(changed, head),
    ...(found.beyond ? { beyond: true } : {}),
    ...inCurrency(found),
  });
  if (bound) {
    const { side, money: limit } = bound;
    const [month, order] = side === 'most' ? (['monthlyCap', 'most'] as const) : (['monthlyMin', 'least'] as const);
    if (draft.how !== 'per-order')
      return {
        statements: [state({ ...draft, [month]: limit.amount })],
        remark: `${side === 'most' ? 'at most' : 'at least'} ${limit.amount} is taken to be by the month`,
      };
    return asks(
      `Does ${side === 'most' ? 'at most' : 'at least'} ${limit.amount} hold for each order, or for a month?`,
      ['for each order', state({ ...draft, [order]: limit.amount })],
      ['for a month', state({ ...draft, [month]: limit.amount })],
    );
  }
  if (found.ask === 'tiers')
    return asks(
      'Does each part have its own price, or does everything get the price of the step reached?',
      ['each part its own price', state({ ...draft, how: 'graduated' })],
      ['all at the price of the step reached', state({ ...draft, how: 'volume' })],
    );
  if (found.ask === 'kept')
    return asks(
      'Are they bought ahead, and what is left kept for later?',
      ['yes, they are kept', state({ ...draft, how: 'prepaid' })],
      ['no, each month’s are paid as they are used', state(draft)],
    );
  const isSaid =
    head?.bucket !== undefined ||
    draft.only?.payments === 'outside' ||
    draft.bucket !== undefined ||
    draft.only?.cards !== undefined ||
    draft.free !== undefined ||
    draft.credit;
  if (found.ask === 'whose-fee' && !isSaid) return whoseFee(draft, state);
  if (found.ask === 'free-what' && draft.on === undefined)
    return asks(
      'What is counted?',
      ...['orders', 'contacts', 'emails', 'subscribers', 'labels'].map(
        (on) => [on, state(on === 'orders' ? draft : { ...draft, on })] as const,
      ),
    );
  return { statements: [state(draft)] };
}

function whoseFee(draft: ChargeDraft, state: (draft: ChargeDraft) => Statement): Reading {
  return asks(
    `What is ${draft.percent} % taken of, and by whom?`,
    ['of each order, the platform’s own share', state({ ...draft, bucket: 'transaction', label: 'Sales fee' })],
    ['of each order, the fee for card payments', state({ ...draft, bucket: 'payment', label: 'Card fee' })],
    ['saved by paying by the year', { kind: 'saving', percent: draft.percent ?? '0' }],
  );
}

function chargeOf(draft: ChargeDraft, head: ChargeHead | null): StatedCharge {
  const bucket = head?.bucket ?? draft.bucket ?? usualBucket(draft);
  const { how = 'per-order', label: _label, bucket: _bucket, on, ...fields } = draft;
  const label = head?.label ?? draft.label ?? usualLabel(draft, bucket);
  const counted = on === undefined || on === 'orders' || how === 'per-order' ? {} : { on };
  return { label, bucket, ...counted, how, ...fields } as StatedCharge;
}

function usualBucket({ how, on = 'orders', only, percent, each, credit }: ChargeDraft): Bucket {
  if (credit) return 'transaction';
  if (only?.payments === 'outside') return 'transaction';
  if (only?.cards !== undefined) return 'payment';
  if (how === 'per-order') return percent !== undefined && each !== undefined ? 'payment' : 'transaction';
  return on === 'orders' || on === 'sales' ? 'transaction' : 'usage';
}

function usualLabel({ how, on = 'orders', only, percent, credit, free }: ChargeDraft, bucket: Bucket): string {
  if (credit) return 'Credit';
  const heading = CHARGE_HEADINGS.find((one) => one.bucket === bucket && one.only && JSON.stringify(one.only) === JSON.stringify(only));
  if (heading) return heading.label;
  if (bucket === 'payment') return 'Card fee';
  if (on === 'sales') return 'Share of sales';
  if (how === 'per-order') return percent !== undefined ? 'Sales fee' : 'Fee per order';
  if (on === 'orders') return free === undefined ? 'Fee per order' : 'Orders beyond the allowance';
  return capital(on.replaceAll('-', ' '));
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
