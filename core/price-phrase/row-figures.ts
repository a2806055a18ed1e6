import { count, money, notKnown, percent, whole, wholeCount } from './amount-rules';
import { first, made, optional, type Rule, sequence, word, words } from './grammar';
import { inCurrency, type Reading, states } from './reading';
import type { RowKind } from './row-kind';
import { details, NOT_SAID } from './term-rules';

type RowOf<Kind extends RowKind['kind']> = Extract<RowKind, { kind: Kind }>;

const NONE = words('none', 'nothing', 'no', 'free');
const UNLIMITED = words('unlimited', 'no limit', '∞', 'yes');
const HAS = words('yes', 'y', '✓', '✔', 'included', 'x', 'available', 'unlimited');
const HAS_NOT = words('no', 'n', '✗', '✕', 'not included', 'not offered', 'none', '-', 'not available');

/** What a bare figure means in a row, by what the row states. */
const ROW_FIGURES: { readonly [Kind in RowKind['kind']]: (row: RowOf<Kind>) => Rule<Reading> } = {
  term: ({ months }) =>
    first<Reading>(
      made(whole(sequence(money, details)), ([price, rest]) =>
        states({ kind: 'term', term: { months, price: price.amount, ...rest }, ...inCurrency(price) }),
      ),
      made(NOT_SAID, () => states({ kind: 'term', term: { months, price: null } })),
      made(NONE, () => states({ kind: 'term', term: { months, price: '0' } })),
    ),
  joining: () =>
    first<Reading>(
      made(whole(money), ({ amount, ...price }) =>
        amount === null ? null : states({ kind: 'joining', label: 'Joining fee', amount, ...inCurrency(price) }),
      ),
      made(NONE, () => states({ kind: 'joining', label: 'Joining fee', amount: '0' })),
    ),
  limit: ({ quantity }) => {
    const atMost = (most: string | true | null) => states({ kind: 'limit', quantity, most });
    return first<Reading>(
      made(whole(count), atMost),
      made(whole(money), ({ amount, currency }) =>
        amount === null ? null : states({ kind: 'limit', quantity, most: amount, ...inCurrency(currency ? { currency } : {}) }),
      ),
      made(notKnown, () => atMost(null)),
      made(UNLIMITED, () => atMost(true)),
      made(words('none', 'not offered', 'no'), () => atMost('0')),
    );
  },
  feature: ({ feature }) => {
    const has = (value: boolean | string | null) => states({ kind: 'feature', feature, value });
    return first<Reading>(
      made(HAS, () => has(true)),
      made(HAS_NOT, () => has(false)),
      made(notKnown, () => has(null)),
      made(whole(count), has),
    );
  },
  trial: () => made(days, (number) => states({ kind: 'trial', days: number })),
  refund: () => made(days, (number) => states({ kind: 'refund', days: number })),
  saving: () => made(percent, ({ percent: saved }) => (saved === null ? null : states({ kind: 'saving', percent: saved }))),
  charge: chargeFigure,
};

const days: Rule<number> = (tokens, at) =>
  made(whole(sequence(wholeCount, optional(word('day', 'days')))), ([number]) => number)(tokens, at);

/** What a bare figure means in a row. */
export function rowFigure<Kind extends RowKind>(row: Kind): Rule<Reading> {
  // A row and its figures have the same kind, which the compiler cannot follow through the registry.
  return (ROW_FIGURES[row.kind] as unknown as (row: Kind) => Rule<Reading>)(row);
}

/** A bare amount, percentage or "nothing" in a row of charges. */
function chargeFigure({ label, bucket, how = 'per-order', on, only }: RowOf<'charge'>): Rule<Reading> {
  if (how !== 'per-order' && how !== 'per-unit') return () => null;
  const shared = { label, bucket, ...(on === undefined || on === 'orders' ? {} : { on }), ...(only ? { only } : {}) };
  return first<Reading>(
    made(whole(money), (price) => states({ kind: 'charge', charge: { ...shared, how, each: price.amount }, ...inCurrency(price) })),
    made(whole(sequence(money, word('each'))), ([price]) =>
      states({ kind: 'charge', charge: { ...shared, how: 'per-unit', each: price.amount }, ...inCurrency(price) }),
    ),
    made(whole(percent), ({ percent: rate }) => states({ kind: 'charge', charge: { ...shared, how, percent: rate } })),
    made(whole(NONE), () => states({ kind: 'charge', charge: { ...shared, how, percent: '0' } })),
  );
}
