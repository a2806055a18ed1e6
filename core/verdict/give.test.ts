import { describe, expect, it } from 'vitest';
import { assembleDecisionFile } from '../assembly/assemble';
import { priceDecision } from '../comparison/decision-result';
import { lineUp } from '../comparison/line-up';
import type { DecisionFile } from '../decision-file/schema';
import type { Choice, GivenVerdict } from '../decision/verdict-schema';
import { kiteDecision } from '../tests/kite-decision';
import { workbenchOf } from '../tests/workbench-of';
import type { RoutePlan } from '../what-if/route-plan';
import type { VerdictBasis } from './basis';
import { chosenNow, fixedVerdicts, type Giving, giveVerdict, proposedChoice } from './give';

const kites = kiteDecision();
const way: RoutePlan = {
  total: '470.00',
  kept: null,
  segments: [
    { candidate: 'A', from: '2027-01', months: 3 },
    { candidate: 'Z', from: '2027-04', months: 9 },
  ],
} as unknown as RoutePlan;
const basis: VerdictBasis = {
  conditions: [{ kind: 'first-year', winner: 'B' }],
  thresholds: [{ key: 'orders:kites', label: 'Orders', kind: 'orders', unit: 'percent', now: '100', at: '-50', asIs: '0', winner: 'A' }],
  suits: { A: { from: null, to: null, needs: ['a shelf'] } },
  route: way,
  mayWin: [],
};

function giving(file: DecisionFile, more: Partial<VerdictBasis> = {}): Giving {
  const workbench = workbenchOf(file);
  const priced = priceDecision(assembleDecisionFile(workbench).file);
  return {
    workbench,
    priced,
    lineUp: lineUp(priced),
    basis: { ...basis, ...more },
    chance: null,
    version: 'expected',
    today: '2026-11-25',
  };
}
const choice = (kind: Choice['kind'], ...candidates: string[]): Choice => ({ kind, candidates, reason: 'so' });
const chosen = (one: Choice, file = kites, more: Partial<VerdictBasis> = {}) => chosenNow(giving(file, more), one);
const verdictOn = (one: Choice, file = kites): GivenVerdict => {
  const verdict = giveVerdict(giving(file), one, 'v');
  if (!verdict) throw new Error('a verdict is expected');
  return verdict;
};
const priceless = (id: string): DecisionFile => ({
  ...kites,
  offers: kites.offers.map((offer) =>
    offer.id === id ? { ...offer, plans: offer.plans.map((plan) => ({ ...plan, terms: [{ id: 'm', months: 1, price: null }] })) } : offer,
  ),
});

describe('what is proposed', () => {
  it('is the best, for a reason that is left to say, and nothing where no candidate can be chosen', () => {
    expect(proposedChoice(giving(kites).priced)).toEqual({ kind: 'candidate', candidates: ['B'], reason: '' });
    expect(proposedChoice(giving({ ...kites, needs: [{ feature: 'stock', level: 'must' }] }).priced)).toBeNull();
  });
});

describe('what a choice comes to now', () => {
  it('of one candidate is its own, whatever else is named', () => {
    expect(chosen(choice('candidate', 'A', 'B'))).toMatchObject({ parts: [{ candidate: 'A', label: 'Alder' }], total: '720.00' });
    expect(chosen(choice('candidate', 'A'), priceless('a'))).toMatchObject({ atLeast: true });
    expect(chosen(choice('candidate', 'A'))).toMatchObject({ atLeast: false, usable: true });
  });

  it('is nothing where somebody is not there', () => {
    for (const one of [
      choice('candidate'),
      choice('candidate', 'Z'),
      choice('together', 'A', 'Z'),
      choice('together', 'A'),
      choice('together', 'A', 'A'),
    ])
      expect(chosen(one)).toBeNull();
  });

  it('of one without others is set against nobody', () => {
    expect(chosen(choice('candidate', 'A'), { ...kites, candidates: kites.candidates.slice(0, 1) })?.runnerUp).toBeNull();
  });

  it('of a way has its parts, by name as far as there is one, and is set against the best single candidate', () => {
    expect(chosen(choice('route'))).toEqual({
      parts: [
        { candidate: 'A', label: 'Alder', segment: way.segments[0] },
        { candidate: 'Z', label: 'Z', segment: way.segments[1] },
      ],
      total: '470.00',
      keep: null,
      atLeast: false,
      usable: true,
      runnerUp: { candidate: 'B', label: 'Birch', total: '480.00', margin: '10.00' },
    });
    expect(chosen(choice('route'), kites, { route: null })).toBeNull();
    expect(chosen(choice('route'), kites, { route: { ...way, total: null } })).toBeNull();
  });

  it('of two together has the streams of each', () => {
    const club = { id: 'club', label: '', kind: 'goods' as const, orders: '10', orderValue: '10' };
    const file = { ...kites, forecast: { streams: [...kites.forecast.streams, club] } };
    // Birch for 1,000 of kites: 480. Alder for 100 of the club: 12 × 15.
    expect(chosen({ ...choice('together', 'B', 'A'), streams: ['club'] }, file)).toMatchObject({
      parts: [
        { candidate: 'B', label: 'Birch', streams: ['Kites'], total: '480.00' },
        { candidate: 'A', label: 'Alder', streams: ['club'], total: '180.00' },
      ],
      shared: { once: [], twice: [] },
      total: '660.00',
    });
    // Without streams for the second it takes none: its plan alone.
    expect(chosen(choice('together', 'B', 'A'), file)?.parts.map(({ total }) => total)).toEqual(['492.00', '120.00']);
  });

  it('is set against others by what is left, where that is what is compared', () => {
    const file: DecisionFile = { ...kites, cheapestAt: { by: 'keep', from: '1', to: '9' } };
    // Margins of a half: Alder leaves 12 × (500 − 60), Birch 12 × (500 − 40).
    expect(chosen(choice('candidate', 'A'), file)).toMatchObject({ keep: '5280.00', comparedBy: 'keep', runnerUp: { margin: '-240.00' } });
    expect(chosen(choice('candidate', 'A'))).not.toHaveProperty('comparedBy');
    // A way of which only the cost is known is set against others by cost.
    expect(chosen(choice('route'), file)).not.toHaveProperty('comparedBy');
    expect(chosen(choice('route'), file, { route: { ...way, kept: '5600.00' } })).toMatchObject({
      comparedBy: 'keep',
      runnerUp: { candidate: 'B', margin: '80.00' },
    });
  });
});

describe('a verdict that is given', () => {
  it('takes along what it rests on', () => {
    const verdict = verdictOn({ ...choice('candidate', 'A'), forWhom: 'for the stall' });
    expect(verdict.conditions).toEqual(basis.conditions);
    expect(verdict.thresholds).toEqual(basis.thresholds);
    expect(verdict.suits).toEqual(basis.suits['A']);
    expect(verdict).toMatchObject({ forWhom: 'for the stall', reason: 'so', monthlySales: '1000.00', monthlyOrders: '100.0000' });
    expect(verdict.unknown).toEqual([]);
    expect(verdict.totals.map(({ candidate, atLeast, usable }) => [candidate, atLeast, usable])).toEqual([
      ['B', false, true],
      ['A', false, true],
    ]);
  });

  it('leaves out what does not belong to it', () => {
    const verdict = verdictOn(choice('candidate', 'B'));
    for (const field of ['suits', 'forWhom', 'shared', 'comparedBy', 'keep']) expect(verdict).not.toHaveProperty(field);
    expect(verdictOn(choice('route'))).not.toHaveProperty('suits');
  });

  it('names the prices that nobody knows, and is then a modest one', () => {
    const verdict = verdictOn(choice('candidate', 'B'), priceless('a'));
    expect(verdict.unknown).toEqual(['Price of Alder Plan']);
    expect(verdict.totals.find(({ candidate }) => candidate === 'A')?.atLeast).toBe(true);
    expect(verdictOn(choice('candidate', 'A'), priceless('a')).strength).toBe('modest');
  });

  it('by what is left says so, with what that is', () => {
    const file: DecisionFile = { ...kites, cheapestAt: { by: 'keep', from: '1', to: '9' } };
    expect(verdictOn(choice('candidate', 'B'), file)).toMatchObject({ comparedBy: 'keep', keep: '5520.00' });
  });
});

describe('verdicts that are kept', () => {
  it('stay as they were; a new one is fixed once, with what it was made from', () => {
    const [old, fresh] = [verdictOn(choice('candidate', 'B')), { ...verdictOn(choice('candidate', 'A')), id: 'w' }];
    const kept = fixedVerdicts([old], [{ ...old, reason: 'another' }, fresh], 7, { s0: 2 });
    expect(kept).toEqual([old, { ...fresh, madeFrom: { revision: 7, sheets: { s0: 2 } } }]);
    const from = { revision: 3, sheets: {} };
    expect(fixedVerdicts([], [{ ...fresh, madeFrom: from }], 7, { s0: 2 })[0]?.madeFrom).toEqual(from);
  });
});
