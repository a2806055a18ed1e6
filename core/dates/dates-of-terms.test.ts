import { describe, expect, it } from 'vitest';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Addon, Term } from '../decision-file/price-sheet-schema';
import { preparePricing } from '../pricing/pricing';
import { kiteDecision } from '../tests/kite-decision';
import { datesOfCandidate } from './dates-of-terms';

const FOUR_YEARS = 48;
const monthly: Term = { id: 'm', months: 1, price: '10' };
const yearly: Term = { id: 'y', months: 12, price: '96' };

interface Case {
  terms?: Term[];
  addons?: Addon[];
  candidate?: Partial<Candidate>;
  months?: number;
  currency?: string;
  label?: string;
}

/** Alder's plan on these terms, joined on 20 January 2027. */
function pricingOf({ terms = [monthly], addons = [], candidate = {}, currency = 'EUR', label = 'Alder' }: Case) {
  const kites = kiteDecision({ months: FOUR_YEARS, rates: { USD: '0.9' } });
  const [first] = terms;
  return preparePricing({
    ...kites,
    offers: kites.offers.map((offer) =>
      offer.id === 'a' ? { ...offer, label, addons, plans: offer.plans.map((plan) => ({ ...plan, currency, terms })) } : offer,
    ),
    candidates: [
      { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: first?.id ?? '' }], ...candidate },
      { id: 'A2', label: 'Alder again', plans: [{ plan: 'pa', term: first?.id ?? '' }] },
      { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }] },
    ],
  });
}

const datesOf = (one: Case) =>
  datesOfCandidate(pricingOf(one), { candidate: 'A', from: 0, months: one.months ?? 24 }, 0, '2027-01-20', undefined);
const joins = { id: 'joins.A', kind: 'joins', on: '2027-01-20', about: 'Alder', atStake: null };

describe('the dates of what is joined', () => {
  it('is nothing where it is not among the candidates any more', () => {
    expect(datesOfCandidate(pricingOf({}), { candidate: 'gone', from: 0, months: 12 }, 0, '2027-01-20', undefined)).toEqual([]);
  });

  it('are its renewals, each by its number, up to the day it ends', () => {
    const renewal = (year: number) => ({
      id: `renewal.A.pa.${year}`,
      kind: 'renewal',
      on: `${2027 + year}-01-20`,
      about: 'Alder Plan',
      atStake: '96.00',
      months: 12,
    });
    expect(datesOf({ terms: [yearly], months: 24 })).toEqual([joins, renewal(1)]);
    expect(datesOf({ terms: [yearly], months: 25 })).toEqual([joins, renewal(1), renewal(2)]);
  });

  it('are named after the vendor where the offer has no name', () => {
    const [, renewal] = datesOf({ terms: [{ ...yearly }], label: '' });
    expect(renewal?.about).toBe('Alder Plan');
  });

  it('tells payments of three months and more, not of fewer', () => {
    const kinds = (months: number) => datesOf({ terms: [{ ...monthly, months }], months: 7 }).map(({ kind }) => kind);
    expect(kinds(2)).toEqual(['joins']);
    expect(kinds(3)).toEqual(['joins', 'renewal', 'renewal']);
  });

  it('begins to pay when the trial ends, in a month of its own where that is thirty days or more', () => {
    expect(datesOf({ terms: [{ ...yearly, trialDays: 60 }] }).slice(1)).toEqual([
      { id: 'trial-ends.A.pa', kind: 'trial-ends', on: '2027-03-21', about: 'Alder Plan', atStake: '96.00', months: 12 },
      expect.objectContaining({ id: 'renewal.A.pa.1', on: '2028-03-21' }),
    ]);
  });

  it('has a refund window only where something was paid', () => {
    const refund = { id: 'refund-ends.A.pa', kind: 'refund-ends', on: '2027-02-19', about: 'Alder Plan', atStake: '10.00' };
    expect(datesOf({ terms: [{ ...monthly, refundDays: 30 }], months: 2 })).toEqual([joins, refund]);
    expect(datesOf({ terms: [{ ...monthly, price: '0', refundDays: 30 }], months: 2 })).toEqual([joins]);
  });

  it('tells the rise to the usual price, and a later change under an id of its own', () => {
    const terms: Term[] = [{ ...monthly, intro: { price: '4', periods: 3 }, changes: [{ from: '2027-08', price: '12' }] }];
    expect(datesOf({ terms, months: 12 })).toEqual([
      joins,
      { id: 'price-rises.A.pa', kind: 'price-rises', on: '2027-04-20', about: 'Alder Plan', atStake: '6.00', detail: '10.00', months: 1 },
      { id: 'price-rises.A.pa.2', kind: 'price-rises', on: '2027-08-20', about: 'Alder Plan', atStake: '2.00', detail: '12.00', months: 1 },
    ]);
  });

  it('is no rise where the introductory price is the usual one', () => {
    expect(datesOf({ terms: [{ ...monthly, intro: { price: '10', periods: 3 } }], months: 12 })).toEqual([joins]);
  });

  it('tells a renewal without an amount where a price is not known', () => {
    const terms: Term[] = [{ ...yearly, price: '96', renewal: { months: 12, price: null }, trialDays: 14, refundDays: 30 }];
    expect(datesOf({ terms }).slice(1)).toEqual([
      { id: 'trial-ends.A.pa', kind: 'trial-ends', on: '2027-02-03', about: 'Alder Plan', atStake: null, months: 12 },
      { id: 'renewal.A.pa.1', kind: 'renewal', on: '2028-02-03', about: 'Alder Plan', atStake: null, months: 12 },
    ]);
  });

  it('counts months that come on top of the first payment', () => {
    const plans = [{ plan: 'pa', term: 'y', extraMonths: 3 }];
    expect(datesOf({ terms: [yearly], candidate: { plans } })[1]).toMatchObject({ kind: 'renewal', on: '2028-04-20', months: 12 });
  });

  it('rounds in the currency of the price and in that of the decision', () => {
    expect(datesOf({ terms: [{ ...yearly, price: '100.05' }], currency: 'USD' })[1]).toMatchObject({ atStake: '90.05' });
  });

  it('has those of add-ons that are paid by a term, as often as they are taken', () => {
    const addons: Addon[] = [
      { id: 'tool', label: 'Tool', currency: 'EUR', terms: [{ ...yearly, price: '50' }] },
      { id: 'free', label: 'Free', currency: 'EUR' },
    ];
    const taken = (addon: NonNullable<Candidate['addons']>[number]) =>
      datesOf({ addons, candidate: { addons: [addon, { addon: 'free' }] } }).slice(1);
    const renewal = { id: 'renewal.A.tool.1', kind: 'renewal', on: '2028-01-20', about: 'Tool', months: 12 };
    expect(taken({ addon: 'tool', term: 'y', count: 3 })).toEqual([{ ...renewal, atStake: '150.00' }]);
    expect(taken({ addon: 'tool', term: 'y' })).toEqual([{ ...renewal, atStake: '50.00' }]);
  });
});

describe('the dates of what is moved to', () => {
  const terms: Term[] = [{ ...monthly, trialDays: 14, refundDays: 30, intro: { price: '4', periods: 3 } }];
  const moving = (from: number, before: string | undefined) =>
    datesOfCandidate(pricingOf({ terms }), { candidate: 'A', from, months: 12 }, 1, '2027-07-20', before).map(({ id, on }) => [id, on]);
  const asNewCustomer = [
    ['move.A.1', '2027-07-20'],
    ['trial-ends.A.1.pa', '2027-08-03'],
    ['refund-ends.A.1.pa', '2027-09-02'],
    ['price-rises.A.1.pa', '2027-11-03'],
  ];

  it('are those of a new customer where one comes from another vendor, or from one that is gone', () => {
    expect(moving(6, 'B')).toEqual(asNewCustomer);
    expect(moving(6, 'gone')).toEqual(asNewCustomer);
    expect(moving(6, undefined)).toEqual(asNewCustomer);
  });

  it('have no trial, refund or introductory price within the same offer', () => {
    expect(moving(6, 'A2')).toEqual([['move.A.1', '2027-07-20']]);
  });

  it('are joined anew where it is used beside another from the first month on', () => {
    expect(moving(0, 'A2')).toEqual([['joins.A.1', '2027-07-20'], ...asNewCustomer.slice(1)]);
  });
});
