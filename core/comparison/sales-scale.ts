import { Decimal } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { Pricing } from '../pricing/pricing';
import { cheapestStretches } from '../scales/cheapest-at';
import { averageMonthlySales, compileCandidates } from '../scales/compile';

/** A stretch of the sales scale: who is cheapest there, or null where nobody can be chosen. */
export interface ScaleStretch {
  readonly candidate: string | null;
  /** Scales, 1 is the forecast. */
  readonly from: number;
  readonly to: number;
  /** Average sales a month at the upper end, base currency. */
  readonly salesTo: string;
}

/** A round figure of monthly sales and the scale it stands at. */
export interface ScaleTick {
  readonly sales: string;
  readonly scale: number;
}

/** Who is cheapest at which level of monthly sales, around the forecast. */
export interface SalesScale {
  readonly from: number;
  readonly to: number;
  readonly stretches: readonly ScaleStretch[];
  readonly ticks: readonly ScaleTick[];
}

/** From a tenth of the forecast to ten times as much. */
const FROM = 0.1;
const TO = 10;

/**
 * The sales scale of a decision (decision file §8).
 *
 * @returns null without candidates or without any sales
 */
export function salesScale(pricing: Pricing): SalesScale | null {
  const sales = averageMonthlySales(pricing);
  if (sales.isZero() || pricing.file.candidates.length === 0) return null;
  const stretches = cheapestStretches(compileCandidates(pricing), FROM, TO).map((stretch) => ({
    ...stretch,
    salesTo: salesAt(pricing, stretch.to),
  }));
  return { from: FROM, to: TO, stretches, ticks: ticksOf(sales) };
}

/** Average sales a month at a scale, without any lift, base currency. */
export function salesAt(pricing: Pricing, scale: number): string {
  const { currency } = pricing.file;
  return moneyText(roundMoney(averageMonthlySales(pricing).times(scale), currency), currency);
}

/** Round figures (1, 2, 5, 10, …) within the scale. */
function ticksOf(sales: Decimal): ScaleTick[] {
  const ticks: ScaleTick[] = [];
  const lowest = Math.floor(Math.log10(sales.times(FROM).toNumber()));
  for (let power = lowest; power <= lowest + 3; power++)
    for (const digit of [1, 2, 5]) {
      const figure = new Decimal(10).pow(power).times(digit);
      const scale = figure.div(sales).toNumber();
      if (scale >= FROM && scale <= TO) ticks.push({ sales: figure.toFixed(), scale });
    }
  return ticks;
}
