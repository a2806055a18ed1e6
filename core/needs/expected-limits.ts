import { type Decimal, decimal } from '../amount/decimal';
import type { DecisionFile } from '../decision-file/schema';
import type { MonthlyForecast } from '../forecast/forecast';
import { preparePricing } from '../pricing/pricing';

/** The most of something there will be in a month, and which plans do not go so far. */
export interface ExpectedLimit {
  readonly quantity: string;
  /** The largest monthly figure of the horizon, and the first month (`YYYY-MM`) in which it is reached. */
  readonly most: string;
  readonly month: string;
  /** Plans that limit it, with their limit and the first month in which it is exceeded (null = never), most generous last. */
  readonly plans: ReadonlyArray<{
    readonly plan: string;
    readonly offer: string;
    readonly limit: string;
    readonly outgrown: string | null;
  }>;
}

/**
 * What expected sales ask of plans' limits by themselves (decision file §6): every quantity that any plan limits, with
 * its largest month. `sales` is in base currency, and compared in each plan's own.
 */
export function expectedLimits(file: DecisionFile): ExpectedLimit[] {
  const pricing = preparePricing(file);
  const forecast = pricing.forecastAt(decimal(1));
  const limited = file.offers.flatMap((offer) =>
    offer.plans.flatMap((plan) =>
      Object.entries(plan.limits ?? {}).map(([quantity, limit]) => ({ offer: offer.id, plan, quantity, limit })),
    ),
  );
  return [...new Set(limited.map(({ quantity }) => quantity))].sort().flatMap((quantity) => {
    const values = quantitiesOf(forecast, quantity);
    if (values.length === 0) return [];
    const most = values.reduce((highest, value) => (value.gt(highest) ? value : highest));
    const plans = limited
      .filter((one) => one.quantity === quantity)
      .sort((a, b) => decimal(a.limit).cmp(b.limit))
      .map(({ offer, plan, limit }) => {
        const rate = quantity === 'sales' ? pricing.rate(plan.currency) : decimal(1);
        const at = values.findIndex((value) => value.div(rate).gt(limit));
        return { plan: plan.id, offer, limit, outgrown: at < 0 ? null : (forecast.months[at] ?? null) };
      });
    return [{ quantity, most: most.toDecimalPlaces(2).toFixed(), month: forecast.months[values.indexOf(most)] ?? file.start, plans }];
  });
}

function quantitiesOf(forecast: MonthlyForecast, quantity: string): readonly Decimal[] {
  if (quantity === 'orders') return forecast.orders;
  if (quantity === 'sales') return forecast.sales;
  return forecast.quantities.get(quantity) ?? [];
}
