import { type Decimal, decimal, fraction, ONE, sum, ZERO } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Band, Charge } from '../decision-file/price-sheet-schema';
import type { MonthlyForecast } from '../forecast/forecast';
import { scaledQuantities } from '../forecast/scaled-quantities';
import { candidateCharges } from '../pricing/candidate-charges';
import { isChargeNotKnown, perOrderFees } from '../pricing/charge-amount';
import { allowance, type ChargeBasis, chargeBasis, chargeQuantities, type CountedMonths, countedMonths, isReturned, unitRate } from '../pricing/charge-quantity';
import { unknownPrices } from '../pricing/ledger';
import { limitedQuantities } from '../pricing/limits';
import { unmetMusts } from '../pricing/needs';
import { paymentSchedule } from '../pricing/payment-schedule';
import { liftScale, type Pricing } from '../pricing/pricing';
import { processingOf } from '../pricing/processing';
import type { CompiledBand, CompiledCandidate, CompiledCharge } from './compiled-candidate';

/**
 * Compiles a candidate into a floating-point form from which its unrounded total follows at any scale
 * (decision file §2, scale; §8), held to the exact ledger by property tests.
 *
 * Every quantity is, in each month, a fixed part plus a part that grows with the scale; what a charge makes of it
 * is piecewise linear in the scale, with jumps.
 */
export function compileCandidate(pricing: Pricing, candidate: Candidate): CompiledCandidate {
  const processing = processingOf(candidate);
  const forecast = pricing.forecastAt(liftScale(candidate));
  const charges = candidateCharges(pricing, candidate, processing)
    .filter(({ charge }) => !isChargeNotKnown(charge))
    .map(({ charge, owner }) => {
      const basis = chargeBasis(charge, owner, processing, forecast, pricing.rate(owner.currency));
      return compiledOnce(basis, () => compileCharge(pricing, basis, owner.taxExcluded));
    });
  const { missing, unclear } = unmetMusts(pricing, candidate);
  const isCandidate = missing.length === 0 && unclear.length === 0 && unknownPrices(pricing, candidate).length === 0;
  return {
    id: candidate.id,
    fixed: fixedMonths(pricing, candidate),
    charges,
    usableUpTo: isCandidate ? largestUsableScale(pricing, candidate) : 0,
  };
}

/** A charge that several candidates have exactly alike is compiled once, so that it can be told to be the same. */
const compiledCharges = new WeakMap<MonthlyForecast, Map<string, CompiledCharge>>();

function compiledOnce({ charge, forecast, counted }: ChargeBasis, compile: () => CompiledCharge): CompiledCharge {
  const key = `${charge.id} ${counted.map((stream) => `${stream.forecast.stream.id} ${stream.share.toString()}`).join(' ')}`;
  const ofForecast = compiledCharges.get(forecast) ?? new Map<string, CompiledCharge>();
  compiledCharges.set(forecast, ofForecast);
  const compiled = ofForecast.get(key) ?? compile();
  ofForecast.set(key, compiled);
  return compiled;
}

/** What does not depend on sales, by month, unrounded, in base currency, with tax: payments and own time. */
function fixedMonths(pricing: Pricing, candidate: Candidate): Float64Array {
  const { file } = pricing;
  const horizon = file.months;
  const months = new Float64Array(horizon);
  const tax = 1 + fraction(file.feeTax ?? '0').toNumber();
  for (const { month, covers, charged, currency, taxExcluded } of paymentSchedule(pricing, candidate)) {
    const amount = charged.times(pricing.rate(currency)).toNumber() * (taxExcluded ? tax : 1);
    if (file.basis !== 'spread') {
      months[month] = (months[month] ?? 0) + amount;
      continue;
    }
    const length = covers === 0 ? horizon - month : covers;
    for (let part = month; part < Math.min(month + length, horizon); part++) months[part] = (months[part] ?? 0) + amount / length;
  }
  const worth = decimal(file.hourValue ?? '0');
  const setup = worth.times(candidate.hours?.setup ?? '0').toNumber();
  const monthly = worth.times(candidate.hours?.monthly ?? '0').toNumber();
  for (let month = 0; month < horizon; month++) months[month] = (months[month] ?? 0) + monthly + (month === 0 ? setup : 0);
  return months;
}

function compileCharge(pricing: Pricing, basis: ChargeBasis, taxExcluded: boolean): CompiledCharge {
  const { charge, rate } = basis;
  const tax = taxExcluded ? ONE.plus(fraction(pricing.file.feeTax ?? '0')) : ONE;
  const weight = rate.times(tax).times(charge.credit ? -1 : 1).toNumber();
  return {
    weight,
    monthlyMin: charge.monthlyMin == null ? null : Number(charge.monthlyMin),
    monthlyCap: charge.monthlyCap == null ? null : Number(charge.monthlyCap),
    totalCap: charge.totalCap == null ? null : Number(charge.totalCap),
    ...compileKind(pricing, basis),
  };
}

type Kind = Pick<CompiledCharge, 'how' | 'quantity' | 'growing' | 'rates' | 'size' | 'bands'>;

function compileKind(pricing: Pricing, basis: ChargeBasis): Kind {
  const { charge } = basis;
  const none = { rates: null, size: 1, bands: [] };
  if (charge.how === 'per-order') return { ...none, how: 'beyond', ...perOrderParts(pricing, basis, charge) };
  const isScaled = scaledQuantities(pricing.file.forecast).has(charge.on ?? 'orders');
  const quantities = numbers(chargeQuantities(basis), pricing.file.months);
  const parts = isScaled ? { quantity: zeros(pricing), growing: quantities } : { quantity: quantities, growing: zeros(pricing) };
  switch (charge.how) {
    case 'per-unit':
      return { ...none, how: 'beyond', ...withoutAllowance(pricing, basis, charge, parts), rates: constant(pricing, unitRate(charge)) };
    case 'package':
      return { how: 'steps', ...withoutAllowance(pricing, basis, charge, parts), rates: constant(pricing, decimal(charge.each ?? '0')), size: Number(charge.size ?? '1'), bands: [] };
    case 'graduated':
    case 'volume':
      return { ...none, how: charge.how, ...parts, bands: charge.bands.map(compileBand) };
  }
}

interface Parts {
  readonly quantity: Float64Array;
  readonly growing: Float64Array;
}

/** Σ orders × fee × (q − free)/q is the average fee of a month × what lies beyond the allowance. */
function perOrderParts(pricing: Pricing, basis: ChargeBasis, charge: PerOrder): Parts & { rates: Float64Array } {
  const { months } = pricing.file;
  const counted = countedMonths(basis, isReturned(charge));
  const growing = numbers(counted.orders, months);
  const fees = charge.least == null && charge.most == null ? plainFees(basis, charge, counted, months) : numbers(perOrderFees(basis, charge), months);
  const rates = growing.map((count, month) => (count === 0 ? 0 : (fees[month] ?? 0) / count));
  return { ...withoutAllowance(pricing, basis, charge, { quantity: zeros(pricing), growing }), rates };
}

type PerOrder = Extract<Charge, { how: 'per-order' }>;

/** Fees without bounds on the single fee: sales × percent + orders × each, in the charge's currency. */
function plainFees(basis: ChargeBasis, charge: PerOrder, counted: CountedMonths, months: number): Float64Array {
  const percent = Number(charge.percent ?? '0') / 100 / basis.rate.toNumber();
  const each = Number(charge.each ?? '0');
  const orders = numbers(counted.orders, months);
  return numbers(counted.sales, months).map((sales, month) => sales * percent + (orders[month] ?? 0) * each);
}

function withoutAllowance(pricing: Pricing, basis: ChargeBasis, { free }: Extract<Charge, { how: 'per-order' | 'per-unit' | 'package' }>, parts: Parts): Parts {
  if (free == null) return parts;
  const included = allowance(basis, free);
  const amounts = Float64Array.from({ length: pricing.file.months }, (_, month) => included(month).toNumber());
  const isScaled = typeof free === 'object' && scaledQuantities(pricing.file.forecast).has(free.per);
  const minus = (from: Float64Array) => from.map((value, month) => value - (amounts[month] ?? 0));
  return isScaled ? { ...parts, growing: minus(parts.growing) } : { ...parts, quantity: minus(parts.quantity) };
}

function compileBand(band: Band, index: number, all: readonly Band[]): CompiledBand {
  const isLast = index === all.length - 1;
  return {
    upTo: band.upTo === null || isLast ? Infinity : Number(band.upTo),
    rate: unitRate(band).toNumber(),
    flat: Number(band.flat ?? '0'),
  };
}

/** The largest scale at which no limit is exceeded; 0 if one is at every scale, Infinity if none ever is. */
function largestUsableScale(pricing: Pricing, candidate: Candidate): number {
  let largest = Infinity;
  const scaled = scaledQuantities(pricing.file.forecast);
  for (const { quantity, quantities, most } of limitedQuantities(pricing, candidate)) {
    for (const amount of quantities) {
      if (!scaled.has(quantity)) {
        if (amount.gt(most)) return 0;
      } else if (amount.gt(ZERO)) largest = Math.min(largest, most.div(amount).toNumber());
    }
  }
  return largest;
}

function zeros({ file }: Pricing): Float64Array {
  return new Float64Array(file.months);
}

function constant({ file }: Pricing, rate: Decimal): Float64Array {
  return new Float64Array(file.months).fill(rate.toNumber());
}

/** Many charges count the same orders: what was converted once is kept with the exact values. */
const converted = new WeakMap<readonly Decimal[], Float64Array>();

function numbers(values: readonly Decimal[], months: number): Float64Array {
  const found = converted.get(values);
  if (found?.length === months) return found;
  const floats = Float64Array.from({ length: months }, (_, month) => values[month]?.toNumber() ?? 0);
  converted.set(values, floats);
  return floats;
}

/** Average monthly sales without any lift, unrounded, in base currency. */
export function averageMonthlySales(pricing: Pricing): Decimal {
  return sum(pricing.forecastAt(ONE).sales).div(pricing.file.months);
}
