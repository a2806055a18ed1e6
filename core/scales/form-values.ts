import { type Form, increase, type NumberBand, soFar } from './level-form';

/** Quantities a hair past a step or an edge stand on it: that much floating point can be off. */
export const ROUNDING = 1e-11;

/** How close to an edge floating point can no longer say on which side a quantity is, in parts of it. */
const EDGE = 1e-9;

/** What a form comes to in every month at a scale. */
export function valuesAt(form: Form, months: number, scale: number): Float64Array {
  switch (form.is) {
    case 'line': {
      const { fixed, growing } = form;
      const values = fixed ? fixed.slice() : new Float64Array(months);
      if (growing) for (let month = 0; month < months; month++) values[month] = (values[month] ?? 0) + (growing[month] ?? 0) * scale;
      return values;
    }
    case 'sum': {
      const values = new Float64Array(months);
      for (const part of form.of) {
        const added = valuesAt(part, months, scale);
        for (let month = 0; month < months; month++) values[month] = (values[month] ?? 0) + (added[month] ?? 0);
      }
      return values;
    }
    case 'used-up':
      return usedUp(valuesAt(form.credit, months, scale), valuesAt(form.bills, months, scale));
    default:
      return overwritten(form, valuesAt(form.of, months, scale));
  }
}

type OfOne = Exclude<Form, { is: 'line' | 'sum' | 'used-up' }>;

/** Turns what is inside a form into what it comes to, in place where it can. */
function overwritten(form: OfOne, values: Float64Array): Float64Array {
  switch (form.is) {
    case 'scaled':
      for (let month = 0; month < values.length; month++) values[month] = (values[month] ?? 0) * (form.by[month] ?? 0);
      return values;
    case 'at-least':
      for (let month = 0; month < values.length; month++) values[month] = Math.max(values[month] ?? 0, form.bound[month] ?? 0);
      return values;
    case 'at-most':
      for (let month = 0; month < values.length; month++) values[month] = Math.min(values[month] ?? 0, form.bound[month] ?? 0);
      return values;
    case 'packages':
      for (let month = 0; month < values.length; month++) values[month] = packagesFor(values[month] ?? 0, form.size);
      return values;
    case 'bands': {
      const amount = form.how === 'graduated' ? graduatedAmount : volumeAmount;
      for (let month = 0; month < values.length; month++) values[month] = amount(form.bands, values[month] ?? 0);
      return values;
    }
    case 'so-far':
      return soFar(values);
    case 'increase':
      return increase(values);
  }
}

/** How many packages cover a quantity. */
export function packagesFor(quantity: number, size: number): number {
  if (quantity <= 0) return 0;
  const packages = quantity / size;
  return Math.ceil(packages - ROUNDING * Math.max(1, packages));
}

function graduatedAmount(bands: readonly NumberBand[], quantity: number): number {
  let amount = 0;
  let edge = 0;
  for (const { upTo, rate, flat } of bands) {
    if (quantity <= edge + ROUNDING * edge) break;
    amount += (Math.min(quantity, upTo) - edge) * rate + flat;
    edge = upTo;
  }
  return amount;
}

function volumeAmount(bands: readonly NumberBand[], quantity: number): number {
  for (const { upTo, rate, flat } of bands) if (quantity <= upTo + ROUNDING * upTo) return quantity * rate + flat;
  return 0;
}

/** What bands make of a quantity. */
export function bandAmount(
  { how, bands }: { readonly how: 'graduated' | 'volume'; readonly bands: readonly NumberBand[] },
  quantity: number,
): number {
  return how === 'graduated' ? graduatedAmount(bands, quantity) : volumeAmount(bands, quantity);
}

/** What of a balance bills use up: each month's bill is paid first, then that month's credit is added. */
export function usedUp(credits: Float64Array, bills: Float64Array): Float64Array {
  let balance = 0;
  return bills.map((bill, month) => {
    const used = Math.min(bill, balance);
    balance = balance - used + (credits[month] ?? 0);
    return used;
  });
}

/** What a form comes to over all months at a scale. */
export function sumAt(form: Form, months: number, scale: number): number {
  if (form.is === 'sum') return form.of.reduce((sum, part) => sum + sumAt(part, months, scale), 0);
  let sum = 0;
  if (form.is === 'line') {
    // Most are of this kind; maps and curves look at millions of them.
    const { fixed, growing } = form;
    if (fixed) for (let month = 0; month < months; month++) sum += fixed[month] ?? 0;
    let slope = 0;
    if (growing) for (let month = 0; month < months; month++) slope += growing[month] ?? 0;
    return sum + slope * scale;
  }
  const values = valuesAt(form, months, scale);
  for (let month = 0; month < months; month++) sum += values[month] ?? 0;
  return sum;
}

/** Whether some quantity in a form stands so close to a step or a band's edge that exact arithmetic has to say. */
export function isNearEdge(form: Form, months: number, scale: number): boolean {
  if (form.is === 'line') return false;
  if (form.is === 'sum') return form.of.some((part) => isNearEdge(part, months, scale));
  if (form.is === 'used-up') return isNearEdge(form.credit, months, scale) || isNearEdge(form.bills, months, scale);
  if (isNearEdge(form.of, months, scale)) return true;
  if (form.is !== 'packages' && form.is !== 'bands') return false;
  const quantities = valuesAt(form.of, months, scale);
  const isNear =
    form.is === 'packages'
      ? (quantity: number) => isNearStep(quantity / form.size)
      : (quantity: number) => isNearBand(form.bands, quantity);
  return quantities.some(isNear);
}

function isNearStep(packages: number): boolean {
  return packages !== 0 && Math.abs(packages - Math.round(packages)) <= EDGE * Math.max(1, Math.abs(packages));
}

function isNearBand(bands: readonly NumberBand[], quantity: number): boolean {
  if (quantity === 0) return false;
  return quantity <= EDGE || bands.some(({ upTo }) => upTo !== Infinity && Math.abs(quantity - upTo) <= EDGE * upTo);
}
