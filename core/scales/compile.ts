import { type Decimal, ONE, sum } from '../amount/decimal';
import type { ComparedBy } from '../decision-file/compared-by';
import type { Pricing } from '../pricing/pricing';
import type { CompiledCandidate } from './compiled-candidate';
import { ROUNDING } from './form-values';
import { type PricingAssumptions, type LiftedAssumptions, liftedAssumptions, statedAssumptions } from './pricing-assumptions';
import { partWithin, type PreparedCandidate, prepareCandidates } from './prepare';

/**
 * Compiles every candidate of a decision into a floating-point form from which its unrounded total follows at any
 * scale (decision file §2, scale; §8), held to the exact ledger by property tests. By what is kept, the total is the
 * cost less what is left of sales, so that the lowest keeps most.
 */
export function compileCandidates(pricing: Pricing, by: ComparedBy = 'cost'): CompiledCandidate[] {
  return compileAt(pricing, prepareCandidates(pricing), statedAssumptions(pricing.file), by);
}

/** Compiles candidates that were read before, at another level than the decision file states. */
export function compileAt(
  pricing: Pick<Pricing, 'file'>,
  candidates: readonly PreparedCandidate[],
  assumed: PricingAssumptions,
  by: ComparedBy = 'cost',
): CompiledCandidate[] {
  const withLift = liftedAssumptions(assumed);
  return candidates.map((prepared) => {
    const lifted = withLift(prepared.candidate.lift);
    const charges = prepared.charges.map((charge) => lifted.charge(charge));
    return {
      id: prepared.id,
      fixed: fixedMonths(pricing, prepared, assumed),
      charges: by === 'keep' ? [...charges, { form: lifted.kept(), weight: -1 }] : charges,
      usableUpTo: prepared.canBeChosen ? largestUsableScale(prepared, lifted) : 0,
    };
  });
}

/** What does not depend on sales, by month, unrounded, in base currency, with tax: payments and own time. */
function fixedMonths({ file }: Pick<Pricing, 'file'>, { payments, hours }: PreparedCandidate, assumed: PricingAssumptions): Float64Array {
  const horizon = file.months;
  const months = new Float64Array(horizon).fill(hours.monthly * assumed.hourValue);
  months[0] = (months[0] ?? 0) + hours.setup * assumed.hourValue;
  for (const { month, covers, charged, currency, taxExcluded } of payments) {
    const amount = charged * assumed.rate(currency) * (taxExcluded ? assumed.tax : 1);
    if (file.basis !== 'spread') {
      months[month] = (months[month] ?? 0) + amount;
      continue;
    }
    const length = covers === 0 ? horizon - month : covers;
    for (let part = month; part < Math.min(month + length, horizon); part++) months[part] = (months[part] ?? 0) + amount / length;
  }
  return months;
}

/** What payments come to within the horizon by currency, in that currency. */
export interface PaidWithin {
  readonly currency: string;
  readonly taxExcluded: boolean;
  readonly amount: number;
}

/** What a candidate pays within the horizon whatever is sold; the sum of its fixed months but for its hours. */
export function paidWithin({ file }: Pick<Pricing, 'file'>, { payments }: PreparedCandidate): PaidWithin[] {
  const paid = new Map<string, PaidWithin>();
  for (const { month, covers, charged, currency, taxExcluded } of payments) {
    const key = `${currency} ${taxExcluded}`;
    const before = paid.get(key)?.amount ?? 0;
    paid.set(key, { currency, taxExcluded, amount: before + charged * partWithin(file, month, covers) });
  }
  return [...paid.values()];
}

/** The largest scale at which no limit is exceeded; 0 if one is at every scale, Infinity if none ever is. */
export function largestUsableScale({ limits }: PreparedCandidate, { maker }: LiftedAssumptions): number {
  let largest = Infinity;
  for (const { counted, most } of limits) {
    const form = maker.form(counted);
    if (form.is !== 'line') throw new RangeError('Only plain quantities are limited');
    const bound = (maker.constant(most)[0] ?? 0) * (1 + ROUNDING);
    for (let month = 0; month < maker.months; month++) {
      const fixed = form.fixed?.[month] ?? 0;
      const growing = form.growing?.[month] ?? 0;
      if (fixed > bound) return 0;
      if (growing > 0) largest = Math.min(largest, (bound - fixed) / growing);
    }
  }
  return largest;
}

/** Average monthly sales without any lift, unrounded, in base currency. */
export function averageMonthlySales(pricing: Pricing): Decimal {
  return sum(pricing.forecastAt(ONE).sales).div(pricing.file.months);
}
