import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainValues, randomForm } from '../tests/random-form';
import { monthCurves, piecesIn } from './form-curves';
import type { Form } from './level-form';
import type { Piece } from './pieces';
import { piecesBetween, totalCurve } from './piecewise';

const [FROM, TO] = [0.3, 4.1];
const SCALES = Array.from({ length: 40 }, (_, index) => FROM + (TO - FROM) * ((index + 0.377) / 40));
const SPAN = { months: 3, from: FROM, to: TO };

function valueOn(pieces: readonly Piece[], scale: number): number {
  const piece = pieces.findLast(({ start }) => start <= scale);
  return piece ? piece.value + piece.slope * (scale - piece.start) : NaN;
}

const isClose = (a: number, b: number) => Math.abs(a - b) <= 1e-6 * (Math.abs(a) + 1);

describe('what a form is as a function of the scale', () => {
  it('runs where its definition says, month by month', () => {
    fc.assert(
      fc.property(randomForm, (form) => {
        const curves = monthCurves(form, 3, FROM, TO);
        const off = SCALES.filter((scale) => {
          const plain = plainValues(form, scale);
          return curves.some((pieces, month) => !isClose(valueOn(pieces, scale), plain[month] ?? NaN));
        });
        expect(off).toEqual([]);
        expect(curves.every((pieces) => pieces[0]?.start === FROM && pieces.every(({ start }) => start < TO))).toBe(true);
      }),
      { numRuns: 200 },
    );
  });

  it('added up for a candidate runs along its total, in no more pieces than foretold', () => {
    fc.assert(
      fc.property(fc.array(randomForm, { minLength: 1, maxLength: 3 }), fc.constantFrom(-1.5, 1), (forms, weight) => {
        const candidate = {
          id: 'A',
          fixed: Float64Array.from([4, 0, 2.5]),
          charges: forms.map((form) => ({ form, weight })),
          usableUpTo: Infinity,
        };
        const { starts, values, slopes } = totalCurve(candidate, FROM, TO);
        const pieces = [...starts].map((start, index) => ({ start, value: values[index] ?? NaN, slope: slopes[index] ?? NaN }));
        const off = SCALES.filter((scale) => {
          const charged = forms.flatMap((form) => plainValues(form, scale)).reduce((sum, value) => sum + value, 0);
          return !isClose(valueOn(pieces, scale), 6.5 + charged * weight);
        });
        expect(off).toEqual([]);
        expect(totalCurve(candidate, FROM, TO).starts).toBe(starts);
        expect(piecesBetween(candidate, FROM, TO)).toBeGreaterThan(0);
      }),
      { numRuns: 120 },
    );
  });
});

describe('a quantity on the edge of a band', () => {
  const bands = [
    { upTo: 14, rate: 1, flat: 0 },
    { upTo: Infinity, rate: 2, flat: 0 },
  ];
  const rising: Form = { is: 'line', fixed: Float64Array.from([4]), growing: Float64Array.from([10]) };
  const falling: Form = { is: 'line', fixed: Float64Array.from([24]), growing: Float64Array.from([-10]) };
  const curve = (of: Form, how: 'graduated' | 'volume') => monthCurves({ is: 'bands', of, how, bands }, 1, 1, 2)[0];

  it('is in the next band right away where it rises, and stays in its own where it falls', () => {
    expect(curve(rising, 'volume')).toEqual([{ start: 1, value: 28, slope: 20 }]);
    expect(curve(rising, 'graduated')).toEqual([{ start: 1, value: 14, slope: 20 }]);
    expect(curve(falling, 'volume')).toEqual([{ start: 1, value: 14, slope: -10 }]);
  });

  it('that is held there until it rises goes on by the next band', () => {
    const held: Form = {
      is: 'at-least',
      of: { is: 'line', fixed: null, growing: Float64Array.from([10]) },
      bound: Float64Array.from([14]),
    };
    expect(curve(held, 'graduated')).toEqual([
      { start: 1, value: 14, slope: 0 },
      { start: 1.4, value: 14, slope: 20 },
    ]);
  });
});

describe('how many pieces there may be', () => {
  const line: Form = { is: 'line', fixed: null, growing: Float64Array.from([10, 10, 10]) };
  const bands = [
    { upTo: 5, rate: 1, flat: 0 },
    { upTo: Infinity, rate: 2, flat: 0 },
  ];

  it('is told without making them', () => {
    expect(piecesIn(line, SPAN)).toBe(3);
    expect(piecesIn({ is: 'sum', of: [line, line] }, SPAN)).toBe(6);
    expect(piecesIn({ is: 'scaled', of: line, by: new Float64Array(3) }, SPAN)).toBe(3);
    // 38 more are counted at the upper end than at the lower one, in each of three months.
    expect(piecesIn({ is: 'packages', of: line, size: 2 }, SPAN)).toBeCloseTo(3 + 3 * 19, 9);
    expect(piecesIn({ is: 'bands', of: line, how: 'volume', bands }, SPAN)).toBe(3 + 3 * 2);
    expect(piecesIn({ is: 'so-far', of: line }, SPAN)).toBe(4.5);
    expect(piecesIn({ is: 'used-up', credit: line, bills: { is: 'sum', of: [line, line] } }, SPAN)).toBe(13.5);
    const charge = { form: line, weight: 1 };
    expect(piecesBetween({ id: 'A', fixed: new Float64Array(3), charges: [charge, charge], usableUpTo: 1 }, FROM, TO)).toBe(7);
  });
});
