/** A band of a compiled charge; the last one is open. */
export interface CompiledBand {
  readonly upTo: number;
  /** Per unit, in the charge's currency. */
  readonly rate: number;
  readonly flat: number;
}

/**
 * A charge in compiled form. In month m and at scale k it counts n = quantity[m] + growing[m] × k, allowances
 * already taken off, and comes to
 * - `beyond`: max(0, n) × rates[m]
 * - `steps`: ⌈max(0, n) / size⌉ × rates[m]
 * - `graduated`, `volume`: what the bands make of n,
 *
 * then within `monthlyMin` and `monthlyCap`, all months together within `totalCap`, times `weight`.
 */
export interface CompiledCharge {
  readonly how: 'beyond' | 'steps' | 'graduated' | 'volume';
  readonly quantity: Float64Array;
  readonly growing: Float64Array;
  readonly rates: Float64Array | null;
  readonly size: number;
  readonly bands: readonly CompiledBand[];
  readonly monthlyMin: number | null;
  readonly monthlyCap: number | null;
  readonly totalCap: number | null;
  /** From the charge's currency to base currency with tax; negative for a credit. */
  readonly weight: number;
}

/** A candidate in compiled form: what it costs at any scale, unrounded, in base currency. */
export interface CompiledCandidate {
  readonly id: string;
  /** What does not depend on sales, by month. */
  readonly fixed: Float64Array;
  readonly charges: readonly CompiledCharge[];
  /** The largest scale at which it is usable; 0 if it is at none (outgrown, a must not met, a price not known). */
  readonly usableUpTo: number;
}

/** Quantities a hair past a step or an edge stand on it: that much is the dust of floating point. */
const DUST = 1e-11;

/** What a charge comes to in a month at a scale, in its currency, before `totalCap`. */
export function amountAt(charge: CompiledCharge, month: number, scale: number): number {
  const n = (charge.quantity[month] ?? 0) + (charge.growing[month] ?? 0) * scale;
  let amount = rawAmount(charge, month, n);
  if (charge.monthlyMin !== null && amount < charge.monthlyMin) amount = charge.monthlyMin;
  if (charge.monthlyCap !== null && amount > charge.monthlyCap) amount = charge.monthlyCap;
  return amount;
}

/** How close to an edge floating point can no longer say on which side a quantity is, in parts of it. */
const EDGE = 1e-9;

/** Whether a charge's quantity in a month stands so close to a step or to a band's edge that exact arithmetic has to say. */
export function isNearEdge({ how, quantity, growing, size, bands }: CompiledCharge, month: number, scale: number): boolean {
  if (how === 'beyond' || (quantity[month] === 0 && growing[month] === 0)) return false;
  const n = (quantity[month] ?? 0) + (growing[month] ?? 0) * scale;
  if (how === 'steps') return Math.abs(n / size - Math.round(n / size)) <= EDGE * Math.max(1, Math.abs(n / size));
  return n <= EDGE || bands.some(({ upTo }) => upTo !== Infinity && Math.abs(n - upTo) <= EDGE * upTo);
}

/** What a charge comes to in every month at a scale, in its currency, within `totalCap`. */
export function amountsAt(charge: CompiledCharge, months: number, scale: number): Float64Array {
  let left = charge.totalCap ?? Infinity;
  return Float64Array.from({ length: months }, (_, month) => {
    const amount = Math.min(amountAt(charge, month, scale), left);
    left -= amount;
    return amount;
  });
}

function rawAmount(charge: CompiledCharge, month: number, n: number): number {
  const rate = charge.rates?.[month] ?? 0;
  switch (charge.how) {
    case 'beyond':
      return n > 0 ? n * rate : 0;
    case 'steps': {
      if (n <= 0) return 0;
      const steps = n / charge.size;
      return Math.ceil(steps - DUST * Math.max(1, steps)) * rate;
    }
    case 'graduated': {
      let amount = 0;
      let edge = 0;
      for (let index = 0; index < charge.bands.length; index++) {
        const band = charge.bands[index];
        if (!band || n <= edge + DUST * edge) break;
        amount += (Math.min(n, band.upTo) - edge) * band.rate + band.flat;
        edge = band.upTo;
      }
      return amount;
    }
    case 'volume': {
      for (let index = 0; index < charge.bands.length; index++) {
        const band = charge.bands[index];
        if (band && n <= band.upTo + DUST * band.upTo) return n * band.rate + band.flat;
      }
      return 0;
    }
  }
}

/** What a charge comes to in every month at a scale, in base currency, signed. */
function addMonths(charge: CompiledCharge, scale: number, months: Float64Array): void {
  amountsAt(charge, months.length, scale).forEach((amount, month) => {
    months[month] = (months[month] ?? 0) + amount * charge.weight;
  });
}

/** A candidate's cost by month at a scale, unrounded, in base currency. */
export function monthsAt(candidate: CompiledCandidate, scale: number): Float64Array {
  const months = Float64Array.from(candidate.fixed);
  for (const charge of candidate.charges) addMonths(charge, scale, months);
  return months;
}

/** What a charge comes to over all months at a scale, in base currency, signed. */
export function chargeTotalAt(charge: CompiledCharge, months: number, scale: number): number {
  const { totalCap, monthlyMin, monthlyCap, how, quantity, growing, rates, weight } = charge;
  let amounts = 0;
  if (how === 'beyond' && rates && monthlyMin === null && monthlyCap === null) {
    // Most charges are of this kind; maps and curves look at millions of them.
    for (let month = 0; month < months; month++) {
      const n = (quantity[month] ?? 0) + (growing[month] ?? 0) * scale;
      if (n > 0) amounts += n * (rates[month] ?? 0);
    }
  } else for (let month = 0; month < months; month++) amounts += amountAt(charge, month, scale);
  return (totalCap !== null && amounts > totalCap ? totalCap : amounts) * weight;
}

/** A candidate's total at a scale, unrounded, in base currency (decision file §8). */
export function totalAt(candidate: CompiledCandidate, scale: number): number {
  let total = 0;
  for (const amount of candidate.fixed) total += amount;
  for (const charge of candidate.charges) total += chargeTotalAt(charge, candidate.fixed.length, scale);
  return total;
}
