import fc from 'fast-check';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Stream } from '../decision-file/forecast-schema';
import type { Charge, Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { allowance, charge, money } from './random-decision';

const maybe = <Value>(arbitrary: fc.Arbitrary<Value>) => fc.option(arbitrary, { nil: undefined });
const some = <Value>(...values: Value[]) => fc.subarray(values, { minLength: 1 });

/** Leaves out fields that are undefined, as a file would. */
function stated<Part extends object>(part: Part): { [Field in keyof Part]: Exclude<Part[Field], undefined> } {
  return Object.fromEntries(Object.entries(part).filter(([, value]) => value !== undefined)) as {
    [Field in keyof Part]: Exclude<Part[Field], undefined>;
  };
}

const only = fc
  .record({
    streams: maybe(some('goods', 'plans', 'club')),
    kinds: maybe(some('goods', 'digital', 'subscription')),
    channels: maybe(some('own-site', 'in-person')),
    cards: maybe(some('domestic', 'international', 'wallet')),
    payments: maybe(fc.constantFrom('own' as const, 'outside' as const)),
  })
  .map(stated);

/** One time in four. */
const rarely = <Value>(arbitrary: fc.Arbitrary<Value>) =>
  fc.oneof({ weight: 3, arbitrary: fc.constant(undefined) }, { weight: 1, arbitrary });

/** Which of the amounts that a charge states is not known, if any is. */
const notKnown = fc.oneof({ weight: 7, arbitrary: fc.constant(null) }, { weight: 1, arbitrary: fc.nat(20) });

/** A charge of any kind, narrowed, bounded, in the seller's favour, or not known. */
const richCharge = (id: string): fc.Arbitrary<Charge> =>
  fc
    .tuple(
      charge(id),
      fc.record({
        only: maybe(only),
        of: maybe(fc.constantFrom('net' as const, 'gross' as const)),
        monthlyMin: maybe(money(20)),
        monthlyCap: maybe(fc.integer({ min: 20, max: 300 }).map(String)),
        totalCap: maybe(money(900)),
        credit: maybe(fc.constantFrom(true, false)),
        taxExcluded: maybe(fc.boolean()),
        bucket: maybe(fc.constantFrom('payment' as const, 'usage' as const)),
      }),
      fc.record({ least: rarely(fc.constant('0.50')), most: rarely(fc.constant('2.20')), free: rarely(allowance) }),
      fc.record({ closed: rarely(fc.constant(true)), percent: rarely(fc.constant('1.5')) }),
      notKnown,
    )
    .map(([plain, more, ofOrders, ofBands, open]) => withNotKnown(withOwn({ ...plain, ...stated(more) }, stated(ofOrders), ofBands), open));

type OfOrders = { least?: string; most?: string; free?: NonNullable<Extract<Charge, { how: 'per-order' }>['free']> };

/** What only some kinds have, each field by itself. */
function withOwn(
  whole: Charge,
  ofOrders: OfOrders,
  { closed, percent }: { closed?: true | undefined; percent?: string | undefined },
): Charge {
  if (whole.how === 'per-order') return { ...whole, ...ofOrders };
  if (whole.how === 'per-unit') return percent ? { ...whole, percent } : whole;
  if (whole.how !== 'volume' && whole.how !== 'graduated') return whole;
  const bands = whole.bands.map((band, index) => (percent && index === 0 ? { ...band, percent } : band));
  return { ...whole, bands: closed ? [...bands.slice(0, -1), { upTo: '5000', each: '0.5' }] : bands };
}

const NULLABLE = ['percent', 'each', 'least', 'most', 'size', 'free', 'monthlyMin', 'monthlyCap', 'totalCap'] as const;

function withNotKnown(whole: Charge, open: number | null): Charge {
  if (open === null) return whole;
  const own = NULLABLE.filter((field) => field in whole);
  const inBands =
    'bands' in whole
      ? whole.bands.flatMap((band, index) =>
          (['each', 'percent', 'flat'] as const).filter((field) => band[field] !== undefined).map((field) => ({ index, field })),
        )
      : [];
  const at = open % Math.max(1, own.length + inBands.length);
  const field = own[at];
  if (field) return { ...whole, [field]: null };
  const inBand = inBands[at - own.length];
  if (!inBand || !('bands' in whole)) return whole;
  return { ...whole, bands: whole.bands.map((band, index) => (index === inBand.index ? { ...band, [inBand.field]: null } : band)) };
}

const streams = fc
  .record({
    orderValue: money(70),
    growth: fc.constantFrom('0', '1.3', '-4'),
    tax: fc.constantFrom('0', '19', '7.7'),
    refunds: fc.constantFrom('0', '3.5'),
    joins: money(6),
    every: fc.constantFrom(1, 3),
  })
  .map(({ orderValue, growth, tax, refunds, joins, every }): Stream[] => [
    {
      id: 'goods',
      label: 'goods',
      kind: 'goods',
      orders: { start: '80', growth, set: { '2027-04': '11.5' } },
      orderValue,
      salesTax: tax,
      refunds,
      margin: '44',
      cards: { domestic: '61', international: '30', wallet: '9' },
    },
    {
      id: 'plans',
      label: 'plans',
      kind: 'digital',
      channel: 'in-person',
      orders: '13.7',
      orderValue: { start: '9.50', add: '0.1' },
      margin: '97',
    },
    {
      id: 'club',
      label: 'club',
      kind: 'subscription',
      subscribers: { start: '15', joins, churn: '5', every },
      orderValue: '12',
      cards: { domestic: '60', international: '40' },
    },
  ]);

const feature = fc.constantFrom(true, false, null, '3', '0', undefined);

const plan = (id: string): fc.Arbitrary<Plan> =>
  fc
    .record({
      currency: fc.constantFrom('EUR', 'USD', 'JPY', 'KWD'),
      price: fc.oneof({ weight: 9, arbitrary: money(400) }, { weight: 1, arbitrary: fc.constant(null) }),
      months: fc.constantFrom(0, 1, 6, 12, 24),
      intro: maybe(
        fc.oneof(
          fc.record({ price: money(20), periods: fc.constantFrom(1, 3) }),
          fc.record({ off: fc.constantFrom('12.5', '33'), periods: fc.constantFrom(1, 2) }),
        ),
      ),
      trialDays: maybe(fc.constantFrom(29, 30, 61)),
      charges: fc.tuple(richCharge(`${id}-a`), richCharge(`${id}-b`), richCharge(`${id}-c`)),
      limits: maybe(fc.record({ orders: fc.oneof(money(400), fc.constantFrom('80', '93.7')), sales: money(20_000), visits: money(9000) })),
      gift: feature,
      seats: feature,
      once: fc.array(money(99), { maxLength: 2 }),
      taxExcluded: fc.boolean(),
    })
    .map(({ currency, price, months, intro, trialDays, charges, limits, gift, seats, once, taxExcluded }) =>
      stated({
        id,
        label: id,
        currency,
        terms: [stated({ id: 't', months, price, intro, trialDays })],
        charges,
        limits,
        features: stated({ gift, seats }),
        once: once.map((amount, index) => ({ label: `fee ${index}`, amount })),
        taxExcluded,
      }),
    );

const payments: fc.Arbitrary<Candidate['payments']> = fc.constantFrom<Candidate['payments']>(
  undefined,
  'own',
  'ty',
  [{ use: 'ty', cards: ['international'] }, { use: 'own' }],
  [{ use: 'own', channels: ['own-site'], cards: ['domestic', 'wallet'] }, { use: 'zo', channels: ['in-person'] }, { use: 'ty' }],
);

const candidate = (id: string, plans: string[]): fc.Arbitrary<Candidate> =>
  fc
    .record({
      payments,
      count: fc.integer({ min: 1, max: 3 }),
      takes: fc.boolean(),
      from: fc.integer({ min: 0, max: 9 }),
      lift: maybe(fc.constantFrom('8', '-10')),
    })
    .map(({ payments: by, count, takes, from, lift }) =>
      stated({
        id,
        label: id,
        plans: plans.map((one) => ({ plan: one, term: 't' })),
        ...(takes ? { addons: [{ addon: 'seats', term: 't', count }, { addon: 'labels' }] } : {}),
        payments: by,
        extras: [
          { label: 'theme', amount: '69.99', months: 0, currency: 'USD' },
          { label: 'plug-in', amount: '31', months: 5, from, features: { gift: true } },
        ],
        hours: { setup: '7.5', monthly: '1.25' },
        lift,
      }),
    );

/** Decision files that use nearly everything the format has. */
export const richDecision: fc.Arbitrary<DecisionFile> = fc
  .record({
    months: fc.integer({ min: 1, max: 14 }),
    basis: fc.constantFrom('paid' as const, 'spread' as const),
    feeTax: fc.constantFrom('0', '19.6'),
    streams,
    plans: fc.tuple(plan('pa'), plan('pb')),
    charges: fc.tuple(richCharge('labels-a'), richCharge('ty-a'), richCharge('zo-a')),
    seatPrice: money(30),
    least: maybe(fc.constantFrom('2', '4')),
    candidates: fc.tuple(candidate('A', ['pa']), candidate('B', ['pb']), candidate('C', ['pa', 'pb'])),
  })
  .map(({ months, basis, feeTax, streams: sold, plans: [first, second], charges: [labels, ty, zo], seatPrice, least, candidates }) => ({
    format: 'venalis.decision' as const,
    version: 1 as const,
    name: 'rich',
    currency: 'EUR',
    start: '2027-02',
    months,
    basis,
    feeTax,
    hourValue: '23.33',
    rates: { USD: '0.9217', JPY: '0.00613', KWD: '3.0123' },
    forecast: {
      streams: sold,
      drivers: { contacts: { start: '700', add: '41' }, visits: { per: 'orders', ratio: '48', streams: ['goods'] } },
    },
    needs: [
      { feature: 'gift', level: 'must' as const },
      stated({ feature: 'seats', level: 'must' as const, least }),
      { feature: 'other', level: 'want' as const, weight: '2' },
    ],
    offers: [
      {
        id: 'one',
        vendor: 'one',
        label: 'one',
        kind: 'store-platform',
        plans: [first],
      },
      { id: 'two', vendor: 'two', label: 'two', kind: 'store-platform', plans: [second] },
    ],
    addons: [
      {
        id: 'seats',
        label: 'seats',
        currency: 'USD',
        terms: [{ id: 't', months: 3, price: seatPrice }],
        raises: { orders: '150' },
        features: { seats: '4' },
      },
      { id: 'labels', label: 'labels', currency: 'EUR', charges: [labels], taxExcluded: true },
    ],
    processors: [
      { id: 'ty', label: 'ty', currency: 'EUR', charges: [ty] },
      { id: 'zo', label: 'zo', currency: 'JPY', charges: [zo], taxExcluded: true },
    ],
    candidates,
  }));
