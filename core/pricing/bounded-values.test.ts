import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import {
  bandBounds,
  type Bounded,
  bounded,
  boundedConstant,
  combinedBounds,
  dividedBounds,
  greaterBounds,
  lesserBounds,
  minusBounds,
  packageBounds,
  plusBounds,
  roundedBounds,
  timesBounds,
} from './bounded-values';

const of = (value: number, off = 0): Bounded => ({ values: Float64Array.of(value), off: Float64Array.of(off) });
const first = ({ values, off }: Bounded) => ({ value: values[0] ?? NaN, off: off[0] ?? NaN });

describe('values with how far they may be off', () => {
  it('begins with what the nearest number leaves', () => {
    const { values, off } = bounded([decimal('0.1')], 2);
    expect([...values]).toEqual([0.1, 0]);
    expect(off[0]).toBeGreaterThanOrEqual(Math.abs(decimal(0.1).minus('0.1').toNumber()));
    expect(off[1]).toBe(0);
    expect([...boundedConstant(decimal('2.5'), 2).values]).toEqual([2.5, 2.5]);
  });

  it('adds up how far both may be off', () => {
    for (const combine of [plusBounds, minusBounds]) expect(first(combinedBounds(of(3, 0.5), of(1, 0.25), combine)).off).toBeCloseTo(0.75);
    expect(first(combinedBounds(of(3, 0.5), of(1, 0.25), minusBounds)).value).toBe(2);
  });

  it('holds every product and quotient of what the values may be', () => {
    for (const [combine, exact] of [
      [timesBounds, (a: number, b: number) => a * b],
      [dividedBounds, (a: number, b: number) => a / b],
    ] as const) {
      const { value, off } = first(combinedBounds(of(-6, 0.5), of(2, 0.25), combine));
      for (const a of [-6.5, -5.5]) for (const b of [1.75, 2.25]) expect(Math.abs(exact(a, b) - value)).toBeLessThanOrEqual(off);
    }
  });

  it('says nothing of a quotient by what may be nothing', () => {
    expect(first(combinedBounds(of(1), of(0.1, 0.1), dividedBounds)).off).toBe(Infinity);
  });

  it('takes the greater or the lesser with what may be off of either', () => {
    expect(first(combinedBounds(of(3, 0.1), of(5, 0.2), greaterBounds))).toEqual({ value: 5, off: 0.2 });
    expect(first(combinedBounds(of(3, 0.3), of(5, 0.2), lesserBounds))).toEqual({ value: 3, off: 0.3 });
  });
});

describe('steps', () => {
  it('counts packages where the quotient is clear of whole numbers', () => {
    expect(first(combinedBounds(of(31, 1e-14), of(10), packageBounds))).toEqual({ value: 4, off: 0 });
    expect(first(combinedBounds(of(0), of(10), packageBounds))).toEqual({ value: 0, off: 0 });
  });

  it('leaves a full package to exact arithmetic', () => {
    expect(first(combinedBounds(of(30), of(10), packageBounds)).off).toBe(Infinity);
  });

  const bands = [
    { upTo: 100, rate: 2, flat: 0 },
    { upTo: Infinity, rate: 1, flat: 0 },
  ];

  it('goes through the edge of graduated bands, where nothing jumps', () => {
    expect(first(bandBounds(of(150), bands, 'graduated')).value).toBe(250);
    const { value, off } = first(bandBounds(of(100, 1e-3), bands, 'graduated'));
    expect(value).toBe(200);
    expect(off).toBeGreaterThanOrEqual(2e-3);
    expect(off).toBeLessThan(3e-3);
  });

  it('leaves an edge to exact arithmetic where the amount jumps', () => {
    expect(first(bandBounds(of(100, 1e-9), bands, 'volume')).off).toBe(Infinity);
    expect(first(bandBounds(of(99, 1e-9), bands, 'volume'))).toMatchObject({ value: 198 });
    const withFlat = [bands[0], { upTo: Infinity, rate: 1, flat: 5 }].flatMap((band) => band ?? []);
    expect(first(bandBounds(of(100), withFlat, 'graduated')).off).toBe(Infinity);
    expect(first(bandBounds(of(101), withFlat, 'graduated')).value).toBe(206);
  });

  it('takes the first edge of a flat amount to be nothing', () => {
    const withFlat = [{ upTo: Infinity, rate: 1, flat: 5 }];
    expect(first(bandBounds(of(0), withFlat, 'graduated'))).toEqual({ value: 0, off: 0 });
    expect(first(bandBounds(of(0, 1e-30), withFlat, 'graduated')).off).toBe(Infinity);
    expect(first(bandBounds(of(0), withFlat, 'volume')).value).toBe(5);
  });
});

describe('rounding from values that may be off', () => {
  it.each([
    [12.341, 2, 1234],
    [12.346, 2, 1235],
    [-12.346, 2, -1235],
    [-0.004, 2, 0],
    [7.6, 0, 8],
    [1.2344, 3, 1234],
  ])('%d to %d places is %d units', (value, digits, units) => {
    expect(roundedBounds(of(value, 1e-12), digits)[0]).toBe(units);
  });

  it('says nothing within reach of a half', () => {
    expect(roundedBounds(of(0.125), 2)[0]).toBeNaN();
    expect(roundedBounds(of(1.005, 1e-16), 2)[0]).toBeNaN();
    expect(roundedBounds(of(0.12, 0.006), 2)[0]).toBeNaN();
    expect(roundedBounds(of(0.12, 0.004), 2)[0]).toBe(12);
  });

  it('says nothing of what is too much to be held exactly, or cannot be said', () => {
    expect(roundedBounds(of(2 ** 50), 0)[0]).toBeNaN();
    expect(roundedBounds(of(5, Infinity), 2)[0]).toBeNaN();
    expect(roundedBounds(of(NaN, Infinity), 2)[0]).toBeNaN();
  });
});
