import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assembleDecisionFile } from '../assembly/assemble';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { type FitTable, fitTable } from './criteria';
import { fits, unbeaten } from './fit';
import { firstPlaces, randomNumbers } from './stability';
import { turningWeights } from './turning-weights';

function table(weights: readonly number[], rows: Readonly<Record<string, ReadonlyArray<number | null>>>): FitTable {
  return {
    criteria: weights.map((weight, index) => ({ key: `c${index}`, label: `criterion ${index}`, kind: 'quality', weight })),
    rows: Object.entries(rows).map(([candidate, points]) => ({ candidate, label: candidate, points })),
  };
}
const random = fc
  .record({
    weights: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 5 }),
    rows: fc.array(fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 5, maxLength: 5 }), { minLength: 2, maxLength: 6 }),
  })
  .map(({ weights, rows }) =>
    table(weights, Object.fromEntries(rows.map((points, index) => [`X${index}`, points.slice(0, weights.length)]))),
  );

describe('fit', () => {
  it('is the weighted mean, with what each criterion adds', () => {
    const [a, b] = fits(table([3, 1], { A: [100, 0], B: [40, null] }));
    expect(a).toMatchObject({
      fit: 75,
      most: 75,
      parts: [
        { points: 100, adds: 75 },
        { points: 0, adds: 0 },
      ],
    });
    expect(b).toMatchObject({ fit: 30, most: 55 });
    expect(fits(table([], { A: [] }))).toEqual([]);
  });

  it('lies between 0 and 100, and what it is made of adds up to it', () => {
    fc.assert(
      fc.property(random, (one) => {
        for (const { fit, parts } of fits(one)) {
          expect(parts.reduce((sum, { adds }) => sum + adds, 0)).toBeCloseTo(fit, 9);
          expect(fit).toBeGreaterThanOrEqual(0);
          expect(fit).toBeLessThanOrEqual(100 + 1e-9);
        }
      }),
    );
  });

  it('marks those that nobody beats on both cost and fit', () => {
    const at = (candidate: string, cost: number, fit: number) => ({ candidate, cost, fit });
    expect(unbeaten([at('A', 100, 50), at('B', 200, 60), at('C', 150, 50), at('D', 300, 59), at('E', 100, 50)])).toEqual(['A', 'B', 'E']);
  });
});

describe('stability over all weights', () => {
  it('is what the geometry says: between two criteria the share of weights on either side', () => {
    // A leads where w(100 − 0) + (1 − w)(0 − 50) > 0, that is w > 1/3: two thirds of all weights.
    const [first, second] = firstPlaces(table([1, 1], { A: [100, 0], B: [0, 50] }));
    expect(first?.candidate).toBe('A');
    expect(first?.share).toBeCloseTo(2 / 3, 1);
    expect((first?.share ?? 0) + (second?.share ?? 0)).toBeCloseTo(1, 9);
  });

  it('gives the same answer each time, and shares ties', () => {
    const one = table([1, 2, 3], { A: [50, 60, 70], B: [70, 60, 50], C: [0, 0, 0] });
    expect(firstPlaces(one)).toEqual(firstPlaces(one));
    expect(firstPlaces(table([1], { A: [10], B: [10] })).map(({ share }) => share)).toEqual([0.5, 0.5]);
    expect(firstPlaces(table([], { A: [] }))).toEqual([]);
    const numbers = randomNumbers(7);
    expect(Array.from({ length: 1000 }, numbers).every((number) => number >= 0 && number < 1)).toBe(true);
  });

  it('never puts first what is worse on everything', () => {
    expect(firstPlaces(table([1, 1, 1], { A: [50, 50, 50], B: [49, 20, 0] }), 2000)).toMatchObject([
      { candidate: 'A', share: 1 },
      { candidate: 'B', share: 0 },
    ]);
  });
});

describe('the weight that turns it', () => {
  it('is where both fit equally well, and beyond it the other one leads', () => {
    // Lead of A: 3 × 60 − 1 × 100 = 80. On the second criterion it is gone at 1 + 80/100; on the first at 3 − 80/60.
    expect(turningWeights(table([3, 1], { A: [100, 0], B: [40, 100] }))).toEqual([
      { key: 'c0', label: 'criterion 0', from: 3, to: 3 - 80 / 60, winner: 'B', winnerLabel: 'B' },
      { key: 'c1', label: 'criterion 1', from: 1, to: 1.8, winner: 'B', winnerLabel: 'B' },
    ]);
    expect(turningWeights(table([1, 1], { A: [60, 60], B: [50, 50] }))).toEqual([]);
  });

  it('turns it for any table when it is passed, and not before', () => {
    fc.assert(
      fc.property(random, (one) => {
        const leader = [...fits(one)].sort((a, b) => b.fit - a.fit)[0];
        for (const { key, from, to, winner } of turningWeights(one)) {
          const at = (weight: number) =>
            fits({ ...one, criteria: one.criteria.map((criterion) => (criterion.key === key ? { ...criterion, weight } : criterion)) });
          const scoreOf = (found: ReturnType<typeof fits>, candidate: string) =>
            found.find((row) => row.candidate === candidate)?.fit ?? -1;
          const beyond = at(to + (to - from) * 0.01 + Math.sign(to - from) * 1e-6);
          if (to + (to - from) * 0.01 > 0 && beyond.length > 0)
            expect(scoreOf(beyond, winner)).toBeGreaterThanOrEqual(scoreOf(beyond, leader?.candidate ?? '') - 1e-9);
          const before = at(from + (to - from) * 0.99);
          expect(scoreOf(before, leader?.candidate ?? '')).toBeGreaterThanOrEqual(Math.max(...before.map(({ fit }) => fit)) - 1e-6);
        }
      }),
    );
  });
});

describe('what a candidate gets on wants and qualities', () => {
  const sheets = [
    typedSheet('Tidewrack', { Plus: '34/mo, gift cards: yes, languages: 3, adverts: no, gives books: yes, takes books: no' }),
    typedSheet('Oakum', { Shared: '9/mo, gift cards: no, adverts: yes' }),
  ].map((sheet, index) => ({ id: `s${index}`, revision: 1, sheet }));
  const termOf = (index: number) => {
    const sheet = sheets[index]?.sheet;
    const plan = sheet?.kind === 'offer' ? sheet.offer.plans[0] : undefined;
    return { plan: plan?.id ?? '', term: plan?.terms[0]?.id ?? '' };
  };
  const decision = smallDecision({
    needs: [
      { feature: 'gift-cards', level: 'want', weight: '2' },
      { feature: 'languages', level: 'want', kind: 'at-least', least: '4' },
      { feature: 'adverts', level: 'want', without: true },
      { feature: 'books', level: 'want', kind: 'connects', to: 'books', direction: 'both' },
      { feature: 'later', level: 'want', from: '2030-01' },
      { feature: 'gift-cards', level: 'must' },
      { feature: 'nothing', level: 'want', weight: '0' },
    ],
    qualities: [
      { id: 'ease', label: 'Ease', weight: '3', source: 'mark', worst: '1', best: '5', together: 'weakest' },
      { id: 'found', label: 'Discovery', weight: '1', source: 'mark', worst: '1', best: '5', together: 'strongest' },
    ],
    vendors: {
      tidewrack: { marks: { ease: { value: '5' }, found: { value: '2' } } },
      oakum: { marks: { ease: { value: '3' }, found: { value: '4' } } },
    },
    candidates: [
      { id: 'A', label: 'A', plans: [termOf(0)] },
      { id: 'B', label: 'B', plans: [termOf(1)] },
      {
        id: 'C',
        label: 'C',
        plans: [termOf(0), termOf(1)],
        extras: [{ label: 'x', amount: '0', months: 0, features: { languages: '5' } }],
      },
    ],
  });
  const workbench = { decision, sheets };
  const found = fitTable(workbench, assembleDecisionFile(workbench).file);

  it('wants count in whole, connections both ways by halves, gaps are gaps', () => {
    expect(found.criteria.map(({ key }) => key)).toEqual([
      'want gift-cards',
      'want languages',
      'want without adverts',
      'want books',
      'quality ease',
      'quality found',
    ]);
    expect(found.rows.map(({ points }) => points.slice(0, 4))).toEqual([
      [100, 0, 100, 50],
      [0, null, 0, null],
      [100, 100, 0, 50],
    ]);
  });

  it('of two vendors the weaker one counts, or the stronger where the quality says so', () => {
    expect(found.rows.map(({ points }) => points.slice(4))).toEqual([
      [100, 25],
      [50, 75],
      [50, 75],
    ]);
    expect(
      fitTable(
        { ...workbench, decision: { ...decision, vendors: { tidewrack: decision.vendors?.['tidewrack'] ?? {} } } },
        assembleDecisionFile(workbench).file,
      ).rows[2]?.points.slice(4),
    ).toEqual([null, 25]);
  });
});

describe('the ones that nobody beats', () => {
  it('are beaten by none, and each of the others is beaten by one of them', () => {
    const candidate = fc.record({ cost: fc.integer({ min: 0, max: 20 }), fit: fc.integer({ min: 0, max: 20 }) });
    fc.assert(
      fc.property(fc.array(candidate, { maxLength: 12 }), (all) => {
        const named = all.map((one, index) => ({ candidate: `C${index}`, ...one }));
        const best = new Set(unbeaten(named));
        const beats = (one: { cost: number; fit: number }, other: { cost: number; fit: number }) =>
          one.cost <= other.cost && one.fit >= other.fit && (one.cost < other.cost || one.fit > other.fit);
        for (const one of named) {
          const beaters = named.filter((other) => beats(other, one));
          expect(best.has(one.candidate)).toBe(beaters.length === 0);
          if (beaters.length > 0) expect(beaters.some(({ candidate: id }) => best.has(id))).toBe(true);
        }
        expect(best.size > 0).toBe(named.length > 0);
      }),
    );
  });
});
