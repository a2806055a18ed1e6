import { describe, expect, it } from 'vitest';
import type { DecisionFile } from '../decision-file/schema';
import { monthlyPlans } from '../tests/monthly-plans';
import { uncertainsOf } from './uncertain';
import { type WaitingAnswer, waitingWork } from './waiting';

const NO_TROUBLE = { hours: '0', money: '0' };
const free = { within: NO_TROUBLE, between: NO_TROUBLE, moves: 2 };

/** Only what is named is uncertain. */
function waitingFor(file: DecisionFile, spreads: Readonly<Record<string, string>>, moving = free): WaitingAnswer {
  const certain = Object.fromEntries(uncertainsOf(file).map(({ key }) => [key, '0']));
  const work = waitingWork(file, { moving, settings: { spreads: { ...certain, ...spreads }, seed: 5 } });
  for (;;) {
    const { done, answer } = work.next();
    if (done && answer) return answer;
  }
}

/** One in ten is further off than half as much again, or a third less. */
const SIGMA = Math.log(1.5) / 1.2815515655446004;
/** The mean of what a level with these odds is above k, by going through it in small steps. */
function meanAbove(k: number): number {
  let sum = 0;
  const step = 0.001;
  for (let z = -8; z < 8; z += step) sum += (Math.exp(-z * z * 0.5) / Math.sqrt(2 * Math.PI)) * step * Math.max(0, levelAt(z) - k);
  return sum;
}
/** Half as much again above, and half below: the two sides have ends of their own. */
const levelAt = (z: number) => (z < 0 ? 0.5 ** (-z / 1.2815515655446004) : Math.exp(SIGMA * z));

describe('waiting', () => {
  // A: 10 % of 1,000 a month at the level k; B: 66 and 4 %. A costs 60 k - 66 more a month.
  const file = monthlyPlans({ A: ['0', '10'], B: ['66', '4'] });

  it('is worth what is given away in the months that are left, where one month tells all', () => {
    const { now, waits, best } = waitingFor(file, { level: '50' });
    const lostByA = 60 * meanAbove(1.1);
    expect(now).toEqual({ candidate: 'A', isByMonth: false });
    const one = waits[0];
    expect(one).toMatchObject({ months: 1, begin: { candidate: 'A', isByMonth: false } });
    expect(Number(one?.saves) / (11 * lostByA)).toBeGreaterThan(0.9);
    expect(Number(one?.saves) / (11 * lostByA)).toBeLessThan(1.1);
    expect(one?.bySeeing).toBe(one?.saves);
    expect(one?.moves).toBeCloseTo(0.4, 1);
    expect(best).toBe(0);
    // Later means longer with the wrong one.
    const saved = waits.map(({ saves }) => Number(saves));
    expect([...saved].sort((a, b) => b - a)).toEqual(saved);
    expect(waits.map(({ months }) => months)).toEqual([1, 2, 3, 4, 6, 9]);
  }, 30_000);

  it('is worth less by what moving takes, and one moves less often', () => {
    const dear = { ...free, between: { hours: '0', money: '200' } };
    const { waits } = waitingFor(file, { level: '50' }, dear);
    const saved = 11 * 60 * meanAbove(1.1 + 200 / 660);
    expect(Number(waits[0]?.saves) / saved).toBeGreaterThan(0.85);
    expect(Number(waits[0]?.saves) / saved).toBeLessThan(1.15);
    expect(waits[0]?.moves).toBeLessThan(0.33);
  }, 30_000);

  it('is worth nothing where one does not move, or nothing is uncertain', () => {
    const fixed = waitingFor(file, { level: '50' }, { ...free, moves: 0 });
    expect(fixed.waits.map(({ saves, moves }) => [Number(saves), moves])).toEqual(fixed.waits.map(() => [0, 0]));
    const certain = waitingFor(file, {});
    expect(certain.waits.map(({ saves, moves }) => [Number(saves), moves])).toEqual(certain.waits.map(() => [0, 0]));
  }, 30_000);

  it('tells what comes from having seen more from what was known before', () => {
    // Sales double every month: with A at first and B from the third month on, whatever is seen.
    const growing = {
      ...file,
      forecast: { streams: file.forecast.streams.map((stream) => ({ ...stream, orders: { start: '30', growth: '100' } })) },
      months: 6,
    };
    const { waits, best } = waitingFor(growing, {});
    expect(best).toBe(1);
    // 30 and 60 kites of 10: A costs 30 and 60, B 66 + 12 and 66 + 24.
    expect(waits[1]).toMatchObject({ months: 2, begin: { candidate: 'A' }, saves: '78.00', bySeeing: '0.00', moves: 1 });
  }, 30_000);

  it('begins by the month, and says what that costs more where a year ahead is the better choice', () => {
    const yearly: DecisionFile = {
      ...file,
      months: 24,
      offers: file.offers.map((offer) => ({
        ...offer,
        plans: offer.plans.map((plan) => ({
          ...plan,
          terms: offer.id === 'oB' ? [...plan.terms, { id: 'y', months: 12, price: '720' }] : plan.terms,
        })),
      })),
      candidates: file.candidates.map((one) => (one.id === 'B' ? { ...one, plans: [{ plan: 'pB', term: 'y' }] } : one)),
    };
    const often = {
      ...yearly,
      forecast: { streams: yearly.forecast.streams.map((stream) => ({ ...stream, orders: '120' })) },
    };
    // 120 kites of 10 a month: B costs 60 + 48 by the year and 66 + 48 by the month, A 120.
    const { now, waits, best } = waitingFor(often, {});
    expect(now).toEqual({ candidate: 'B', isByMonth: false });
    expect(best).toBe(0);
    expect(waits[0]).toMatchObject({ months: 1, begin: { candidate: 'B', isByMonth: true }, moves: 1 });
    // A month at 66, then the year's price for two years begun within the 23 months left: 120 less in the second.
    expect(Number(waits[0]?.saves)).toBeCloseTo(24 * 60 - (66 + 2 * 720), 6);
    const unsure = waitingFor(often, { level: '50' });
    expect(Number(unsure.waits[0]?.saves)).toBeGreaterThan(Number(waits[0]?.saves));
  }, 30_000);

  it('has nothing to begin with where nothing is paid by the month', () => {
    const yearly = {
      ...file,
      offers: file.offers.map((offer) => ({
        ...offer,
        plans: offer.plans.map((plan) => ({ ...plan, terms: plan.terms.map((term) => ({ ...term, months: 12 })) })),
      })),
    };
    expect(waitingFor(yearly, { level: '50' })).toMatchObject({ now: { candidate: 'B' }, waits: [], best: null });
  }, 30_000);

  it('knows no must before it begins', () => {
    const later: DecisionFile = {
      ...file,
      needs: [
        { feature: 'blog', level: 'must' },
        { feature: 'club', level: 'must', from: '2027-04' },
      ],
      offers: file.offers.map((offer) => ({
        ...offer,
        plans: offer.plans.map((plan) => ({
          ...plan,
          features: { blog: true, ...(offer.id === 'oA' ? { club: true } : {}) },
        })),
      })),
    };
    // B may lack a club from April on, which nobody has checked: whoever begins with it can still be right until then.
    const { now, waits } = waitingFor(later, { 'answer:pB club': '50' });
    expect(now).toEqual({ candidate: 'A', isByMonth: false });
    expect(waits.map(({ months }) => months)).toEqual([1, 2, 3, 4, 6, 9]);
  }, 30_000);

  it('says nothing where nobody can be chosen, or there is no later', () => {
    expect(waitingFor(monthlyPlans({}), {})).toEqual({ now: null, waits: [], best: null });
    expect(waitingFor({ ...file, months: 1 }, { level: '50' })).toEqual({ now: null, waits: [], best: null });
  }, 30_000);
});
