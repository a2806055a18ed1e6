import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { monthlyPlans } from '../tests/monthly-plans';
import { type ChanceAnswer, chanceWork } from './chance-answer';
import { uncertainsOf } from './uncertain';

describe('the answer', () => {
  const all = (file: DecisionFile, settings: Parameters<typeof chanceWork>[1]['settings']): ChanceAnswer => {
    const work = chanceWork(file, { settings });
    for (;;) {
      const { done, answer } = work.next();
      if (done && answer) return answer;
    }
  };
  const file = monthlyPlans({ A: ['0', '10'], B: ['66', '4'] });
  const certain = Object.fromEntries(uncertainsOf(file).map(({ key }) => [key, '0']));

  it('is the plain result where nothing is uncertain', () => {
    const answer = all(file, { spreads: certain });
    const { result } = priceDecision(file);
    expect(answer).toMatchObject({ isCertain: true, futures: 1, best: result.cheapest, safest: result.cheapest, nobody: 0 });
    expect(answer.candidates.map(({ id, middle, first }) => [id, middle, first])).toEqual(
      result.candidates.map(({ id, total }) => [id, total, id === result.cheapest ? 1 : 0]),
    );
  });

  it('begins coarse, and ends with fans and other levels', () => {
    const work = chanceWork(file, {});
    const coarse = work.next();
    expect(coarse).toMatchObject({ done: false, answer: { futures: 600, fans: [], levels: [] } });
    const answer = all(file, undefined);
    expect(answer.futures).toBe(10_000);
    expect(answer.fans.map(({ id, months }) => [id, months.length])).toEqual(
      expect.arrayContaining([
        ['A', 12],
        ['B', 12],
      ]),
    );
    const [low, high] = [answer.levels[0], answer.levels.at(-1)].map((one) => one?.firsts.find(({ id }) => id === 'B')?.first);
    expect(low).toBeLessThan(0.05);
    expect(high).toBeGreaterThan(0.95);
    const ends = answer.fans.find(({ id }) => id === 'A')?.months.at(-1);
    expect(Number(ends?.low)).toBeLessThan(Number(ends?.middle));
    expect(Number(ends?.middle)).toBeLessThan(Number(ends?.high));
  }, 60_000);

  it('takes cautious and hopeful sales for one in ten, and what the person says before that', () => {
    const versions = { cautious: { orders: '-40' }, hopeful: { orders: '10' } };
    expect(uncertainsOf(file, { versions })[0]).toMatchObject({ key: 'level', low: 40, high: 10, isStated: false });
    expect(uncertainsOf(file, { versions, settings: { spreads: { level: '5' } } })[0]).toMatchObject({ low: 5, high: 5, isStated: true });
  });

  it('by what is kept says what is left, more of it higher', () => {
    const answer = all({ ...file, cheapestAt: { ...file.cheapestAt, by: 'keep' } }, { spreads: certain });
    // 12,000 of sales, less 1,200 and 12 × 66 + 480.
    expect(answer.candidates.map(({ id, middle }) => [id, middle])).toEqual([
      ['A', '10800.00'],
      ['B', '10728.00'],
    ]);
  });

  it('of one candidate has nobody to set it against, and nothing worth knowing', () => {
    const answer = all(monthlyPlans({ A: ['0', '10'] }), undefined);
    expect(answer.candidates.map(({ id, first }) => [id, first])).toEqual([['A', 1]]);
    expect(answer.uncertain.every(({ worth }) => worth === null)).toBe(true);
  }, 60_000);

  it('is empty where nobody can be chosen, and has 120 months where there are so many', () => {
    expect(all(monthlyPlans({}), undefined)).toMatchObject({ candidates: [], best: null, safest: null });
    const long = all(monthlyPlans({ A: ['0', '10'], B: ['66', '4'] }, { months: 120 }), { seed: 3 });
    expect(long.fans[0]?.months).toHaveLength(120);
  }, 60_000);
});
