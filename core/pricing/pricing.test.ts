import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import type { Candidate } from '../decision-file/candidate-schema';
import { readDecisionFile } from '../decision-file/read';
import type { Charge, Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { exceededLimits } from './limits';
import { paymentSchedule } from './payment-schedule';
import { preparePricing } from './pricing';
import { chargeExists, processingOf } from './processing';

const plan = (parts: Partial<Plan> = {}): Plan => ({
  id: 'p',
  label: 'Plan',
  currency: 'EUR',
  terms: [{ id: 't', months: 1, price: '10' }],
  ...parts,
});

/** A decision with one plan and one candidate; 100 orders a month of 20 each. */
function decision(parts: Partial<Plan> = {}, candidate: Partial<Candidate> = {}, more: Partial<DecisionFile> = {}): DecisionFile {
  return readDecisionFile({
    format: 'venalis.decision',
    version: 1,
    name: 'small',
    currency: 'EUR',
    start: '2027-01',
    months: 6,
    forecast: {
      streams: [{ id: 's', label: 'Sales', kind: 'goods', orders: '100', orderValue: '20' }],
      drivers: { contacts: { start: '900', add: '100' } },
    },
    offers: [
      {
        id: 'o',
        vendor: 'o',
        label: 'o',
        kind: 'store-platform',
        plans: [plan(parts)],
        addons: [
          {
            id: 'more',
            label: 'More',
            currency: 'EUR',
            terms: [{ id: 't', months: 1, price: '3' }],
            raises: { contacts: '150' },
            features: { seats: '5' },
          },
        ],
      },
    ],
    processors: [
      {
        id: 'ty',
        label: 'ty',
        currency: 'EUR',
        charges: [{ id: 'ty1', label: 'Card fee', bucket: 'payment', how: 'per-order', percent: '1' }],
      },
    ],
    candidates: [{ id: 'A', label: 'A', plans: [{ plan: 'p', term: 't' }], ...candidate }],
    ...more,
  });
}

const schedule = (file: DecisionFile, joining?: Parameters<typeof paymentSchedule>[2]) => {
  const [candidate] = file.candidates;
  if (!candidate) throw new Error('a candidate is expected');
  return paymentSchedule(preparePricing(file), candidate, joining).map(({ month, charged, bucket }) => [month, charged.toFixed(2), bucket]);
};

const resultOf = (file: DecisionFile) => {
  const [result] = priceDecision(file).result.candidates;
  if (!result) throw new Error('a result is expected');
  return result;
};

describe('paymentSchedule', () => {
  it('pays the introductory price first, then the renewal price, after the trial', () => {
    const terms = [{ id: 't', months: 2, price: '10', intro: { price: '4', periods: 1 }, trialDays: 31 }];
    expect(schedule(decision({ terms }))).toEqual([
      [1, '4.00', 'plan'],
      [3, '10.00', 'plan'],
      [5, '10.00', 'plan'],
    ]);
  });

  it('rounds a percentage off in the plan’s currency before it counts', () => {
    const terms = [{ id: 't', months: 3, price: '9.99', intro: { off: '33', periods: 1 } }];
    // 9.99 × 0.67 = 6.6933.
    expect(schedule(decision({ terms }))[0]).toEqual([0, '6.69', 'plan']);
  });

  it('pays once and for good, joining fees and extras', () => {
    const file = decision(
      { terms: [{ id: 't', months: 0, price: '120' }], once: [{ label: 'joining', amount: '5' }] },
      {
        extras: [
          { label: 'theme', amount: '30', months: 0, from: 2 },
          { label: 'domain', amount: '8', months: 4, from: 1 },
        ],
      },
    );
    expect(schedule(file)).toEqual([
      [0, '120.00', 'plan'],
      [0, '5.00', 'once'],
      [2, '30.00', 'once'],
      [1, '8.00', 'extra'],
      [5, '8.00', 'extra'],
    ]);
  });

  it('leaves out what only a newcomer gets or pays after a move within the offer', () => {
    const file = decision(
      {
        terms: [{ id: 't', months: 2, price: '10', intro: { price: '1', periods: 5 }, trialDays: 60 }],
        once: [{ label: 'joining', amount: '5' }],
      },
      { extras: [{ label: 'theme', amount: '30', months: 0 }] },
    );
    expect(schedule(file, { month: 3, moved: true })).toEqual([
      [3, '10.00', 'plan'],
      [5, '10.00', 'plan'],
    ]);
  });

  it('multiplies an add-on by its count', () => {
    expect(schedule(decision({}, { addons: [{ addon: 'more', term: 't', count: 4 }] })).at(-1)).toEqual([5, '12.00', 'addon']);
  });
});

describe('limits', () => {
  const exceeded = (file: DecisionFile) => {
    const [candidate] = file.candidates;
    return candidate ? exceededLimits(preparePricing(file), candidate) : [];
  };

  it('are judged month by month, and named alphabetically within one', () => {
    const file = decision({ limits: { orders: '99', contacts: '1100', sales: '2000', staff: '0' } });
    // Contacts: 900, 1000, 1100, 1200 …; sales are exactly 2000; staff is not in the forecast.
    expect(exceeded(file).slice(0, 5)).toEqual(
      [0, 1, 2]
        .map((month) => ({ month, limit: 'orders' }))
        .concat([
          { month: 3, limit: 'contacts' },
          { month: 3, limit: 'orders' },
        ]),
    );
  });

  it('are raised by add-ons, each unit by as much', () => {
    const raised = (count: number) =>
      exceeded(decision({ limits: { contacts: '1000' } }, { addons: [{ addon: 'more', term: 't', count }] }))[0]?.month;
    expect([raised(1), raised(2), raised(3)]).toEqual([3, 5, undefined]);
  });

  it('come from a last band with a number', () => {
    const charges: Charge[] = [
      {
        id: 'band',
        label: 'by contacts',
        how: 'volume',
        on: 'contacts',
        bands: [
          { upTo: '1000', flat: '5' },
          { upTo: '1200', flat: '9' },
        ],
      },
    ];
    expect(resultOf(decision({ charges })).outgrown).toEqual({ month: '2027-05', limit: 'band' });
  });
});

describe('needs', () => {
  const needs = [
    { feature: 'gift-cards', level: 'must' as const },
    { feature: 'seats', level: 'must' as const, least: '3' },
    { feature: 'chat', level: 'want' as const },
  ];

  it('are missing where a plan states too little, and unclear where nobody says', () => {
    expect(resultOf(decision({ features: { seats: '2' } }, {}, { needs }))).toMatchObject({
      missing: ['seats'],
      unclear: ['gift-cards'],
      usable: false,
    });
    expect(resultOf(decision({ features: { seats: null, 'gift-cards': false } }, {}, { needs }))).toMatchObject({
      missing: ['gift-cards'],
      unclear: ['seats'],
    });
  });

  it('are met by the plan, an add-on or an extra', () => {
    const candidate = {
      addons: [{ addon: 'more', term: 't' }],
      extras: [{ label: 'plug-in', amount: '1', months: 12, features: { 'gift-cards': true } }],
    };
    expect(resultOf(decision({}, candidate, { needs }))).toMatchObject({ missing: [], unclear: [], usable: true });
  });
});

describe('who processes the payments', () => {
  const outside: Charge = { id: 'x', label: 'Surcharge', how: 'per-order', percent: '2', monthlyMin: '3', only: { payments: 'outside' } };

  it('is the first rule that matches channel and card', () => {
    const processing = processingOf({
      id: 'A',
      label: '',
      plans: [],
      payments: [{ use: 'ty', cards: ['amex'] }, { use: 'zo', channels: ['in-person'] }, { use: 'own' }],
    });
    expect(
      [
        ['own-site', 'amex'],
        ['in-person', 'domestic'],
        ['own-site', 'domestic'],
      ].map(([channel = '', card = '']) => processing.processorOf(channel, card)),
    ).toEqual(['ty', 'zo', 'own']);
    expect(processing.named).toEqual(['ty', 'zo', 'own']);
  });

  it('decides whether a charge for it exists, even if no order goes through it', () => {
    expect(chargeExists(outside, { takesPayments: true }, processingOf({ id: 'A', label: '', plans: [] }))).toBe(false);
    const never = { payments: [{ use: 'ty', channels: ['nowhere'] }, { use: 'own' }] };
    // No order goes outside, but the minimum of a month counts.
    expect(resultOf(decision({ charges: [outside] }, never)).buckets).toMatchObject({ transaction: '18.00' });
    expect(resultOf(decision({ charges: [outside] })).buckets).not.toHaveProperty('transaction');
  });

  it('is told when nobody states a fee for it', () => {
    expect(resultOf(decision()).noPaymentFee).toEqual(['s']);
    expect(resultOf(decision({}, { payments: 'ty' })).noPaymentFee).toEqual([]);
    const nothing: Charge = { id: 'free', label: 'no fee', bucket: 'payment', how: 'per-order', percent: '0' };
    expect(resultOf(decision({ charges: [nothing] })).noPaymentFee).toEqual([]);
  });
});

describe('what is not known', () => {
  it('gives no line, is named, and is never the cheapest', () => {
    const charges: Charge[] = [{ id: 'c', label: 'fee', how: 'per-order', percent: null }];
    const file = decision({ charges, terms: [{ id: 't', months: 1, price: null }] });
    expect(resultOf(file)).toMatchObject({ total: '0.00', unknown: ['c', 'p'], usable: true });
    expect(priceDecision(file).result).toMatchObject({ cheapest: null, mostKept: null });
  });
});
