import fc from 'fast-check';
import type { CompiledCandidate } from '../scales/compiled-candidate';
import type { Form, NumberBand } from '../scales/level-form';

const MONTHS = 3;
const amount = fc.integer({ min: -8, max: 40 });
const notLess = fc.integer({ min: 0, max: 40 });
const monthly = (of: fc.Arbitrary<number>) =>
  fc.array(of, { minLength: MONTHS, maxLength: MONTHS }).map((values) => Float64Array.from(values));

/** A line that is never below nothing, as quantities are. */
const quantity: fc.Arbitrary<Form> = fc.record({
  is: fc.constant('line' as const),
  fixed: fc.option(monthly(notLess), { nil: null }),
  growing: fc.option(monthly(notLess), { nil: null }),
});

const bands: fc.Arbitrary<NumberBand[]> = fc
  .array(
    fc.record({ width: fc.integer({ min: 1, max: 30 }), rate: fc.integer({ min: 0, max: 4 }), flat: fc.integer({ min: 0, max: 9 }) }),
    {
      minLength: 1,
      maxLength: 4,
    },
  )
  .map((parts) => {
    let edge = 0;
    return parts.map(({ width, rate, flat }, index) => {
      edge += width;
      return { upTo: index === parts.length - 1 ? Infinity : edge, rate, flat };
    });
  });

/** What counts a quantity: packages, bands, or the quantity itself; never below nothing. */
const counted: fc.Arbitrary<Form> = fc.oneof(
  quantity,
  fc.record({ is: fc.constant('packages' as const), of: quantity, size: fc.integer({ min: 2, max: 25 }) }),
  fc.record({ is: fc.constant('bands' as const), of: quantity, how: fc.constantFrom('graduated' as const, 'volume' as const), bands }),
);

/** Forms of every kind, over three months. */
export const randomForm: fc.Arbitrary<Form> = fc.letrec<{ form: Form }>((tie) => ({
  form: fc.oneof(
    { maxDepth: 3, depthIdentifier: 'form' },
    counted,
    fc.record({ is: fc.constant('sum' as const), of: fc.array(tie('form'), { minLength: 1, maxLength: 3 }) }),
    fc.record({ is: fc.constant('scaled' as const), of: tie('form'), by: monthly(fc.constantFrom(-2, 0, 0.5, 1, 3)) }),
    fc.record({ is: fc.constant('scaled' as const), of: tie('form'), by: amount.map((factor) => new Float64Array(MONTHS).fill(factor)) }),
    fc.record({ is: fc.constantFrom('at-least' as const, 'at-most' as const), of: tie('form'), bound: monthly(amount) }),
    fc.record({ is: fc.constantFrom('so-far' as const, 'increase' as const), of: tie('form') }),
    fc.record({ is: fc.constant('used-up' as const), credit: counted, bills: counted }),
  ),
})).form;

/** A candidate whose charges have random forms; usable up to some scale or for ever. */
export const randomCompiled = (id: string): fc.Arbitrary<CompiledCandidate> =>
  fc.record({
    id: fc.constant(id),
    fixed: monthly(amount),
    charges: fc.array(fc.record({ form: randomForm, weight: fc.constantFrom(-1, 0.5, 1, 1.19) }), { minLength: 1, maxLength: 3 }),
    usableUpTo: fc.constantFrom(Infinity, Infinity, 0, 0.4, 2.6),
  });

/**
 * What a form comes to in every month at a scale, as its definition says: a second, plain writing of `valuesAt`, that a
 * hair of floating point does not matter to as long as the scale stands on no edge.
 */
export function plainValues(form: Form, scale: number): number[] {
  const months = [0, 1, 2];
  switch (form.is) {
    case 'line':
      return months.map((month) => (form.fixed?.[month] ?? 0) + (form.growing?.[month] ?? 0) * scale);
    case 'sum':
      return months.map((month) => form.of.reduce((sum, part) => sum + (plainValues(part, scale)[month] ?? NaN), 0));
    case 'used-up': {
      const [credits, bills] = [plainValues(form.credit, scale), plainValues(form.bills, scale)];
      let balance = 0;
      return months.map((month) => {
        const used = Math.min(balance, bills[month] ?? NaN);
        balance += (credits[month] ?? NaN) - used;
        return used;
      });
    }
    default: {
      const of = plainValues(form.of, scale);
      return months.map((month) => plainOuter(form, of, month));
    }
  }
}

function plainOuter(form: Exclude<Form, { is: 'line' | 'sum' | 'used-up' }>, of: readonly number[], month: number): number {
  const value = of[month] ?? NaN;
  switch (form.is) {
    case 'scaled':
      return value * (form.by[month] ?? NaN);
    case 'at-least':
      return Math.max(value, form.bound[month] ?? NaN);
    case 'at-most':
      return Math.min(value, form.bound[month] ?? NaN);
    case 'packages':
      return value <= 0 ? 0 : Math.ceil(value / form.size);
    case 'so-far':
      return of.slice(0, month + 1).reduce((sum, one) => sum + one, 0);
    case 'increase':
      return month === 0 ? value : value - (of[month - 1] ?? NaN);
    case 'bands':
      return form.how === 'volume' ? plainVolume(form.bands, value) : plainGraduated(form.bands, value);
  }
}

function plainVolume(of: readonly NumberBand[], value: number): number {
  const band = of.find(({ upTo }) => value <= upTo);
  return band ? value * band.rate + band.flat : NaN;
}

function plainGraduated(of: readonly NumberBand[], value: number): number {
  return of.reduce((sum, { upTo, rate, flat }, index) => {
    const lower = of[index - 1]?.upTo ?? 0;
    return value <= lower ? sum : sum + (Math.min(value, upTo) - lower) * rate + flat;
  }, 0);
}
