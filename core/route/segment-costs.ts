import { type Decimal, ONE, sum, ZERO } from '../amount/decimal';
import { roundLine } from '../amount/currencies';
import type { MinorUnits } from '../amount/minor-units';
import type { Candidate, Lift } from '../decision-file/candidate-schema';
import { keptMonths } from '../pricing/kept-months';
import type { Pricing } from '../pricing/pricing';
import { segmentDues, taxOn, units } from './segment-dues';

/** What a segment on a candidate costs, joined in one month and left in another (decision file §9). */
export interface SegmentCosts {
  /** @param to - the month in which it is left; the horizon's length for staying to the end */
  cost(from: number, to: number, moved: boolean): MinorUnits;
  /** What the candidate's lift brings in these months (decision file §9, `by: "keep"`). */
  brought(from: number, to: number): MinorUnits;
}

/**
 * Prepares the costs of all segments on a candidate.
 *
 * @param candidate - with everything, for its charges and hours
 * @param paid - the candidate without the parts that run through, for its payments
 */
export function segmentCosts(pricing: Pricing, candidate: Candidate, paid: Candidate): SegmentCosts {
  const { file } = pricing;
  const tax = taxOn(pricing);
  const { joinedIn } = segmentDues(pricing, candidate, { paid, counts: () => true });
  const rows = new Map<string, readonly MinorUnits[]>();

  const rowFrom = (from: number, moved: boolean): readonly MinorUnits[] => {
    const { dues, leaving } = joinedIn(from, moved);
    let before = 0;
    return dues().map(({ all, taxExcluded }, index) => {
      const left = leaving(from + index + 1);
      const cost = before + all + left.all + tax(taxExcluded + left.taxExcluded);
      before += all + tax(taxExcluded);
      return cost;
    });
  };

  const brought = broughtIn(pricing, candidate.lift);
  return {
    cost(from, to, moved) {
      const key = `${from} ${moved}`;
      const row = rows.get(key) ?? rowFrom(from, moved);
      rows.set(key, row);
      return row[to - from - 1] ?? 0;
    },
    brought: (from, to) => units(file.currency, roundLine(sum(brought.slice(from, to)), file.currency)),
  };
}

/** What a lift brings in each month before costs, not rounded (decision file §9, `by: "keep"`). */
export function broughtIn(pricing: Pricing, lift: Lift | undefined): Decimal[] {
  if (lift === undefined) return [];
  const without = keptMonths(pricing.forecastAt(ONE));
  return keptMonths(pricing.forecastAt(ONE, lift)).map((kept, month) => kept.minus(without[month] ?? ZERO));
}
