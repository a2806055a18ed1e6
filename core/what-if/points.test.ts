import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { priceDecision } from '../comparison/decision-result';
import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';
import { forecastMonths } from '../forecast/forecast';
import { numberForecast } from '../forecast/number-forecast';
import { kiteDecision } from '../tests/kite-decision';
import { randomDecision } from '../tests/random-decision';
import { richDecision } from '../tests/rich-decision';
import { assumptionsOf, valueAt } from './assumption';
import { withChanges } from './changes';
import { along, cheapestMap, fieldsOf, mapWork } from './map';
import { pointFinder } from './point';
import { readOrNull } from '../tests/read-or-null';

/** Rounded lines differ from unrounded totals by half a unit each, twice where they are converted, and taxed. */
function tolerance(file: DecisionFile, index: number): number {
  return ((priceDecision(file).candidates[index]?.ledger.lines.length ?? 0) + 1) * 0.005 * 2.2;
}

describe('expected sales in floating point', () => {
  it('are the exact ones, for nearly everything the format has', () => {
    fc.assert(
      fc.property(richDecision, (file) => {
        const exact = forecastMonths(file.forecast, file.start, file.months);
        const numbers = numberForecast(file);
        const close = (a: ArrayLike<number>, b: ReadonlyArray<{ toNumber(): number }>) =>
          b.forEach((value, month) =>
            expect(Math.abs((a[month] ?? NaN) - value.toNumber())).toBeLessThanOrEqual(1e-9 * (Math.abs(value.toNumber()) + 1)),
          );
        close(numbers.orders, exact.orders);
        close(numbers.sales, exact.sales);
        for (const [id, values] of exact.quantities) close(numbers.quantities.get(id) ?? [], values);
      }),
      { numRuns: 60 },
    );
  });
});

describe('totals by what is kept', () => {
  it('are what is paid less what is left of sales', () => {
    fc.assert(
      fc.property(fc.oneof(richDecision, randomDecision), (made) => {
        const file = readOrNull({ ...made, version: 2, cheapestAt: { by: 'keep' } });
        if (!file) return;
        const { totals } = pointFinder(file).at([]);
        priceDecision(file).result.candidates.forEach(({ keep, unknown }, index) => {
          if (unknown.length > 0) return;
          const off = tolerance(file, index) + 0.01 + 1e-9 * Math.abs(Number(keep));
          expect(Math.abs((totals[index] ?? NaN) + Number(keep))).toBeLessThanOrEqual(off);
        });
      }),
      { numRuns: 60 },
    );
  }, 60_000);
});

describe('totals under other assumptions', () => {
  it('are those of the changed decision file, alone and two together', () => {
    fc.assert(
      fc.property(
        fc.oneof(richDecision, randomDecision),
        fc.nat(),
        fc.nat(),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (made, one, other, along) => {
          const file = readOrNull(made);
          if (!file) return;
          const all = assumptionsOf(file);
          const pick = (n: number) => all[n % all.length];
          const changes = [pick(one), pick(other)].flatMap((assumption) =>
            assumption
              ? [{ key: assumption.key, value: (assumption.usual[0] + along * (assumption.usual[1] - assumption.usual[0])).toFixed(3) }]
              : [],
          );
          const finder = pointFinder(file);
          for (const list of [changes.slice(0, 1), changes, [], changes]) {
            const changed = withChanges(file, list);
            const exact = priceDecision(changed).result.candidates;
            const { totals } = finder.at(list);
            exact.forEach(({ total }, index) =>
              expect(Math.abs((totals[index] ?? NaN) - Number(total))).toBeLessThanOrEqual(
                tolerance(changed, index) + 1e-9 * Math.abs(Number(total)),
              ),
            );
          }
        },
      ),
      { numRuns: 80 },
    );
  });

  it('say who can be chosen as exact pricing does', () => {
    fc.assert(
      fc.property(randomDecision, fc.integer({ min: -90, max: 300 }), (made, percent) => {
        const file = readOrNull(made);
        if (!file) return;
        const changes = [{ key: 'orders', value: String(percent) }];
        const exact = priceDecision(withChanges(file, changes)).result.candidates;
        expect([...pointFinder(file).at(changes).usable]).toEqual(
          exact.map(({ usable, unknown }) => (usable && unknown.length === 0 ? 1 : 0)),
        );
      }),
      { numRuns: 50 },
    );
  });

  it('keep every changed decision file valid, so that a scenario can be kept and priced', () => {
    fc.assert(
      fc.property(richDecision, fc.nat(), fc.boolean(), (made, n, isLow) => {
        const file = readOrNull(made);
        if (!file) return;
        const all = assumptionsOf(file);
        const assumption = all[n % all.length];
        if (!assumption) return;
        const changed = withChanges(file, [{ key: assumption.key, value: String(assumption.bounds[isLow ? 0 : 1]) }]);
        expect(() => readDecisionFile(changed)).not.toThrow();
      }),
      { numRuns: 80 },
    );
  });
});

describe('assumptions', () => {
  it('are every stream’s and every open price, with what they are now', () => {
    const file = kiteDecision({
      rates: { USD: '0.92' },
      candidates: [
        { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }], hours: { monthly: '2' } },
        { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }] },
      ],
    });
    const [, birch] = file.offers;
    if (birch?.plans[0]) birch.plans[0] = { ...birch.plans[0], charges: [{ id: 'fb', label: 'Fee', how: 'per-order', percent: null }] };
    expect(assumptionsOf(file).map(({ key, now }) => [key, now])).toEqual([
      ['orders:kites', '100'],
      ['order-value:kites', '10'],
      ['growth:kites', '0'],
      ['refunds:kites', '0'],
      ['hour-value', '20'],
      ['price:fb', null],
    ]);
  });

  it('say what they are at a change', () => {
    const [orders, , growth] = assumptionsOf(kiteDecision());
    if (!orders || !growth) throw new Error('both are expected');
    expect(valueAt(orders, 25)).toBe('125');
    expect(valueAt(growth, 1.5)).toBe('1.5');
  });
});

describe('the map', () => {
  const orders = { key: 'orders', low: -90, high: 110 };
  const value = { key: 'order-value', low: -50, high: 50 };

  it('has the boundary where the sum says: A below sales of 500 a month, B above', () => {
    const { columns, rows, winners, ids } = cheapestMap(kiteDecision(), orders, value, { columns: 41, rows: 21 });
    expect([columns, rows, ids]).toEqual([41, 21, ['A', 'B']]);
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < columns; column++) {
        const sales = 1000 * (0.1 + (2 * column) / 40) * (0.5 + row / 20);
        if (Math.abs(sales - 500) > 1e-6) expect(ids[winners[row * columns + column] ?? -1]).toBe(sales < 500 ? 'A' : 'B');
      }
  });

  it('is the same whichever way its lines run', () => {
    const across = cheapestMap(kiteDecision(), orders, value, { columns: 30, rows: 30 });
    const up = cheapestMap(kiteDecision(), value, orders, { columns: 30, rows: 30 });
    for (let row = 0; row < 30; row++)
      for (let column = 0; column < 30; column++) expect(up.winners[column * 30 + row]).toBe(across.winners[row * 30 + column]);
  });

  it('names its fields by size, each from inside', () => {
    const map = cheapestMap(kiteDecision(), orders, value, { columns: 60, rows: 40 });
    const fields = fieldsOf(map);
    expect(fields.map(({ candidate }) => candidate)).toEqual(['B', 'A']);
    expect(fields.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    for (const { candidate, x, y } of fields)
      expect(map.ids[map.winners[Math.round(y * 39) * 60 + Math.round(x * 59)] ?? -1]).toBe(candidate);
  });

  it('is nobody’s where no candidate can be chosen', () => {
    const file = kiteDecision({ needs: [{ feature: 'gift-cards', level: 'must' }] });
    expect([...cheapestMap(file, orders, value, { columns: 4, rows: 3 }).winners]).toEqual(new Array(12).fill(-1));
  });
});

describe('a map in lines', () => {
  const orders = { key: 'orders', low: -50, high: 50 };
  const value = { key: 'order-value', low: -50, high: 50 };

  it('is worked out line by line: as many as rows, or as columns where the orders stand upright', () => {
    const lines = (x: typeof orders, y: typeof orders) => {
      const work = mapWork(kiteDecision(), x, y, { columns: 6, rows: 4 });
      let count = 1;
      while (work.next()) count++;
      expect(work.next()).toBe(false);
      return count;
    };
    expect(lines(orders, value)).toBe(4);
    expect(lines(value, orders)).toBe(6);
  });

  it('has both ends of its axes in it, and a single step stands at the lower end', () => {
    expect([0, 1, 4].map((step) => along(orders, step, 5))).toEqual([-50, -25, 50]);
    expect(along(orders, 0, 1)).toBe(-50);
  });

  it('is not finished before its last line', () => {
    const work = mapWork(kiteDecision({ candidates: kiteDecision().candidates.slice(0, 1) }), orders, value, { columns: 3, rows: 2 });
    work.next();
    expect([...work.map.winners]).toEqual([0, 0, 0, -1, -1, -1]);
    work.next();
    expect([...work.map.winners]).toEqual([0, 0, 0, 0, 0, 0]);
  });
});

describe('the ranges of assumptions', () => {
  it('lie within their bounds, and what is now lies within the range', () => {
    fc.assert(
      fc.property(richDecision, (made) => {
        const file = readOrNull(made);
        for (const { key, usual, bounds, asIs, kind } of file ? assumptionsOf(file) : []) {
          expect(usual[0], key).toBeLessThan(usual[1]);
          expect(usual[0], key).toBeGreaterThanOrEqual(bounds[0]);
          expect(usual[1], key).toBeLessThanOrEqual(bounds[1]);
          if (kind !== 'price') expect(asIs >= usual[0] && asIs <= usual[1], key).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('have a key of their own each', () => {
    fc.assert(
      fc.property(richDecision, (made) => {
        const file = readOrNull(made);
        const keys = file ? assumptionsOf(file).map(({ key }) => key) : [];
        expect(new Set(keys).size).toBe(keys.length);
      }),
      { numRuns: 40 },
    );
  });
});
