import { bandAmount, packagesFor, sumAt } from './form-values';
import type { BandForm, Form } from './level-form';

/** The least and the most that a form can be in each month anywhere between two scales. */
export interface Range {
  readonly low: Float64Array;
  readonly high: Float64Array;
}

/** Bounds of a form between two scales, by month; never too narrow. */
export function rangeOf(form: Form, months: number, from: number, to: number): Range {
  switch (form.is) {
    case 'line': {
      const [low, high] = [new Float64Array(months), new Float64Array(months)];
      for (let month = 0; month < months; month++) {
        const fixed = form.fixed?.[month] ?? 0;
        const growing = form.growing?.[month] ?? 0;
        low[month] = fixed + growing * (growing < 0 ? to : from);
        high[month] = fixed + growing * (growing < 0 ? from : to);
      }
      return { low, high };
    }
    case 'sum': {
      const parts = form.of.map((part) => rangeOf(part, months, from, to));
      const added = (side: 'low' | 'high') =>
        Float64Array.from({ length: months }, (_, month) => parts.reduce((sum, part) => sum + (part[side][month] ?? 0), 0));
      return { low: added('low'), high: added('high') };
    }
    case 'used-up':
      return usedUpRange(rangeOf(form.credit, months, from, to), rangeOf(form.bills, months, from, to));
    default:
      return outerRange(form, rangeOf(form.of, months, from, to));
  }
}

function outerRange(form: Exclude<Form, { is: 'line' | 'sum' | 'used-up' }>, { low, high }: Range): Range {
  const both = (change: (value: number, month: number) => number): Range => ({ low: low.map(change), high: high.map(change) });
  switch (form.is) {
    case 'scaled': {
      const times = (values: Float64Array, others: Float64Array) =>
        values.map((value, month) => ((form.by[month] ?? 0) < 0 ? (others[month] ?? 0) : value) * (form.by[month] ?? 0));
      return { low: times(low, high), high: times(high, low) };
    }
    case 'at-least':
      return both((value, month) => Math.max(value, form.bound[month] ?? 0));
    case 'at-most':
      return both((value, month) => Math.min(value, form.bound[month] ?? 0));
    case 'packages':
      return both((value) => packagesFor(value, form.size));
    case 'bands':
      return bandRange(form, { low, high });
    case 'so-far': {
      const added = (values: Float64Array) => {
        let sum = 0;
        return values.map((value) => (sum += value));
      };
      return { low: added(low), high: added(high) };
    }
    case 'increase': {
      const less = (values: Float64Array, others: Float64Array) =>
        values.map((value, month) => value - (month === 0 ? 0 : (others[month - 1] ?? 0)));
      return { low: less(low, high), high: less(high, low) };
    }
  }
}

/** Volume bands may fall at an edge, so the ends of each band are looked at. */
function bandRange(form: BandForm, { low, high }: Range): Range {
  const [least, most] = [new Float64Array(low.length), new Float64Array(low.length)];
  for (let month = 0; month < low.length; month++) {
    const from = low[month] ?? 0;
    const to = high[month] ?? 0;
    const first = bandAmount(form, from);
    const last = to === from ? first : bandAmount(form, to);
    let lowest = Math.min(first, last);
    let highest = Math.max(first, last);
    for (const { upTo } of form.bands) {
      if (!(upTo > from && upTo < to)) continue;
      const before = bandAmount(form, upTo);
      const behind = bandAmount(form, upTo * (1 + 1e-9));
      lowest = Math.min(lowest, before, behind);
      highest = Math.max(highest, before, behind);
    }
    least[month] = lowest;
    most[month] = highest;
  }
  return { low: least, high: most };
}

/** What is used up in all is the more the more there is; what is used up in one month lies between what that leaves. */
function usedUpRange(credit: Range, bills: Range): Range {
  const months = credit.low.length;
  const [low, high] = [new Float64Array(months), new Float64Array(months)];
  let [creditLow, creditHigh, usedLow, usedHigh] = [0, 0, 0, 0];
  for (let month = 0; month < months; month++) {
    const nextLow = Math.min(usedLow + (bills.low[month] ?? 0), creditLow);
    const nextHigh = Math.min(usedHigh + (bills.high[month] ?? 0), creditHigh);
    low[month] = Math.max(0, nextLow - usedHigh);
    high[month] = Math.min(bills.high[month] ?? 0, Math.max(0, nextHigh - usedLow));
    [usedLow, usedHigh] = [Math.max(usedLow, nextLow), Math.max(usedHigh, nextHigh)];
    creditLow += credit.low[month] ?? 0;
    creditHigh += credit.high[month] ?? 0;
  }
  return { low, high };
}

/** Bounds of a form over all months together; what runs over the months is looked at where it ends. */
export function sumRange(form: Form, months: number, from: number, to: number): [low: number, high: number] {
  // Most forms only rise with the scale: their ends bound them.
  if (isRising(form)) return [endSum(form, months, from), endSum(form, months, to)];
  if (form.is === 'increase') {
    const { low, high } = rangeOf(form.of, months, from, to);
    return [low[months - 1] ?? 0, high[months - 1] ?? 0];
  }
  const factor = form.is === 'scaled' ? sameInAll(form.by) : null;
  if (form.is === 'scaled' && factor !== null) {
    const [low, high] = sumRange(form.of, months, from, to);
    return factor < 0 ? [high * factor, low * factor] : [low * factor, high * factor];
  }
  const { low, high } = rangeOf(form, months, from, to);
  return [low.reduce((sum, value) => sum + value, 0), high.reduce((sum, value) => sum + value, 0)];
}

interface EndSum {
  readonly months: number;
  readonly scale: number;
  readonly sum: number;
}

/** Where one stretch ends, the next begins: the sum there is kept. */
const lastEnd = new WeakMap<Form, EndSum>();

function endSum(form: Form, months: number, scale: number): number {
  const last = lastEnd.get(form);
  if (last && last.scale === scale && last.months === months) return last.sum;
  const sum = sumAt(form, months, scale);
  lastEnd.set(form, { months, scale, sum });
  return sum;
}

const rising = new WeakMap<Form, boolean>();

/** Whether a form is nowhere less at a larger scale. */
function isRising(form: Form): boolean {
  const found = rising.get(form) ?? risesBy(form);
  rising.set(form, found);
  return found;
}

function risesBy(form: Form): boolean {
  switch (form.is) {
    case 'line':
      return form.growing === null || form.growing.every((growing) => growing >= 0);
    case 'sum':
      return form.of.every(isRising);
    case 'scaled':
      return form.by.every((factor) => factor >= 0) && isRising(form.of);
    case 'bands':
      return form.how === 'graduated' && isRising(form.of);
    case 'increase':
    case 'used-up':
      return false;
    default:
      return isRising(form.of);
  }
}

/** The value that is the same in all months; null if they differ. */
export function sameInAll(values: Float64Array): number | null {
  const [first = 0] = values;
  return values.every((value) => value === first) ? first : null;
}
