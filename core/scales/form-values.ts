import { type Form, increase, type Line, type NumberBand, soFar } from './level-form';

/** Quantities a hair past a step or an edge stand on it: that much floating point can be off. */
export const ROUNDING = 1e-11;

/** How close to an edge floating point can no longer say on which side a quantity is, in parts of it. */
const EDGE = 1e-9;

/** What a form comes to in every month at a scale. */
export function valuesAt(form: Form, months: number, scale: number): Float64Array {
  const values = new Float64Array(months);
  fill(form, values, scale, 0);
  return values;
}

/** Rooms for what is inside a form, by depth: maps and curves look at millions of forms, and make nothing new for each. */
const rooms: Float64Array[] = [];

function roomAt(depth: number, months: number): Float64Array {
  const found = rooms[depth];
  if (found?.length === months) return found;
  return (rooms[depth] = new Float64Array(months));
}

/** @param depth - of the rooms that may be used */
function fill(form: Form, into: Float64Array, scale: number, depth: number): void {
  switch (form.is) {
    case 'line':
      return fillLine(form, into, scale);
    case 'sum': {
      const [first, ...others] = form.of;
      if (!first) return void into.fill(0);
      fill(first, into, scale, depth);
      const room = roomAt(depth, into.length);
      for (const part of others) {
        fill(part, room, scale, depth + 1);
        for (let month = 0; month < into.length; month++) into[month] = (into[month] ?? 0) + (room[month] ?? 0);
      }
      return;
    }
    case 'used-up': {
      const credits = roomAt(depth, into.length);
      fill(form.credit, credits, scale, depth + 1);
      fill(form.bills, into, scale, depth + 1);
      return useUp(credits, into);
    }
    default:
      fill(form.of, into, scale, depth);
      overwrite(form, into);
  }
}

function fillLine({ fixed, growing }: Line, into: Float64Array, scale: number): void {
  if (fixed) into.set(fixed);
  else into.fill(0);
  if (growing) for (let month = 0; month < into.length; month++) into[month] = (into[month] ?? 0) + (growing[month] ?? 0) * scale;
}

type OfOne = Exclude<Form, { is: 'line' | 'sum' | 'used-up' }>;

/** Turns what is inside a form into what it comes to. */
function overwrite(form: OfOne, values: Float64Array): void {
  const months = values.length;
  switch (form.is) {
    case 'scaled':
      for (let month = 0; month < months; month++) values[month] = (values[month] ?? 0) * (form.by[month] ?? 0);
      return;
    case 'at-least':
      for (let month = 0; month < months; month++) values[month] = Math.max(values[month] ?? 0, form.bound[month] ?? 0);
      return;
    case 'at-most':
      for (let month = 0; month < months; month++) values[month] = Math.min(values[month] ?? 0, form.bound[month] ?? 0);
      return;
    case 'packages':
      for (let month = 0; month < months; month++) values[month] = packagesFor(values[month] ?? 0, form.size);
      return;
    case 'bands':
      for (let month = 0; month < months; month++) values[month] = bandAmount(form, values[month] ?? 0);
      return;
    case 'so-far':
      return values.set(soFar(values));
    case 'increase':
      return values.set(increase(values));
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
  // Millions of quantities are looked at: counting along is much quicker than going through a list.
  for (let at = 0; at < bands.length; at++) {
    const band = bands[at];
    if (!band || quantity <= edge + ROUNDING * edge) break;
    amount += (Math.min(quantity, band.upTo) - edge) * band.rate + band.flat;
    edge = band.upTo;
  }
  return amount;
}

function volumeAmount(bands: readonly NumberBand[], quantity: number): number {
  for (let at = 0; at < bands.length; at++) {
    const band = bands[at];
    if (band && quantity <= band.upTo + ROUNDING * band.upTo) return quantity * band.rate + band.flat;
  }
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
  const used = bills.slice();
  useUp(credits, used);
  return used;
}

/** Turns bills into what of them is used up. */
function useUp(credits: Float64Array, bills: Float64Array): void {
  let balance = 0;
  for (let month = 0; month < bills.length; month++) {
    const used = Math.min(bills[month] ?? 0, balance);
    balance = balance - used + (credits[month] ?? 0);
    bills[month] = used;
  }
}

/** What a form comes to over all months at a scale; maps and curves look at millions of them. */
export function sumAt(form: Form, months: number, scale: number): number {
  let sum = 0;
  switch (form.is) {
    case 'line': {
      const { fixed, growing } = form;
      if (fixed) for (let month = 0; month < months; month++) sum += fixed[month] ?? 0;
      let slope = 0;
      if (growing) for (let month = 0; month < months; month++) slope += growing[month] ?? 0;
      return sum + slope * scale;
    }
    case 'sum':
      for (const part of form.of) sum += sumAt(part, months, scale);
      return sum;
    case 'increase':
      // All that something grew by is what it has come to in the end.
      return endAt(form.of, months, scale);
    default: {
      const values = roomAt(0, months);
      fill(form, values, scale, 1);
      for (let month = 0; month < months; month++) sum += values[month] ?? 0;
      return sum;
    }
  }
}

/** What a form has come to in the last month. */
function endAt(form: Form, months: number, scale: number): number {
  switch (form.is) {
    case 'so-far':
      return sumAt(form.of, months, scale);
    case 'at-least':
      return Math.max(endAt(form.of, months, scale), form.bound[months - 1] ?? 0);
    case 'at-most':
      return Math.min(endAt(form.of, months, scale), form.bound[months - 1] ?? 0);
    case 'packages':
      return packagesFor(endAt(form.of, months, scale), form.size);
    default:
      return valuesAt(form, months, scale)[months - 1] ?? 0;
  }
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
