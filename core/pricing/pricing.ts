import { type Decimal, decimal, fraction, ONE } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Addon, Offer, Plan, Processor } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { forecastMonths, type MonthlyForecast } from '../forecast/forecast';

/** A decision file prepared for pricing: look-ups by id, rates and the forecast at any scale. */
export interface Pricing {
  readonly file: DecisionFile;
  /** The offer and plan of an id; the file was checked, so an unknown one is a programming error. */
  plan(id: string): { offer: Offer; plan: Plan };
  addon(id: string): Addon;
  processor(id: string): Processor;
  /** Base units for one unit of a currency. */
  rate(currency: string): Decimal;
  /** Expected sales of all streams at a scale (decision file §2), kept once worked out. */
  forecastAt(scale: Decimal): MonthlyForecast;
}

const MOST_FORECASTS = 32;

/** Prepares a validated decision file for pricing. */
export function preparePricing(file: DecisionFile): Pricing {
  const plans = new Map(file.offers.flatMap((offer) => offer.plans.map((plan) => [plan.id, { offer, plan }] as const)));
  const addons = new Map(
    [...file.offers.flatMap((offer) => offer.addons ?? []), ...(file.addons ?? [])].map((addon) => [addon.id, addon] as const),
  );
  const processors = new Map((file.processors ?? []).map((processor) => [processor.id, processor] as const));
  const rates = new Map(Object.entries(file.rates ?? {}).map(([code, rate]) => [code, decimal(rate)] as const));
  rates.set(file.currency, ONE);
  const forecasts = new Map<string, MonthlyForecast>();
  return {
    file,
    plan: (id) => known(plans, id, 'plan'),
    addon: (id) => known(addons, id, 'add-on'),
    processor: (id) => known(processors, id, 'processor'),
    rate: (currency) => known(rates, currency, 'rate'),
    forecastAt(scale) {
      const key = scale.toString();
      const found = forecasts.get(key) ?? forecastMonths(file.forecast, file.start, file.months, scale);
      forecasts.delete(key);
      forecasts.set(key, found);
      // Whoever looks at one level after the other would fill the memory; the ones used last are kept.
      for (const oldest of forecasts.keys()) if (forecasts.size > MOST_FORECASTS) forecasts.delete(oldest);
      return found;
    },
  };
}

/** The scale at which a candidate is priced: its lift works like one of 1 + lift/100 (decision file §5). */
export function liftScale(candidate: Candidate): Decimal {
  return ONE.plus(fraction(candidate.lift ?? '0'));
}

function known<Value>(values: ReadonlyMap<string, Value>, id: string, what: string): Value {
  const value = values.get(id);
  if (value === undefined) throw new RangeError(`There is no ${what} ${id} in this decision file`);
  return value;
}
