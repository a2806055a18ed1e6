import { Decimal } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import { comparedBy } from '../decision-file/compared-by';
import { unknownPrices } from '../pricing/ledger';
import type { Pricing } from '../pricing/pricing';
import { type CheapestStretch, cheapestStretches } from '../scales/cheapest-at';
import { unmetMusts } from '../pricing/needs';
import { averageMonthlySales, compileCandidates } from '../scales/compile';

/** A stretch of the sales scale: who is cheapest there, or null where no candidate can be chosen. */
export interface ScaleStretch {
  readonly candidate: string | null;
  /** Scales, 1 is the forecast. */
  readonly from: number;
  readonly to: number;
  /** Average sales a month at the upper end, base currency. */
  readonly salesTo: string;
}

/** A stretch where another candidate would be cheaper still, were it not outgrown there or a price of it not known. */
export interface DoubtfulStretch {
  readonly from: number;
  readonly to: number;
  readonly candidate: string;
  readonly why: 'outgrown' | 'not-known';
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
  readonly doubtful: readonly DoubtfulStretch[];
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
  const compiled = compileCandidates(pricing, comparedBy(pricing.file));
  const cheapest = cheapestStretches(compiled, FROM, TO);
  const meeting = compiled.filter((_, index) => meetsEveryMust(pricing, index));
  const regardless = cheapestStretches(
    meeting.map((one) => ({ ...one, usableUpTo: Infinity })),
    FROM,
    TO,
  );
  const usableUpTo = new Map(compiled.map((one) => [one.id, one.usableUpTo]));
  return {
    from: FROM,
    to: TO,
    stretches: cheapest.map((stretch) => ({ ...stretch, salesTo: salesAt(pricing, stretch.to) })),
    doubtful: differing(regardless, cheapest).map((stretch) => ({
      ...stretch,
      why: usableUpTo.get(stretch.candidate) === 0 && hasUnknown(pricing, stretch.candidate) ? 'not-known' : 'outgrown',
    })),
    ticks: ticksOf(sales),
  };
}

function meetsEveryMust(pricing: Pricing, index: number): boolean {
  const candidate = pricing.file.candidates[index];
  if (!candidate) return false;
  const { missing, unclear } = unmetMusts(pricing, candidate);
  return missing.length + unclear.length === 0;
}

function hasUnknown(pricing: Pricing, id: string): boolean {
  const candidate = pricing.file.candidates.find((one) => one.id === id);
  return candidate !== undefined && unknownPrices(pricing, candidate).length > 0;
}

const SAME_JOINT = 1e-9;

/** Where the first picture names another candidate than the second. */
function differing(
  first: readonly CheapestStretch[],
  second: readonly CheapestStretch[],
): Array<{ from: number; to: number; candidate: string }> {
  return first.flatMap(({ from, to, candidate }) =>
    second.flatMap((other) => {
      const [start, end] = [Math.max(from, other.from), Math.min(to, other.to)];
      // Joints that only floating point tells apart are the same.
      return candidate !== null && end > start * (1 + SAME_JOINT) && other.candidate !== candidate
        ? [{ from: start, to: end, candidate }]
        : [];
    }),
  );
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
