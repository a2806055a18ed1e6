import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import type { LineUpView } from '../decision/decision-schema';
import type { DecisionFile } from '../decision-file/schema';
import { kiteDecision } from '../tests/kite-decision';
import { smallDecision } from '../tests/small-decision';
import { arranged, withBaseline, withMoved, withoutArrangement, withPinned } from './arrangement';
import { bucketLines } from './bucket-lines';
import { coursesOf } from './course';
import { priceDecision } from './decision-result';
import { keptParts } from './kept';
import { lineUp } from './line-up';
import { setAgainst } from './pairwise';

const three = kiteDecision({
  candidates: [...kiteDecision().candidates, { id: 'C', label: 'Alder by the year', plans: [{ plan: 'pa', term: 'y' }] }],
});
const standing = (view: LineUpView, file: DecisionFile = three) => {
  const { columns, leader } = lineUp(priceDecision(file));
  return arranged(columns, view, leader, 'EUR');
};

describe('columns as a person arranged them', () => {
  it('stand by their total, with differences to the cheapest, as long as nobody says otherwise', () => {
    const { columns, pinned, baseline } = standing({});
    expect(columns.map(({ id, difference }) => [id, difference])).toEqual([
      ['B', null],
      ['C', '216.00'],
      ['A', '240.00'],
    ]);
    expect([pinned, baseline?.id]).toEqual([0, 'B']);
  });

  it('have pinned ones first, then the order given, and differences to the baseline', () => {
    const { columns, pinned, baseline } = standing({ baseline: 'A', pinned: ['C'], order: ['A', 'gone'] });
    expect(columns.map(({ id, difference }) => [id, difference])).toEqual([
      ['C', '-24.00'],
      ['A', null],
      ['B', '-240.00'],
    ]);
    expect([pinned, baseline?.id]).toEqual([1, 'A']);
    expect(standing({ baseline: 'gone' }).baseline?.id).toBe('B');
  });

  it('are pinned, moved within bounds, given another baseline, and put back', () => {
    const shown = ['B', 'C', 'A'];
    expect(withMoved(smallDecision(), shown, 'A', -1).lineUp).toMatchObject({ order: ['B', 'A', 'C'] });
    expect(withMoved(smallDecision(), shown, 'B', 9).lineUp).toMatchObject({ order: ['C', 'A', 'B'] });
    const unmoved = smallDecision();
    expect(withMoved(unmoved, shown, 'B', -1)).toBe(unmoved);
    const pinned = withPinned(withPinned(smallDecision(), 'A', true), 'C', true);
    expect(pinned.lineUp?.pinned).toEqual(['A', 'C']);
    expect(withPinned(pinned, 'A', false).lineUp?.pinned).toEqual(['C']);
    // Moving a pinned column keeps the pinned ones in the order in which they stand.
    expect(withMoved(pinned, ['A', 'C', 'B'], 'C', -1).lineUp).toEqual({ order: ['C', 'A', 'B'], pinned: ['C', 'A'] });
    expect(withBaseline(withBaseline(smallDecision(), 'A'), null).lineUp).toEqual({});
    expect(withoutArrangement(pinned).lineUp).toBeUndefined();
  });
});

describe('the cost so far', () => {
  const file = kiteDecision({ start: '2027-01', months: 14, candidates: three.candidates });
  const [alder, birch] = file.offers;
  const offered = {
    ...file,
    offers: [
      alder,
      {
        ...birch,
        plans: [
          {
            ...birch?.plans[0],
            terms: [{ id: 'm', months: 1, price: '30', intro: { price: '10', periods: 3 } }],
            limits: { orders: '100' },
          },
        ],
      },
    ],
  } as DecisionFile;

  it('is added up month by month, with renewals at another price', () => {
    const { courses, months } = coursesOf(priceDecision(offered), ['B', 'A']);
    expect(months).toHaveLength(14);
    const [b, a] = courses;
    expect(b?.cumulative.slice(0, 4)).toEqual(['20.00', '40.00', '60.00', '100.00']);
    expect(b?.renewals).toEqual([{ month: '2027-04', index: 3, from: '10.00', to: '30.00', currency: 'EUR' }]);
    expect(a?.renewals).toEqual([]);
    expect(a?.cumulative.at(-1)).toBe('840.00');
  });

  it('says in which months a plan is outgrown', () => {
    const growing = {
      ...offered,
      forecast: {
        streams: [{ id: 'kites', label: 'Kites', kind: 'goods' as const, orders: { start: '80', add: '10' }, orderValue: '10' }],
      },
    };
    expect(coursesOf(priceDecision(growing), ['B']).courses[0]?.outgrown).toEqual([3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13]);
  });

  it('crosses where one has cost less from then on', () => {
    // By the year Alder has cost 96 + 50 after a month, Birch 40: behind at first, and again after the second year is paid.
    const cheap = kiteDecision({
      months: 14,
      candidates: three.candidates,
      forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: '20', orderValue: '10' }] },
    });
    const { crossings } = coursesOf(priceDecision(cheap), ['B', 'C']);
    // Alder 96 + 10 a month, Birch 32 a month: 96 + 10 n < 32 n from n = 5; and 192 + 130 against 416 is no crossing.
    expect(crossings).toEqual([{ month: '2027-05', index: 4, cheaper: 'C', dearer: 'B' }]);
  });

  it('is nothing of candidates that are not there', () => {
    expect(coursesOf(priceDecision(file), ['Z']).courses).toEqual([]);
  });
});

describe('two candidates set against each other', () => {
  it('differ bucket by bucket, the largest effect first, down to the lines', () => {
    const pair = setAgainst(priceDecision(three), 'A', 'B');
    expect(pair?.total).toEqual({ a: '720.00', b: '480.00', difference: '-240.00' });
    expect(pair?.money.map(({ bucket, difference }) => [bucket, difference])).toEqual([
      ['transaction', '-480.00'],
      ['plan', '240.00'],
    ]);
    expect(pair?.money[1]?.lines.map(({ of, amount }) => [of, amount])).toEqual([
      ['a', '120.00'],
      ['b', '360.00'],
    ]);
    expect(setAgainst(priceDecision(three), 'A', 'Z')).toBeNull();
  });

  it('differ in answers: musts first, then by weight; what both say alike is left out', () => {
    const [alder, birch] = three.offers;
    const stating = {
      ...three,
      needs: [
        { feature: 'blog', level: 'want' as const, weight: '1' },
        { feature: 'seats', level: 'want' as const, least: '3', weight: '4' },
        { feature: 'gift-cards', level: 'must' as const },
        { feature: 'same', level: 'must' as const },
      ],
      offers: [
        { ...alder, plans: [{ ...alder?.plans[0], features: { blog: true, seats: '2', 'gift-cards': true, same: true } }] },
        { ...birch, plans: [{ ...birch?.plans[0], features: { blog: false, seats: '5', same: true } }] },
      ],
    } as DecisionFile;
    expect(setAgainst(priceDecision(stating), 'A', 'B')?.answers).toEqual([
      { feature: 'gift-cards', level: 'must', a: { kind: 'yes' }, b: { kind: 'not-known' } },
      {
        feature: 'seats',
        level: 'want',
        a: { kind: 'amount', amount: '2', isEnough: false },
        b: { kind: 'amount', amount: '5', isEnough: true },
      },
      { feature: 'blog', level: 'want', a: { kind: 'yes' }, b: { kind: 'no' } },
    ]);
  });
});

describe('figures taken apart', () => {
  it('are the bucket’s lines, and add up to it', () => {
    const [a] = priceDecision(kiteDecision()).candidates;
    if (!a) throw new Error('a candidate is expected');
    expect(bucketLines(a, 'transaction', 'EUR')).toEqual([
      { source: { kind: 'charge', owner: 'plan', id: 'pa', charge: 'fa' }, amount: '600.00' },
    ]);
    expect(bucketLines(a, 'tax', 'EUR')).toEqual([]);
  });

  it('are what streams leave, at any level of sales', () => {
    const { pricing, candidates } = priceDecision(kiteDecision());
    const candidate = candidates[0]?.candidate;
    if (!candidate) throw new Error('a candidate is expected');
    expect(keptParts(pricing, candidate)).toEqual({
      streams: [{ label: 'Kites', orders: '1200.0', netSales: '12000.00', margin: '50', refunds: '0', kept: '6000.00' }],
      orders: '1200.0',
      sales: '12000.00',
      kept: '6000.00',
    });
    expect(keptParts(pricing, candidate, decimal(2)).kept).toBe('12000.00');
  });
});
