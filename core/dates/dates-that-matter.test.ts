import { describe, expect, it } from 'vitest';
import { addDays, addMonthsToDay } from '../calendar/day-steps';
import { priceDecision } from '../comparison/decision-result';
import { assembleDecisionFile } from '../assembly/assemble';
import { takeApart } from '../decision/take-apart';
import { withDecision, type Workbench } from '../decision/workbench';
import type { DecisionFile } from '../decision-file/schema';
import type { Plan, Term } from '../decision-file/price-sheet-schema';
import { givenVerdict } from '../tests/given-verdict';
import { kiteDecision } from '../tests/kite-decision';
import type { GivenVerdict } from '../decision/verdict-schema';
import { datesThatMatter, daysLeft, usedIn } from './dates-that-matter';

const kites = kiteDecision();

/** The kites with other terms of Birch's plan, which is the cheaper one. */
function birch(terms: Term[], more: Partial<DecisionFile> = {}, plan: Partial<Plan> = {}): Workbench {
  const offers = kites.offers.map((offer) =>
    offer.id === 'b' ? { ...offer, plans: offer.plans.map((one) => ({ ...one, terms, ...plan })) } : offer,
  );
  const candidates = kites.candidates.map((one) => (one.id === 'B' ? { ...one, plans: [{ plan: 'pb', term: terms[0]?.id ?? '' }] } : one));
  let next = 0;
  return takeApart({ ...kites, offers, candidates, ...more }, () => `s${next++}`, '2026-11-01');
}

const datesOf = (workbench: Workbench, verdict?: GivenVerdict) =>
  datesThatMatter(workbench, priceDecision(assembleDecisionFile(workbench).file), verdict);
const told = (workbench: Workbench, verdict?: GivenVerdict) =>
  datesOf(workbench, verdict).map(({ kind, on, atStake }) => [kind, on, atStake]);

describe('days that matter', () => {
  it('trial, refund window, rise after the introductory price, and renewals follow the day of joining', () => {
    const workbench = withDecision(
      birch([{ id: 'q', months: 3, price: '60', intro: { price: '15', periods: 1 }, trialDays: 14, refundDays: 30 }]),
      (one) => ({ ...one, dates: { joins: '2027-01-20' } }),
    );
    expect(told(workbench)).toEqual([
      ['joins', '2027-01-20', null],
      ['trial-ends', '2027-02-03', '15.00'],
      ['refund-ends', '2027-03-05', '15.00'],
      ['look-again', '2027-04-30', null],
      ['price-rises', '2027-05-03', '45.00'],
      ['renewal', '2027-08-03', '60.00'],
      ['renewal', '2027-11-03', '60.00'],
    ]);
    expect(datesOf(workbench).find(({ kind }) => kind === 'price-rises')).toMatchObject({
      detail: '60.00',
      about: 'Birch Plan',
      months: 3,
    });
  });

  it('without a stated day one joins on the first of the horizon; months that renew are not told', () => {
    expect(told(birch([{ id: 'm', months: 1, price: '30' }]))).toEqual([
      ['joins', '2027-01-01', null],
      ['look-again', '2027-04-30', null],
    ]);
  });

  it('amounts are in the base currency', () => {
    const workbench = birch([{ id: 'y', months: 12, price: '100.05' }], { rates: { USD: '0.9' }, months: 24 }, { currency: 'USD' });
    expect(told(workbench)).toContainEqual(['renewal', '2028-01-01', '90.05']);
  });

  it('a limit and a break-even come in the month that reaches them', () => {
    const growing = {
      streams: [{ id: 'kites', label: 'Kites', kind: 'goods' as const, orders: { start: '10', add: '10' }, orderValue: '10' }],
    };
    // Alder is cheaper below sales of 500 a month, reached with 50 orders in May; average sales are 650.
    const workbench = birch([{ id: 'm', months: 1, price: '30' }], { forecast: growing });
    const verdict = given('A', 'Alder');
    const dates = datesOf(workbench, verdict);
    // From May to December: 8 × 20 more for Birch's plan; 4 % of sales of 500 to 1,200 less, that is 4 % of 6,800.
    expect(dates.find(({ kind }) => kind === 'break-even')).toMatchObject({
      id: 'break-even.A.B',
      on: '2027-05-01',
      about: 'Birch',
      detail: '500.00',
      atStake: '112.00',
    });
    // Hopeful sales are a quarter more: 125 in October.
    const roomy = birch([{ id: 'm', months: 1, price: '30' }], { forecast: growing }, { limits: { orders: '122' } });
    expect(datesOf(roomy, given('B', 'Birch')).find(({ kind }) => kind === 'limit-reached')).toMatchObject({
      on: '2027-10-01',
      isIfHopeful: true,
    });
    const limited = birch([{ id: 'm', months: 1, price: '30' }], { forecast: growing }, { limits: { orders: '75' } });
    expect(datesOf(limited, given('B', 'Birch')).find(({ kind }) => kind === 'limit-reached')).toMatchObject({
      id: 'limit-reached.B.orders',
      on: '2027-08-01',
      detail: 'orders',
    });
  });

  it('the end of an offer is told for all before a verdict, and after it for what was chosen', () => {
    const workbench = birch([{ id: 'm', months: 1, price: '30', intro: { price: '1', periods: 2 } }]);
    const dated = {
      ...workbench,
      sheets: workbench.sheets.map((used) => ({ ...used, sheet: { ...used.sheet, figures: { 'pb term 1': { until: '2026-12-31' } } } })),
    };
    expect(datesOf(dated).find(({ kind }) => kind === 'offer-ends')).toMatchObject({
      id: 'offer-ends.pb.m',
      on: '2026-12-31',
      atStake: '58.00',
    });
    expect(datesOf(dated, given('A', 'Alder')).some(({ kind }) => kind === 'offer-ends')).toBe(false);
  });

  it('a way tells its moves; within a vendor there is no second trial', () => {
    const terms = [{ id: 'm', months: 1, price: '30', trialDays: 30, intro: { price: '1', periods: 2 } }];
    const workbench = birch(terms, {
      candidates: [
        ...kites.candidates.map((one) => (one.id === 'B' ? { ...one, plans: [{ plan: 'pb', term: 'm' }] } : one)),
        { id: 'C', label: 'Birch again', plans: [{ plan: 'pb', term: 'm' }] },
      ],
    });
    const way = (later: string): GivenVerdict => ({
      ...given('A', 'Alder'),
      kind: 'route',
      parts: [
        { candidate: 'B', label: 'Birch', segment: { candidate: 'B', from: '2027-01', months: 6 } },
        { candidate: later, label: later, segment: { candidate: later, from: '2027-07', months: 6 } },
      ],
    });
    expect(told(workbench, way('C')).filter(([kind]) => ['move', 'trial-ends'].includes(kind ?? ''))).toEqual([
      ['trial-ends', '2027-01-31', '1.00'],
      ['move', '2027-07-01', null],
    ]);
  });

  it('own dates stand among the others; a verdict is looked at again after half a year', () => {
    const workbench = withDecision(birch([{ id: 'm', months: 1, price: '30' }]), (one) => ({
      ...one,
      dates: { lookAgain: 30, own: [{ id: 'x', on: '2026-12-05', what: 'Ask the bank' }] },
    }));
    expect(told(workbench, given('B', 'Birch'))).toEqual([
      ['look-again', '2026-12-01', null],
      ['own', '2026-12-05', null],
      ['joins', '2027-01-01', null],
      ['verdict-again', '2027-05-26', '240.00'],
    ]);
    const [first] = datesOf(workbench);
    expect(first && daysLeft(first, '2026-12-04')).toBe(-3);
  });

  it('are found whatever day a file states', () => {
    const yearly = birch([{ id: 'y', months: 12, price: '100' }]);
    const late = withDecision(yearly, (one) => ({ ...one, dates: { joins: '9999-12-31' } }));
    const seen = { ...late, sheets: late.sheets.map((used) => ({ ...used, sheet: { ...used.sheet, seen: '9999-12-31' } })) };
    expect(datesOf(seen, given('B', 'Birch')).map(({ kind, on }) => [kind, on])).toEqual([
      ['verdict-again', '2027-05-26'],
      ['joins', '9000-12-31'],
      ['look-again', '9001-06-29'],
    ]);
  });

  it('without anything to choose there is nothing but what is stated', () => {
    expect(told(birch([{ id: 'm', months: 1, price: '30' }], { candidates: [] }))).toEqual([]);
  });
});

describe('what is used', () => {
  const streams = [
    { id: 'kites', label: 'Kites', kind: 'goods' as const, orders: '100', orderValue: '10' },
    { id: 'club', label: '', kind: 'goods' as const, orders: '5', orderValue: '10' },
  ];
  const used = (verdict?: GivenVerdict, more: Partial<DecisionFile> = {}) =>
    usedIn(verdict, priceDecision({ ...kites, forecast: { streams }, ...more }));

  it('is the best from the first month to the last where no verdict is given, and nothing where no candidate can be chosen', () => {
    expect(used()).toEqual([{ candidate: 'B', from: 0, months: 12 }]);
    expect(used(undefined, { candidates: [] })).toEqual([]);
  });

  it('is what the verdict names, as far as it is still there', () => {
    const verdict = given('B', 'Birch');
    expect(used(verdict)).toEqual([{ candidate: 'B', from: 0, months: 12 }]);
    expect(used({ ...verdict, parts: [...verdict.parts, { candidate: 'Z', label: 'Gone' }] })).toEqual([
      { candidate: 'B', from: 0, months: 12 },
    ]);
  });

  it('has the streams that the verdict names, by name or, without one, by id', () => {
    const parts = [
      { candidate: 'A', label: 'Alder', streams: ['Kites'] },
      { candidate: 'B', label: 'Birch', streams: ['club'] },
    ];
    expect(used({ ...given('A', 'Alder'), kind: 'together', parts }).map(({ streams: through }) => through)).toEqual([['kites'], ['club']]);
  });

  it('of a way that began before the horizon starts with it', () => {
    const parts = [{ candidate: 'B', label: 'Birch', segment: { candidate: 'B', from: '2026-10', months: 6 } }];
    expect(used({ ...given('B', 'Birch'), kind: 'route', parts })).toEqual([{ candidate: 'B', from: 0, months: 6 }]);
  });
});

describe('days to look at sheets again', () => {
  const cards = {
    id: 'x',
    label: 'Cardline',
    currency: 'EUR',
    charges: [{ id: 'f', label: 'Cards', how: 'per-order' as const, percent: '1' }],
  };
  const till = {
    id: 'y',
    label: 'Tillwise',
    currency: 'EUR',
    charges: [{ id: 'f', label: 'Cards', how: 'per-order' as const, percent: '9' }],
  };
  const desk = { id: 'd', label: 'Label desk', currency: 'EUR', terms: [{ id: 'm', months: 1, price: '5' }] };
  const again = (birchWith: Partial<DecisionFile['candidates'][number]>) => {
    const candidates = kites.candidates.map((one) => (one.id === 'B' ? { ...one, ...birchWith } : one));
    let next = 0;
    const workbench = takeApart({ ...kites, processors: [cards, till], addons: [desk], candidates }, () => `s${next++}`, '2026-11-01');
    return datesOf(workbench, given('B', 'Birch')).flatMap(({ kind, about, id, on }) => (kind === 'look-again' ? [[about, on, id]] : []));
  };

  it('are those of the plans, add-ons and processors that are used', () => {
    const names = (birchWith: Parameters<typeof again>[0]) => again(birchWith).map(([about]) => about);
    expect(again({})).toEqual([['Birch', '2027-04-30', 'look-again.s1']]);
    expect(names({ addons: [{ addon: 'd', term: 'm' }] })).toEqual(['Birch', 'Label desk']);
    expect(names({ payments: 'x' })).toEqual(['Birch', 'Cardline']);
    expect(names({ payments: [{ use: 'y', cards: ['abroad'] }, { use: 'x' }] })).toEqual(['Birch', 'Cardline', 'Tillwise']);
  });
});

function given(candidate: string, label: string): GivenVerdict {
  return givenVerdict({ parts: [{ candidate, label }], runnerUp: { candidate: 'A', label: 'Alder', total: '720.00', margin: '240.00' } });
}

describe('steps of days', () => {
  it.each([
    ['2027-01-31', 1, '2027-02-28'],
    ['2028-01-31', 1, '2028-02-29'],
    ['2027-12-15', 13, '2029-01-15'],
    ['2027-03-31', -1, '2027-02-28'],
  ])('%s and %i months are %s', (from, count, expected) => {
    expect(addMonthsToDay(from, count)).toBe(expected);
  });

  it('days go over the ends of months and years', () => {
    expect(addDays('2027-12-30', 3)).toBe('2028-01-02');
    expect(addDays('2028-03-01', -1)).toBe('2028-02-29');
  });
});
