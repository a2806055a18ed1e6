import { minorDigits } from '../amount/currencies';
import { type Decimal, decimal, ONE } from '../amount/decimal';
import { type MinorAmount, MinorConversion } from '../amount/minor-amount';
import type { Candidate, Lift } from '../decision-file/candidate-schema';
import type { Addon, Offer, Plan, Processor } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { forecastMonths, type MonthlyForecast } from '../forecast/forecast';
import { liftKey } from '../forecast/lift';
import type { ReadingWorld } from './constant-values';
import { type ExactReading, exactReading } from './exact-reading';

/** A decision file prepared for pricing: look-ups by id, rates and the forecast at any scale. */
export interface Pricing {
  readonly file: DecisionFile;
  /** The offer and plan of an id; the file was checked, so an unknown one is a programming error. */
  plan(id: string): { offer: Offer; plan: Plan };
  addon(id: string): Addon;
  processor(id: string): Processor;
  /** Base units for one unit of a currency. */
  rate(currency: string): Decimal;
  /**
   * Expected sales of all streams at a scale (decision file §2), kept once worked out.
   *
   * @param lift - percent more orders of all or some streams besides (decision file §5)
   */
  forecastAt(scale: Decimal, lift?: Lift): MonthlyForecast;
  /** What expressions come to there. */
  readingAt(scale: Decimal, lift?: Lift): ExactReading;
}

const MOST_FORECASTS = 32;

/**
 * Prepares a validated decision file for pricing.
 *
 * @param past - past orders in the place of the forecast, whatever the scale (decision file §11)
 */
export function preparePricing(file: DecisionFile, past?: Omit<ReadingWorld, 'rate'>): Pricing {
  const plans = new Map(file.offers.flatMap((offer) => offer.plans.map((plan) => [plan.id, { offer, plan }] as const)));
  const addons = new Map(
    [...file.offers.flatMap((offer) => offer.addons ?? []), ...(file.addons ?? [])].map((addon) => [addon.id, addon] as const),
  );
  const processors = new Map((file.processors ?? []).map((processor) => [processor.id, processor] as const));
  const rates = new Map(Object.entries(file.rates ?? {}).map(([code, rate]) => [code, decimal(rate)] as const));
  rates.set(file.currency, ONE);
  const rate = (currency: string) => known(rates, currency, 'rate');
  const worlds = new Map<string, { forecast: MonthlyForecast; reading: ExactReading }>();
  const worldAt = (scale: Decimal, lift?: Lift) => {
    const key = `${scale.toString()} ${liftKey(lift)}`;
    const found = worlds.get(key) ?? newWorld(scale, lift);
    worlds.delete(key);
    worlds.set(key, found);
    // Whoever looks at one level after the other would fill the memory; the ones used last are kept.
    for (const oldest of worlds.keys()) if (worlds.size > MOST_FORECASTS) worlds.delete(oldest);
    return found;
  };
  const newWorld = (scale: Decimal, lift?: Lift) => {
    const world = past ?? { forecast: forecastMonths(file.forecast, file.start, file.months, scale, lift) };
    return { forecast: world.forecast, reading: exactReading({ ...world, rate }) };
  };
  return {
    file,
    plan: (id) => known(plans, id, 'plan'),
    addon: (id) => known(addons, id, 'add-on'),
    processor: (id) => known(processors, id, 'processor'),
    rate,
    forecastAt: (scale, lift) => worldAt(scale, lift).forecast,
    readingAt: (scale, lift) => worldAt(scale, lift).reading,
  };
}

/** Whose price sheet something stands on. */
export type PartKind = 'plan' | 'addon' | 'processor';

/** The plan, add-on or processor of an id. */
export function partOf(pricing: Pick<Pricing, PartKind>, kind: PartKind, id: string): Plan | Addon | Processor {
  if (kind === 'plan') return pricing.plan(id).plan;
  return kind === 'addon' ? pricing.addon(id) : pricing.processor(id);
}

/** Expected sales as they are with a candidate: its lift on top of a scale (decision file §5). */
export function forecastWith(pricing: Pricing, { lift }: Candidate, scale: Decimal = ONE): MonthlyForecast {
  return pricing.forecastAt(scale, lift);
}

/** What expressions come to with a candidate. */
export function readingWith(pricing: Pricing, { lift }: Candidate, scale: Decimal = ONE): ExactReading {
  return pricing.readingAt(scale, lift);
}

const conversions = new WeakMap<Pricing, Map<string, MinorConversion>>();

/** Turns amounts of a currency into the base currency, each rounded there (decision file §5, Rounding). */
export function conversionOf(pricing: Pricing, currency: string): (amount: MinorAmount) => MinorAmount {
  const { currency: base } = pricing.file;
  if (currency === base) return (amount) => amount;
  const kept = conversions.get(pricing) ?? new Map<string, MinorConversion>();
  conversions.set(pricing, kept);
  const conversion = kept.get(currency) ?? new MinorConversion(pricing.rate(currency), minorDigits(currency), minorDigits(base));
  kept.set(currency, conversion);
  return (amount) => conversion.of(amount);
}

function known<Value>(values: ReadonlyMap<string, Value>, id: string, what: string): Value {
  const value = values.get(id);
  if (value === undefined) throw new RangeError(`There is no ${what} ${id} in this decision file`);
  return value;
}
