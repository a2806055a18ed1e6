import fc from 'fast-check';
import type { DecisionFile } from '../decision-file/schema';
import type { Charge, Term } from '../decision-file/price-sheet-schema';

/** Decimals with up to two places, as texts. */
export const money = (most: number) => fc.integer({ min: 0, max: most * 100 }).map((cents) => (cents / 100).toFixed(2));

const percent = fc.integer({ min: 0, max: 120 }).map((tenths) => (tenths / 10).toFixed(1));

const series = fc.oneof(
  money(300),
  fc.record({
    start: money(300),
    growth: fc.constantFrom('0', '1.5', '-2', '4'),
    season: fc.array(fc.constantFrom('0', '0.5', '1', '1.5'), { minLength: 12, maxLength: 12 }),
  }),
);

const term = (id: string): fc.Arbitrary<Term> =>
  fc
    .record({
      months: fc.constantFrom(0, 1, 3, 12, 36),
      price: money(500),
      intro: fc.option(fc.record({ price: money(100), periods: fc.integer({ min: 1, max: 4 }) }), { nil: undefined }),
      trialDays: fc.constantFrom(undefined, 14, 30, 75),
    })
    .map(({ intro, trialDays, ...rest }) => ({ id, ...rest, ...(intro ? { intro } : {}), ...(trialDays ? { trialDays } : {}) }));

/** So much free, or so much for each of a quantity. */
export const allowance = fc.oneof(
  money(100),
  fc.record({ per: fc.constantFrom('orders', 'contacts', 'sales', 'subscribers'), ratio: money(2) }),
);

/** Quantities that forecasts reach exactly, so that edges, packages and limits are met on the spot. */
const EXACT = [10, 40, 80];

const edge = fc.oneof({ weight: 3, arbitrary: fc.integer({ min: 1, max: 400 }) }, { weight: 1, arbitrary: fc.constantFrom(...EXACT) });

const bands = fc.uniqueArray(edge, { minLength: 1, maxLength: 3 }).chain((edges) => {
  const tops = [...[...edges].sort((a, b) => a - b).map(String), null];
  return fc.tuple(...tops.map((upTo) => fc.record({ upTo: fc.constant(upTo), each: money(3), flat: money(30) })));
});

/** One charge of any kind. */
export const charge = (id: string): fc.Arbitrary<Charge> => {
  const on = fc.constantFrom('orders', 'sales', 'contacts', 'subscribers');
  const common = { id: fc.constant(id), label: fc.constant(id) };
  return fc.oneof(
    fc.record({
      ...common,
      how: fc.constant('per-order' as const),
      bucket: fc.constantFrom('payment' as const, 'transaction' as const),
      percent,
      each: money(1),
      refund: fc.constantFrom('kept' as const, 'returned' as const),
    }),
    fc.record({ ...common, how: fc.constant('per-unit' as const), on, each: money(1), free: allowance }),
    fc.record({
      ...common,
      how: fc.constant('package' as const),
      on,
      size: fc.constantFrom('1', '10', '37', '40'),
      each: money(9),
      free: allowance,
    }),
    fc.record({ ...common, how: fc.constant('graduated' as const), on, bands }),
    fc.record({ ...common, how: fc.constant('volume' as const), on, bands, monthlyCap: money(400) }),
  );
};

const candidateCount = fc.integer({ min: 1, max: 4 });

/** A whole decision file with candidates of one plan each, in one or two currencies. */
export const randomDecision: fc.Arbitrary<DecisionFile> = candidateCount.chain((count) =>
  fc
    .record({
      months: fc.integer({ min: 1, max: 30 }),
      basis: fc.constantFrom('paid' as const, 'spread' as const),
      feeTax: fc.constantFrom('0', '20'),
      orders: series,
      orderValue: money(80),
      refunds: fc.constantFrom('0', '4'),
      joins: money(9),
      contacts: series,
      plans: fc.tuple(
        ...Array.from({ length: count }, (_, index) =>
          fc.record({
            currency: fc.constantFrom('EUR', 'USD', 'JPY'),
            terms: fc.tuple(term('t')),
            charges: fc.tuple(charge(`c${index}a`), charge(`c${index}b`)),
            once: money(50),
            taxExcluded: fc.boolean(),
            limit: fc.option(money(900), { nil: undefined }),
          }),
        ),
      ),
    })
    .map(({ months, basis, feeTax, orders, orderValue, refunds, joins, contacts, plans }) => ({
      format: 'venalis.decision' as const,
      version: 1 as const,
      name: 'random',
      currency: 'EUR',
      start: '2027-03',
      months,
      basis,
      feeTax,
      hourValue: '20',
      rates: { USD: '0.92', JPY: '0.0061' },
      forecast: {
        streams: [
          { id: 'goods', label: 'goods', kind: 'goods' as const, orders, orderValue, refunds, margin: '40' },
          { id: 'club', label: 'club', kind: 'subscription' as const, orderValue: '12', subscribers: { start: '10', joins, churn: '5' } },
        ],
        drivers: { contacts },
      },
      offers: plans.map(({ once, limit, ...plan }, index) => ({
        id: `o${index}`,
        vendor: 'v',
        label: 'v',
        kind: 'store-platform',
        plans: [
          {
            id: `p${index}`,
            label: 'p',
            ...plan,
            once: [{ label: 'joining', amount: once }],
            ...(limit ? { limits: { orders: limit } } : {}),
          },
        ],
      })),
      candidates: plans.map((_, index) => ({
        id: `k${index}`,
        label: `k${index}`,
        plans: [{ plan: `p${index}`, term: 't' }],
        hours: { setup: '3', monthly: '1' },
      })),
    })),
);
