import { type Decimal, decimal, fraction, ONE, sum, ZERO } from '../amount/decimal';
import { roundLine } from '../amount/currencies';
import type { MinorUnits } from '../amount/minor-units';
import type { StreamForecast } from '../forecast/forecast';
import type { Pricing } from '../pricing/pricing';
import { units } from './segment-dues';

/**
 * What moving to another offer loses, by the month of the move (decision file §9, `loses`): of each subscription stream
 * so many percent of those who subscribed the month before, each with what he would have brought to the horizon's end.
 *
 * @param percent - of the subscribers
 * @returns for a month index, rounded once, in minor units of the base currency; the forecast is taken without any lift
 */
export function lostByMoving(pricing: Pricing, percent: string): (month: number) => MinorUnits {
  const { currency } = pricing.file;
  const lost = fraction(percent);
  const parts = pricing.forecastAt(ONE).streams.flatMap((stream) => {
    const { subscribers } = stream;
    return subscribers ? [{ subscribers, worth: worthFrom(stream) }] : [];
  });
  return (month) =>
    units(
      currency,
      roundLine(
        sum(parts.map(({ subscribers, worth }) => lost.times(subscribers[month - 1] ?? ZERO).times(worth[month] ?? ZERO))),
        currency,
      ),
    );
}

/** What one subscriber brings from each month to the horizon's end: Σ (1 − churn)^(j − t) × what he brings in month j. */
function worthFrom({ stream, netOrderValue, refunded }: StreamForecast): Decimal[] {
  const staying = ONE.minus(fraction(stream.subscribers?.churn ?? '0'));
  const every = decimal(stream.subscribers?.every ?? 1);
  const kept = fraction(stream.margin ?? '100').times(ONE.minus(refunded));
  const worth: Decimal[] = [];
  let later = ZERO;
  for (let month = netOrderValue.length - 1; month >= 0; month--) {
    later = (netOrderValue[month] ?? ZERO).times(kept).div(every).plus(later.times(staying));
    worth[month] = later;
  }
  return worth;
}
