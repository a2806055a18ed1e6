import { type Decimal, decimal, ONE, settle, sum, ZERO } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { MonthlyForecast } from '../forecast/forecast';
import { candidateCharges } from './candidate-charges';
import { isChargeNotKnown } from './charge-amount';
import { chargeBasis, chargeQuantities } from './charge-quantity';
import { liftScale, type Pricing } from './pricing';
import { processingOf } from './processing';

/** A limit that is exceeded: in which month (index), and its name or the id of the charge that sets it. */
export interface ExceededLimit {
  readonly month: number;
  readonly limit: string;
}

/**
 * Every limit a candidate exceeds, month by month; within a month alphabetically (decision file §6).
 *
 * @param scale - multiplies expected orders and subscribers, default 1
 */
export function exceededLimits(pricing: Pricing, candidate: Candidate, scale: Decimal = ONE): ExceededLimit[] {
  const forecast = pricing.forecastAt(liftScale(candidate).times(scale));
  const exceeded = [...planLimits(pricing, candidate, forecast), ...chargeLimits(pricing, candidate, forecast)];
  return exceeded.sort((a, b) => a.month - b.month || (a.limit < b.limit ? -1 : a.limit > b.limit ? 1 : 0));
}

function planLimits(pricing: Pricing, candidate: Candidate, forecast: MonthlyForecast): ExceededLimit[] {
  const raises = (name: string) =>
    sum(
      (candidate.addons ?? []).map(({ addon, count }) => {
        const { raises: all } = pricing.addon(addon);
        const raise = all && Object.hasOwn(all, name) ? all[name] : undefined;
        return decimal(raise ?? '0').times(count ?? 1);
      }),
    );
  return candidate.plans.flatMap(({ plan: id }) => {
    const { plan } = pricing.plan(id);
    const rate = pricing.rate(plan.currency);
    return Object.entries(plan.limits ?? {}).flatMap(([limit, most]) => {
      const allowed = decimal(most).plus(raises(limit));
      const quantities = limitedQuantity(forecast, limit, rate);
      return exceededMonths(quantities, allowed).map((month) => ({ month, limit }));
    });
  });
}

/** What a limit counts, by month; `sales` in the plan's currency; nothing if the forecast does not have it. */
function limitedQuantity(forecast: MonthlyForecast, limit: string, rate: Decimal): readonly Decimal[] {
  if (limit === 'orders') return forecast.orders;
  if (limit === 'sales') return forecast.sales.map((sales) => sales.div(rate));
  return forecast.quantities.get(limit) ?? [];
}

/** A last band with a number: the plan is not sold beyond it (decision file §4). */
function chargeLimits(pricing: Pricing, candidate: Candidate, forecast: MonthlyForecast): ExceededLimit[] {
  const processing = processingOf(candidate);
  return candidateCharges(pricing, candidate, processing).flatMap(({ charge, owner }) => {
    if (!('bands' in charge) || isChargeNotKnown(charge)) return [];
    const last = charge.bands.at(-1)?.upTo;
    if (last == null) return [];
    const basis = chargeBasis(charge, owner, processing, forecast, pricing.rate(owner.currency));
    return exceededMonths(chargeQuantities(basis), decimal(last)).map((month) => ({ month, limit: charge.id }));
  });
}

function exceededMonths(quantities: readonly Decimal[], allowed: Decimal): number[] {
  return quantities.flatMap((quantity, month) => (settle(quantity ?? ZERO).gt(allowed) ? [month] : []));
}
