import { fraction } from '../amount/decimal';
import type { Lift } from '../decision-file/candidate-schema';
import type { DecisionFile } from '../decision-file/schema';
import { liftKey, liftOf } from '../forecast/lift';
import { type NumberForecast, numberForecast, scaledStream, withStreams } from '../forecast/number-forecast';
import type { CompiledCharge } from './compiled-candidate';
import { FormMaker, type Line } from './level-form';
import type { PreparedCharge } from './prepare';

/** What totals are worked out from besides the candidates themselves, in floating point. */
export interface PricingAssumptions {
  readonly forecast: NumberForecast;
  /** Base units for one unit of a currency. */
  rate(currency: string): number;
  /** Base currency. */
  readonly hourValue: number;
  /** 1 + feeTax: what is quoted without tax is multiplied by it. */
  readonly tax: number;
}

/** The level that a decision file states. */
export function statedAssumptions(file: DecisionFile): PricingAssumptions {
  const rates = new Map(Object.entries(file.rates ?? {}).map(([code, rate]) => [code, Number(rate)]));
  return {
    forecast: numberForecast(file),
    rate: (currency) => (currency === file.currency ? 1 : (rates.get(currency) ?? NaN)),
    hourValue: Number(file.hourValue ?? '0'),
    tax: 1 + fraction(file.feeTax ?? '0').toNumber(),
  };
}

/** A level as candidates with a lift have it, with the forms of what they have in common. */
export interface LiftedAssumptions {
  readonly maker: FormMaker;
  charge(prepared: PreparedCharge): CompiledCharge;
  /** What is left of sales before costs, by month, as a form (decision file §7, `keep`). */
  kept(): Line;
}

/** Takes up a level; what candidates have alike is made once. */
export function liftedAssumptions(assumed: PricingAssumptions): (lift: Lift | undefined) => LiftedAssumptions {
  const known = new Map<string, LiftedAssumptions>();
  return (lift) => {
    const key = liftKey(lift);
    const found = known.get(key) ?? assumedWithLift(assumed, key === '' ? undefined : lift);
    known.set(key, found);
    return found;
  };
}

function assumedWithLift(assumed: PricingAssumptions, lift: Lift | undefined): LiftedAssumptions {
  const forecast = lift === undefined ? assumed.forecast : liftedForecast(assumed.forecast, lift);
  const maker = new FormMaker({ forecast, rate: assumed.rate });
  const make = (prepared: PreparedCharge, weight: number): CompiledCharge => {
    const form = maker.form(prepared.amount);
    return { form: prepared.counting ? { is: 'scaled', of: form, by: prepared.counting } : form, weight };
  };
  const charges = new WeakMap<PreparedCharge['amount'], CompiledCharge[]>();
  return {
    maker,
    charge(prepared) {
      const { amount, currency, taxExcluded, isCredit } = prepared;
      const weight = assumed.rate(currency) * (taxExcluded ? assumed.tax : 1) * (isCredit ? -1 : 1);
      const alike = charges.get(amount) ?? [];
      const found = alike.find((one) => one.weight === weight);
      if (found) return found;
      const charge = make(prepared, weight);
      charges.set(amount, [...alike, charge]);
      return charge;
    },
    kept: () => ({ is: 'line', fixed: null, growing: keptMonths(forecast) }),
  };
}

function liftedForecast(forecast: NumberForecast, lift: Lift): NumberForecast {
  return withStreams(
    forecast,
    forecast.streams.map((stream) => scaledStream(stream, liftOf(lift, stream.stream.id).toNumber(), 1)),
  );
}

function keptMonths({ streams, months }: NumberForecast): Float64Array {
  const kept = new Float64Array(months);
  for (const { stream, orders, netOrderValue, refunded } of streams) {
    const rate = (Number(stream.margin ?? '100') / 100) * (1 - refunded);
    for (let month = 0; month < months; month++)
      kept[month] = (kept[month] ?? 0) + (orders[month] ?? 0) * (netOrderValue[month] ?? 0) * rate;
  }
  return kept;
}
