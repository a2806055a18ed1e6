import { type Decimal, decimal, ONE, settle, sum } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { MonthlyForecast } from '../forecast/forecast';
import { candidateCharges } from './candidate-charges';
import { isChargeNotKnown } from './charge-amount';
import { chargeBasis, chargeQuantities, inCurrency } from './charge-quantity';
import { liftScale, type Pricing } from './pricing';
import { processingOf } from './processing';

/** A limit that is exceeded: in which month (index), and its name or the id of the charge that sets it. */
export interface ExceededLimit {
  readonly month: number;
  readonly limit: string;
}

/** A quantity that a plan or charge limits, as it comes out in every month. */
export interface LimitedQuantity {
  /** The quantity's id. */
  readonly quantity: string;
  /** What is reported when it is exceeded: the limit's name, or the id of the charge that sets it. */
  readonly limit: string;
  readonly quantities: readonly Decimal[];
  /** The most that is allowed in a month, in the quantity's unit (`sales` in the vendor's currency). */
  readonly most: Decimal;
}

/**
 * Every limit a candidate exceeds, month by month; within a month alphabetically (decision file §6).
 *
 * @param scale - multiplies expected orders and subscribers, default 1
 */
export function exceededLimits(pricing: Pricing, candidate: Candidate, scale: Decimal = ONE): ExceededLimit[] {
  const exceeded = limitedQuantities(pricing, candidate, scale).flatMap(({ limit, quantities, most }) =>
    quantities.flatMap((quantity, month) => (settle(quantity).gt(most) ? [{ month, limit }] : [])),
  );
  return exceeded.sort((a, b) => a.month - b.month || (a.limit < b.limit ? -1 : a.limit > b.limit ? 1 : 0));
}

/** Everything that limits a candidate: its plans' limits, raised by add-ons, and last bands with a number. */
export function limitedQuantities(pricing: Pricing, candidate: Candidate, scale: Decimal = ONE): LimitedQuantity[] {
  const forecast = pricing.forecastAt(liftScale(candidate).times(scale));
  return [...planLimits(pricing, candidate, forecast), ...chargeLimits(pricing, candidate, forecast)];
}

function planLimits(pricing: Pricing, candidate: Candidate, forecast: MonthlyForecast): LimitedQuantity[] {
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
    return Object.entries(plan.limits ?? {}).map(([limit, most]) => ({
      quantity: limit,
      limit,
      quantities: quantitiesOf(forecast, limit, rate),
      most: decimal(most).plus(raises(limit)),
    }));
  });
}

/** What a limit counts, by month; `sales` in the plan's currency; nothing if the forecast does not have it. */
function quantitiesOf(forecast: MonthlyForecast, limit: string, rate: Decimal): readonly Decimal[] {
  if (limit === 'orders') return forecast.orders;
  if (limit === 'sales') return forecast.sales.map((sales) => inCurrency(sales, rate));
  return forecast.quantities.get(limit) ?? [];
}

/** A last band with a number: the plan is not sold beyond it (decision file §4). */
function chargeLimits(pricing: Pricing, candidate: Candidate, forecast: MonthlyForecast): LimitedQuantity[] {
  const processing = processingOf(candidate);
  return candidateCharges(pricing, candidate, processing).flatMap(({ charge, owner }) => {
    if (!('bands' in charge) || isChargeNotKnown(charge)) return [];
    const last = charge.bands.at(-1)?.upTo;
    if (last == null) return [];
    const basis = chargeBasis(charge, owner, processing, forecast, pricing.rate(owner.currency));
    return [{ quantity: charge.on ?? 'orders', limit: charge.id, quantities: chargeQuantities(basis), most: decimal(last) }];
  });
}
