import { type Decimal, ONE, sum } from '../amount/decimal';
import type { Pricing } from '../pricing/pricing';
import { type ChargeMonths, chargeMonths, fillMonths, type Level, statedLevel } from './charge-months';
import type { CompiledCandidate, CompiledCharge } from './compiled-candidate';
import { type PreparedCandidate, prepareCandidates, type PreparedCharge, type PreparedLimit } from './prepare';

/** Quantities a hair past a limit stand on it: that much is the dust of floating point. */
const DUST = 1e-11;

/**
 * Compiles every candidate of a decision into a floating-point form from which its unrounded total follows at any
 * scale (decision file §2, scale; §8), held to the exact ledger by property tests.
 *
 * Every quantity is, in each month, a fixed part plus a part that grows with the scale; what a charge makes of it
 * is piecewise linear in the scale, with jumps. A charge that several candidates have exactly alike is compiled
 * once, so that it can be told to be the same.
 */
export function compileCandidates(pricing: Pricing): CompiledCandidate[] {
  return compileAt(pricing, prepareCandidates(pricing), statedLevel(pricing));
}

/** Compiles candidates that were read before, at another level than the decision file states. */
export function compileAt(pricing: Pick<Pricing, 'file'>, candidates: readonly PreparedCandidate[], level: Level): CompiledCandidate[] {
  const compiled = new Map<PreparedCharge, CompiledCharge>();
  const plain = (prepared: PreparedCharge) => {
    const found = compiled.get(prepared) ?? compileCharge(prepared, level);
    compiled.set(prepared, found);
    return found;
  };
  return candidates.map((prepared) => ({
    id: prepared.id,
    fixed: fixedMonths(pricing, prepared, level),
    charges: prepared.charges.map((charge) => (prepared.lift === 1 ? plain(charge) : lifted(plain(charge), prepared.lift))),
    usableUpTo: prepared.canBeChosen ? largestUsableScale(prepared, level, plain) : 0,
  }));
}

function compileCharge(prepared: PreparedCharge, level: Level): CompiledCharge {
  const months: ChargeMonths = chargeMonths(prepared, level.forecast.months);
  fillMonths(months, prepared, level);
  return months;
}

function lifted(charge: CompiledCharge, lift: number): CompiledCharge {
  return { ...charge, growing: charge.growing.map((value) => value * lift) };
}

/** What does not depend on sales, by month, unrounded, in base currency, with tax: payments and own time. */
function fixedMonths({ file }: Pick<Pricing, 'file'>, { payments, hours }: PreparedCandidate, level: Level): Float64Array {
  const horizon = file.months;
  const months = new Float64Array(horizon).fill(hours.monthly * level.hourValue);
  months[0] = (months[0] ?? 0) + hours.setup * level.hourValue;
  for (const { month, covers, charged, currency, taxExcluded } of payments) {
    const amount = charged * level.rate(currency) * (taxExcluded ? level.tax : 1);
    if (file.basis !== 'spread') {
      months[month] = (months[month] ?? 0) + amount;
      continue;
    }
    const length = covers === 0 ? horizon - month : covers;
    for (let part = month; part < Math.min(month + length, horizon); part++) months[part] = (months[part] ?? 0) + amount / length;
  }
  return months;
}

/** The largest scale at which no limit is exceeded; 0 if one is at every scale, Infinity if none ever is. */
export function largestUsableScale(
  { limits, lift }: PreparedCandidate,
  level: Level,
  compiledCharge: (charge: PreparedCharge) => CompiledCharge,
): number {
  let largest = Infinity;
  for (const limit of limits) {
    const { fixed, growing } = limitedMonths(limit, level, compiledCharge);
    const most = limit.most * (1 + DUST);
    for (const amount of fixed ?? []) if (amount > most) return 0;
    for (const amount of growing ?? []) if (amount > 0) largest = Math.min(largest, most / (amount * lift));
  }
  return largest;
}

/** What a limit counts by month: a part that stays, or one that grows with the scale. */
function limitedMonths(
  { quantity, charge, currency }: PreparedLimit,
  { forecast, rate }: Level,
  compiledCharge: (charge: PreparedCharge) => CompiledCharge,
): { fixed?: Float64Array; growing?: Float64Array } {
  if (charge) {
    const { quantity: fixed, growing } = compiledCharge(charge);
    return { fixed, growing };
  }
  if (quantity === 'orders') return { growing: forecast.orders };
  if (quantity === 'sales') return { growing: forecast.sales.map((sales) => sales / rate(currency)) };
  const counted = forecast.quantities.get(quantity);
  if (!counted) return {};
  return forecast.scaled.has(quantity) ? { growing: counted } : { fixed: counted };
}

/** Average monthly sales without any lift, unrounded, in base currency. */
export function averageMonthlySales(pricing: Pricing): Decimal {
  return sum(pricing.forecastAt(ONE).sales).div(pricing.file.months);
}
