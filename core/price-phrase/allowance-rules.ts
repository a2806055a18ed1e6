import { count, money, noun, percent, period } from './amount-rules';
import { first, longest, made, optional, type Rule, sequence, sign, word, words } from './grammar';
import { type Core, fixedPerOrder, packageOf, percentAndFixed, percentOfOrder, percentOfSales, perExtraOrder, perNoun } from './rate-rules';
import { inCurrency } from './reading';
import { quantityOf } from './vocabulary';

/** What stands between an allowance and the rate beyond it. */
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

/** "220 orders included, then 0.16 each"; "first 40 free, 0.9%"; "8,000 free, then 0.90 per thousand". */
export const allowanceThenRate: Rule<Core> = made(
  sequence(included, then, overageRate),
  ([{ free, on }, [separator, , carriesOn], core]) => {
    if (separator === undefined && carriesOn === undefined) return null;
    const named = on === undefined ? core.draft.on : quantityOf(on, []);
    const isOfOrders = core.draft.how === 'per-order' || named === 'orders';
    const draft = { ...core.draft, free, ...(named !== undefined && !isOfOrders ? { on: named } : {}) };
    const { ask: _ask, beyond: _beyond, ...rest } = core;
    return on === undefined && core.draft.on === undefined && core.draft.how !== 'per-order'
      ? { ...rest, draft, ask: 'free-what' }
      : { ...rest, draft };
  },
);

/** "180 transactions, then 0.23 each": an allowance that nothing but what follows calls one. */
export const countThenRate: Rule<Core> = made(
  sequence(count, noun, optional(period), optional(sign(',')), words('then', 'after that', 'beyond that'), overageRate),
  ([free, on, , , , core]) => {
    const named = quantityOf(on, []);
    const { ask: _ask, beyond: _beyond, ...rest } = core;
    return { ...rest, draft: { ...core.draft, free, ...(named === 'orders' || core.draft.how === 'per-order' ? {} : { on: named }) } };
  },
);
