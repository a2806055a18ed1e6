import { decimal } from '../amount/decimal';
import type { Month } from '../calendar/month';
import type { Candidate } from '../decision-file/candidate-schema';
import { scaledQuantities } from '../forecast/scaled-quantities';
import { exceededLimits, limitedQuantities } from '../pricing/limits';
import type { Pricing } from '../pricing/pricing';
import { addMonths } from '../calendar/month';

/** A limit of a candidate, ready to be looked at at any scale. */
export interface LevelLimit {
  readonly limit: string;
  /** Whether the quantity grows with the scale. */
  readonly isScaled: boolean;
  /** By month, at scale 1. */
  readonly quantities: readonly number[];
  readonly most: number;
  /** Months in which it is exceeded whatever the scale; empty for a quantity that grows with it. */
  readonly exceeded: readonly number[];
}

/** Closer to its limit than this, in parts of it, exact arithmetic decides. */
const NEAR = 1e-9;

/** A candidate's limits (decision file §6). */
export function levelLimits(pricing: Pricing, candidate: Candidate): LevelLimit[] {
  const scaled = scaledQuantities(pricing.file.forecast);
  return limitedQuantities(pricing, candidate).map(({ quantity, limit, quantities, most }) => ({
    limit,
    isScaled: scaled.has(quantity),
    quantities: quantities.map((one) => one.toNumber()),
    most: most.toNumber(),
    exceeded: scaled.has(quantity) ? [] : quantities.flatMap((one, month) => (one.gt(most) ? [month] : [])),
  }));
}

/** The first limit that is exceeded at a scale, alphabetically the first within a month; null for none. */
export function firstExceeded(
  pricing: Pricing,
  candidate: Candidate,
  limits: readonly LevelLimit[],
  scale: number,
): { month: Month; limit: string } | null {
  let first: { month: number; limit: string } | null = null;
  const note = (month: number, limit: string) => {
    if (first === null || month < first.month || (month === first.month && limit < first.limit)) first = { month, limit };
  };
  for (const { limit, isScaled, quantities, most, exceeded } of limits) {
    if (exceeded[0] !== undefined) note(exceeded[0], limit);
    if (!isScaled) continue;
    for (let month = 0; month < quantities.length; month++) {
      const quantity = (quantities[month] ?? 0) * scale;
      if (Math.abs(quantity - most) <= NEAR * most) return exactly(pricing, candidate, scale);
      if (quantity <= most) continue;
      note(month, limit);
      break;
    }
  }
  return named(pricing, first);
}

function exactly(pricing: Pricing, candidate: Candidate, scale: number): { month: Month; limit: string } | null {
  return named(pricing, exceededLimits(pricing, candidate, decimal(scale))[0] ?? null);
}

function named({ file }: Pricing, found: { month: number; limit: string } | null): { month: Month; limit: string } | null {
  return found && { month: addMonths(file.start, found.month), limit: found.limit };
}
