import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainValues, randomForm } from '../tests/random-form';
import { rangeOf, sameInAll, sumRange } from './form-ranges';
import type { Form } from './level-form';

const [FROM, TO] = [0.3, 4.1];
const SCALES = Array.from({ length: 40 }, (_, index) => FROM + (TO - FROM) * ((index + 0.377) / 40));
const line = (fixed: number[] | null, growing: number[] | null = null): Form => ({
  is: 'line',
  fixed: fixed && Float64Array.from(fixed),
  growing: growing && Float64Array.from(growing),
});
const range = (form: Form, months = 3) => {
  const { low, high } = rangeOf(form, months, 1, 2);
  return [...low].map((least, month) => [least, high[month]]);
};

describe('the least and the most of a form between two scales', () => {
  it('is never passed, in any month or over all', () => {
    fc.assert(
      fc.property(randomForm, (form) => {
        const { low, high } = rangeOf(form, 3, FROM, TO);
        const [least, most] = sumRange(form, 3, FROM, TO);
        const passed = SCALES.filter((scale) => {
          const values = plainValues(form, scale);
          const sum = values.reduce((all, value) => all + value, 0);
          const hair = 1e-6 * (Math.abs(sum) + 1);
          const isIn = (value: number, [from, to]: readonly [number, number]) => value >= from - hair && value <= to + hair;
          return !isIn(sum, [least, most]) || values.some((value, month) => !isIn(value, [low[month] ?? NaN, high[month] ?? NaN]));
        });
        expect(passed).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });

  it('of a line stands at its ends, falling ones too', () => {
    expect(range(line([1, 1, 1], [10, -10, 0]))).toEqual([
      [11, 21],
      [-19, -9],
      [1, 1],
    ]);
    expect(range(line(null, [2, 0, 0]))[0]).toEqual([2, 4]);
  });

  it('of what is made of it is as narrow as its parts allow', () => {
    const of = line([0, 0, 0], [10, 20, 30]);
    const all = (value: number) => new Float64Array(3).fill(value);
    expect(range({ is: 'sum', of: [of, of] })).toEqual([
      [20, 40],
      [40, 80],
      [60, 120],
    ]);
    expect(range({ is: 'scaled', of, by: Float64Array.from([2, -1, 0]) })).toEqual([
      [20, 40],
      [-40, -20],
      [0, 0],
    ]);
    expect(range({ is: 'at-least', of, bound: all(25) })).toEqual([
      [25, 25],
      [25, 40],
      [30, 60],
    ]);
    expect(range({ is: 'at-most', of, bound: all(25) })).toEqual([
      [10, 20],
      [20, 25],
      [25, 25],
    ]);
    expect(range({ is: 'packages', of, size: 15 })).toEqual([
      [1, 2],
      [2, 3],
      [2, 4],
    ]);
    expect(range({ is: 'so-far', of })).toEqual([
      [10, 20],
      [30, 60],
      [60, 120],
    ]);
    expect(range({ is: 'increase', of })).toEqual([
      [10, 20],
      [0, 30],
      [-10, 40],
    ]);
  });

  it('of volume bands falls at an edge inside', () => {
    const of = line(null, [10]);
    const bands = [
      { upTo: 15, rate: 4, flat: 0 },
      { upTo: Infinity, rate: 1, flat: 2 },
    ];
    // 40 at ten, 60 at fifteen, 17 right behind it, 22 at twenty.
    const [[least, most] = []] = range({ is: 'bands', of, how: 'volume', bands }, 1);
    expect(least).toBeCloseTo(17, 6);
    expect(most).toBe(60);
    expect(range({ is: 'bands', of, how: 'graduated', bands }, 1)).toEqual([[40, 67]]);
  });

  it('of a credit used up lies between what less and more of it leave', () => {
    const credit = line(null, [10, 0, 0]);
    const bills = line([8, 8, 8]);
    // Between 10 and 20 of credit: the second bill in full, of the third 2 to 8.
    expect(range({ is: 'used-up', credit, bills })).toEqual([
      [0, 0],
      [8, 8],
      [2, 8],
    ]);
    expect(range({ is: 'used-up', credit: line([30, 0, 0]), bills: line(null, [5, 5, 5]) })).toEqual([
      [0, 0],
      [5, 10],
      [0, 10],
    ]);
  });
});

describe('bounds over all months', () => {
  it('of what only rises are its ends', () => {
    const of = line([1, 2, 3], [10, 20, 30]);
    expect(sumRange(of, 3, 1, 2)).toEqual([66, 126]);
    expect(sumRange({ is: 'packages', of: line(null, [10, 10, 10]), size: 15 }, 3, 1, 2)).toEqual([3, 6]);
    const graduated: Form = { is: 'bands', of, how: 'graduated', bands: [{ upTo: Infinity, rate: 2, flat: 1 }] };
    expect(sumRange(graduated, 3, 1, 2)).toEqual([135, 255]);
    // The sum at a scale is kept, but not for another scale or another number of months.
    expect([sumRange(of, 3, 2, 3), sumRange(of, 3, 1, 3), sumRange(of, 2, 3, 4)]).toEqual([
      [126, 186],
      [66, 186],
      [93, 123],
    ]);
  });

  it('of a growth are those of the last month', () => {
    expect(sumRange({ is: 'increase', of: line(null, [10, 20, 30]) }, 3, 1, 2)).toEqual([30, 60]);
  });

  it('of what falls are its ends the other way round', () => {
    const of: Form = { is: 'increase', of: line(null, [10, 20, 30]) };
    expect(sumRange({ is: 'scaled', of, by: new Float64Array(3).fill(-2) }, 3, 1, 2)).toEqual([-120, -60]);
    expect(sumRange({ is: 'scaled', of, by: new Float64Array(3).fill(2) }, 3, 1, 2)).toEqual([60, 120]);
    expect(sumRange(line([0, 0, 0], [10, -30, 0]), 3, 1, 2)).toEqual([-50, -10]);
    expect(sumRange({ is: 'scaled', of: line(null, [1, 1, 1]), by: Float64Array.from([1, -1, 2]) }, 3, 1, 2)).toEqual([1, 5]);
  });
});

it('a value is the same in all months or it is not', () => {
  expect(sameInAll(Float64Array.from([2, 2, 2]))).toBe(2);
  expect(sameInAll(Float64Array.from([2, 2, 3]))).toBeNull();
  expect(sameInAll(new Float64Array(0))).toBe(0);
});
