import { addSum, type Changes, piecesIn } from './form-curves';
import type { CompiledCandidate } from './compiled-candidate';
import { SAME_PLACE } from './pieces';

/**
 * A piecewise linear function of the scale on an interval, with jumps. Piece i runs from starts[i] to the next
 * start (the last one to the interval's end); just right of its start it has values[i] and then rises by slopes[i].
 */
export interface Piecewise {
  readonly starts: Float64Array;
  readonly values: Float64Array;
  readonly slopes: Float64Array;
  readonly to: number;
}

const curves = new WeakMap<CompiledCandidate, Map<string, Piecewise>>();

/**
 * The unrounded total of a candidate as a function of the scale; worked out once for a candidate and interval.
 *
 * @param from - lower end of the interval, above 0
 * @param to - upper end
 */
export function totalCurve(candidate: CompiledCandidate, from: number, to: number): Piecewise {
  const known = curves.get(candidate) ?? new Map<string, Piecewise>();
  curves.set(candidate, known);
  const key = `${from} ${to}`;
  const curve = known.get(key) ?? newCurve(candidate, from, to);
  known.set(key, curve);
  return curve;
}

function newCurve({ fixed, charges }: CompiledCandidate, from: number, to: number): Piecewise {
  const changes: Changes = { value: 0, slope: 0, at: [], values: [], slopes: [] };
  for (const amount of fixed) changes.value += amount;
  for (const { form, weight } of charges) addSum(changes, form, { months: fixed.length, from, to }, weight);
  return added(changes, from, to);
}

/** Adds the changes up from the lower end; those at the same place are one. */
function added({ value, slope, at, values, slopes }: Changes, from: number, to: number): Piecewise {
  const order = at.map((_, index) => index).sort((a, b) => (at[a] ?? 0) - (at[b] ?? 0));
  const curve = {
    starts: new Float64Array(order.length + 1),
    values: new Float64Array(order.length + 1),
    slopes: new Float64Array(order.length + 1),
  };
  curve.starts[0] = from;
  curve.values[0] = value;
  curve.slopes[0] = slope;
  let last = 0;
  let start = from;
  let here = value;
  let rise = slope;
  for (const index of order) {
    const place = at[index] ?? 0;
    const isSame = last > 0 && place - start <= SAME_PLACE * place;
    if (!isSame) {
      here += rise * (place - start);
      start = place;
      last++;
    }
    here += values[index] ?? 0;
    rise += slopes[index] ?? 0;
    curve.starts[last] = start;
    curve.values[last] = here;
    curve.slopes[last] = rise;
  }
  const count = last + 1;
  return { starts: curve.starts.subarray(0, count), values: curve.values.subarray(0, count), slopes: curve.slopes.subarray(0, count), to };
}

/** How many pieces the curve of a candidate has between two scales, at most. */
export function piecesBetween({ charges, fixed }: CompiledCandidate, from: number, to: number): number {
  return charges.reduce((sum, { form }) => sum + piecesIn(form, { months: fixed.length, from, to }), 1);
}
