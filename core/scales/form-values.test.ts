import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainValues, randomForm } from '../tests/random-form';
import { bandAmount, isNearEdge, packagesFor, sumAt, usedUp, valuesAt } from './form-values';
import type { Form } from './level-form';

const line = (fixed: number[] | null, growing: number[] | null = null): Form => ({
  is: 'line',
  fixed: fixed && Float64Array.from(fixed),
  growing: growing && Float64Array.from(growing),
});
/** No quantity with whole figures stands on an edge at one of these. */
const scale = fc.integer({ min: 1, max: 200 }).map((step) => step * 0.0137 + 0.001_234_567);

describe('what a form comes to', () => {
  it('is what its definition says, in every month and over all', () => {
    fc.assert(
      fc.property(randomForm, scale, (form, at) => {
        const [values, plain] = [valuesAt(form, 3, at), plainValues(form, at)];
        values.forEach((value, month) => expect(value).toBeCloseTo(plain[month] ?? NaN, 6));
        expect(sumAt(form, 3, at)).toBeCloseTo(
          plain.reduce((sum, value) => sum + value, 0),
          6,
        );
      }),
      { numRuns: 400 },
    );
  });

  it('over all months of a growth is what was there in the end, whatever holds it', () => {
    const sales = line([1, 2, 3], [10, 10, 10]);
    const soFar: Form = { is: 'so-far', of: sales };
    const grown = (of: Form) => sumAt({ is: 'increase', of }, 3, 2);
    // 21, 22 and 23: 66 in all.
    expect(grown(soFar)).toBe(66);
    expect(grown({ is: 'at-most', of: soFar, bound: Float64Array.from([9, 9, 50]) })).toBe(50);
    expect(grown({ is: 'at-least', of: soFar, bound: Float64Array.from([9, 9, 70]) })).toBe(70);
    expect(grown({ is: 'packages', of: soFar, size: 20 })).toBe(4);
    expect(grown(sales)).toBe(23);
  });

  it('is nothing of nothing', () => {
    expect([...valuesAt({ is: 'sum', of: [] }, 2, 1)]).toEqual([0, 0]);
    expect([...valuesAt(line(null), 2, 5)]).toEqual([0, 0]);
    expect(sumAt(line(null), 2, 5)).toBe(0);
  });
});

describe('packages', () => {
  it.each([
    [0, 10, 0],
    [-4, 10, 0],
    [0.1, 10, 1],
    [10, 10, 1],
    [10.1, 10, 2],
    [0.1 + 0.2, 0.3, 1],
    [(0.1 + 0.2) * 1e6, 0.3, 1e6],
  ])('%s in packages of %s are %s', (quantity, size, packages) => {
    expect(packagesFor(quantity, size)).toBe(packages);
  });
});

describe('bands', () => {
  const bands = [
    { upTo: 10, rate: 2, flat: 1 },
    { upTo: 0.3 * 100, rate: 1, flat: 5 },
    { upTo: Infinity, rate: 0, flat: 7 },
  ];
  const hair = 30 * (1 + 1e-13);

  it.each([
    [0, 0],
    [10, 21],
    [12, 28],
    [30, 46],
    [hair, 46],
    [31, 53],
  ])('graduated: each part at its rate, and a flat fee for each band begun: %s', (quantity, amount) => {
    expect(bandAmount({ how: 'graduated', bands }, quantity)).toBeCloseTo(amount, 9);
  });

  it.each([
    [0, 1],
    [10, 21],
    [12, 17],
    [hair, 35],
    [31, 7],
  ])('volume: all at the rate of the band it falls in: %s', (quantity, amount) => {
    expect(bandAmount({ how: 'volume', bands }, quantity)).toBeCloseTo(amount, 9);
  });

  it('volume: nothing past the last', () => {
    expect(bandAmount({ how: 'volume', bands: bands.slice(0, 1) }, 11)).toBe(0);
  });
});

describe('what of a credit is used up', () => {
  it('is each bill, as far as what was there before it goes', () => {
    const bills = Float64Array.from([5, 5, 30, 1]);
    expect([...usedUp(Float64Array.from([8, 20, 0, 4]), bills)]).toEqual([0, 5, 23, 0]);
    expect([...bills]).toEqual([5, 5, 30, 1]);
  });
});

describe('whether exact arithmetic has to say', () => {
  const packages = (quantity: number): Form => ({ is: 'packages', of: line([quantity], [0]), size: 10 });
  const banded = (quantity: number): Form => ({
    is: 'bands',
    of: line([quantity]),
    how: 'graduated',
    bands: [
      { upTo: 20, rate: 1, flat: 0 },
      { upTo: Infinity, rate: 2, flat: 0 },
    ],
  });
  const near = (form: Form) => isNearEdge(form, 1, 1);

  it('it does right at a step or the edge of a band', () => {
    expect([10, 20, 10 + 1e-9, 10 - 1e-9].map((quantity) => near(packages(quantity)))).toEqual([true, true, true, true]);
    expect([0, 9.99, 10.01, 15].map((quantity) => near(packages(quantity)))).toEqual([false, false, false, false]);
    expect([20, 20 * (1 - 1e-10), 1e-10].map((quantity) => near(banded(quantity)))).toEqual([true, true, true]);
    expect([0, 1, 19.99, 20.01, 1e12].map((quantity) => near(banded(quantity)))).toEqual([false, false, false, false, false]);
  });

  it('wherever in the form that is', () => {
    const [on, off] = [packages(10), packages(15)];
    const bound = Float64Array.from([3]);
    const holding = (of: Form): Form[] => [
      { is: 'sum', of: [off, of] },
      { is: 'used-up', credit: of, bills: off },
      { is: 'used-up', credit: off, bills: of },
      { is: 'at-least', of, bound },
      { is: 'so-far', of },
      { is: 'packages', of, size: 0.7 },
    ];
    expect(holding(on).map(near)).toEqual([true, true, true, true, true, true]);
    expect(holding(off).map(near)).toEqual([false, false, false, false, false, false]);
    expect(near(line([10], [10]))).toBe(false);
  });
});
