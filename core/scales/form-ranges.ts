import { bandAmount, packagesFor } from './form-values';
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
    const [from, to] = [low[month] ?? 0, high[month] ?? 0];
    const amounts = [bandAmount(form, from), bandAmount(form, to)];
    for (const { upTo } of form.bands)
      if (upTo > from && upTo < to) amounts.push(bandAmount(form, upTo), bandAmount(form, upTo * (1 + 1e-9)));
    least[month] = Math.min(...amounts);
    most[month] = Math.max(...amounts);
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

/** The value that is the same in all months; null if they differ. */
export function sameInAll(values: Float64Array): number | null {
  const [first = 0] = values;
  return values.every((value) => value === first) ? first : null;
}
