import { describe, expect, it } from 'vitest';
import { chancesAtOnce } from '../chance/chance-answer';
import { uncertainsOf } from '../chance/uncertain';
import { assembleDecisionFile } from '../assembly/assemble';
import { priceDecision } from '../comparison/decision-result';
import { lineUp } from '../comparison/line-up';
import { givenVerdictSchema } from '../decision/verdict-schema';
import { monthlyPlans } from '../tests/monthly-plans';
import { workbenchOf } from '../tests/workbench-of';
import { chanceOfChoice, withChances } from './by-chance';
import { compareVerdicts } from './compare-verdicts';
import { type Giving, giveVerdict } from './give';

const file = monthlyPlans({ A: ['0', '10'], B: ['66', '4'], C: ['900', '0'] });
const chance = chancesAtOnce(file, {});
const certain = chancesAtOnce(file, { settings: { spreads: Object.fromEntries(uncertainsOf(file).map(({ key }) => [key, '0'])) } });

function giving(more: Partial<Giving> = {}): Giving {
  const workbench = workbenchOf(file);
  const priced = priceDecision(assembleDecisionFile(workbench).file);
  const basis = { conditions: [], thresholds: [], suits: {}, route: null, mayWin: [] };
  return { workbench, priced, lineUp: lineUp(priced), basis, chance, version: 'expected', today: '2026-11-25', ...more };
}

describe('a verdict and chance', () => {
  it('is worked out over all futures, without fans', () => {
    expect(chance).toMatchObject({ futures: 10_000, fans: [], levels: [] });
    expect(certain).toMatchObject({ futures: 1, isCertain: true });
  });

  it('says of what is chosen how often it comes first, and what it gives away', () => {
    const of = chance.candidates.find(({ id }) => id === 'A');
    const verdict = giveVerdict(giving(), { kind: 'candidate', candidates: ['A'], reason: '' }, 'v');
    expect(verdict?.chance).toEqual({ futures: 10_000, first: of?.first.toFixed(4), givesAway: of?.givesAway, atWorst: of?.atWorst });
    expect(givenVerdictSchema.parse(verdict)).toEqual(verdict);
  });

  it('says nothing of two together, of what nobody looked at, and where nothing is uncertain', () => {
    expect(chanceOfChoice(chance, ['A', 'B'])).toBeUndefined();
    expect(chanceOfChoice(chance, ['Z'])).toBeUndefined();
    expect(chanceOfChoice(null, ['A'])).toBeUndefined();
    expect(chanceOfChoice(certain, ['A'])).toBeUndefined();
  });

  it('has conditions of chance behind levels of sales, of those that ever come first', () => {
    const sales = { kind: 'sales', from: null, to: null, isForecast: true, winner: 'A' } as const;
    const year = { kind: 'first-year', winner: 'A' } as const;
    const told = withChances([year, sales], chance);
    expect(told[0]).toBe(sales);
    expect(told.at(-1)).toBe(year);
    expect(told.slice(1, -1).map(({ kind, winner }) => [kind, winner])).toEqual(
      chance.candidates.slice(0, 2).map(({ id }) => ['chance', id]),
    );
    expect(withChances([year, sales], certain)).toEqual([sales, year]);
    expect(withChances([year], null)).toEqual([year]);
  });

  it('is compared with an earlier one where the choice is the same and it moved', () => {
    const choice = { kind: 'candidate', candidates: ['A'], reason: '' } as const;
    const later = giveVerdict(giving(), { ...choice, candidates: ['A'] }, 'b');
    if (!later?.chance) throw new Error('a verdict is expected');
    const first = Number(later.chance.first);
    const before = { ...later, chance: { ...later.chance, first: (first - 0.1).toFixed(4) } };
    expect(compareVerdicts(before, later).chance).toEqual([Number((first - 0.1).toFixed(4)), first]);
    expect(compareVerdicts({ ...before, chance: later.chance }, later).chance).toBeNull();
    const another = giveVerdict(giving(), { ...choice, candidates: ['B'] }, 'c');
    if (!another) throw new Error('a verdict is expected');
    expect(compareVerdicts(before, another).chance).toBeNull();
    const moved = { ...later, conditions: later.conditions.map((one) => (one.kind === 'chance' ? { ...one, part: '0.0200' } : one)) };
    expect(compareVerdicts(moved, later).conditions.map(({ after }) => after?.kind)).toEqual(['chance', 'chance']);
    expect(compareVerdicts(later, later).conditions).toEqual([]);
  });
});
