import { minorDigits } from '../amount/currencies';
import { minorText, type MinorUnits } from '../amount/minor-units';
import { addMonths, type Month, monthsBetween } from '../calendar/month';
import type { OwnWay } from '../decision/what-if-schema';
import type { Pricing } from '../pricing/pricing';
import { type Moving, type PlannedSegment, type RoutedBy, type RouteSolver, wayTotals } from '../route/cheapest-route';
import type { Stay } from './nearest-move';

/** Why a way cannot be priced. */
export type WayObstacle =
  /** Somebody on it is no candidate any more. */
  | { readonly kind: 'gone' }
  /** Two moves fall into the same month, or one is not within the horizon. */
  | { readonly kind: 'months' }
  /** Nobody can be used as long as the way says, or a vendor that was left is joined again. */
  | { readonly kind: 'impossible' };

/** What a way of the person's own comes to; amounts in base currency. */
export interface PricedOwnWay {
  readonly id: string;
  readonly stays: readonly Stay[];
  /** Null where it cannot be priced. */
  readonly total: string | null;
  /** What is kept, where ways are compared by it. */
  readonly kept: string | null;
  /** How much worse it is than the best candidate throughout; less than nothing where it is better; null where either is missing. */
  readonly worse: string | null;
  readonly obstacle: WayObstacle | null;
}

/** What ways are priced with. */
export interface WayPricing {
  readonly pricing: Pricing;
  readonly solver: RouteSolver;
  readonly costs: Moving;
  readonly by: RoutedBy;
  /** What the best candidate throughout costs, as `solver` counts it; null where there is none. */
  readonly single: MinorUnits | null;
}

/** Prices a way that somebody has put together, as ways through the horizon are priced (decision file §9). */
export function priceOwnWay({ pricing, solver, costs, by, single }: WayPricing, { id, stays }: OwnWay): PricedOwnWay {
  const { start, months, currency, candidates } = pricing.file;
  const segments = segmentsOf(stays, start, months);
  const shown = segments.map(({ candidate, from, to }) => ({ candidate, from: addMonths(start, from), months: to - from }));
  const none = { id, stays: shown, total: null, kept: null, worse: null };
  if (stays.some(({ candidate }) => !candidates.some((one) => one.id === candidate))) return { ...none, obstacle: { kind: 'gone' } };
  if (segments.some(({ from, to }) => to <= from || from < 0)) return { ...none, obstacle: { kind: 'months' } };
  const way = solver.priced(segments, costs);
  if (!way) return { ...none, obstacle: { kind: 'impossible' } };
  const { total, kept } = wayTotals(pricing, way, by);
  const worse = single === null ? null : minorText(way.cost - single, minorDigits(currency));
  return { ...none, total, kept: kept ?? null, worse, obstacle: null };
}

/** The stays with where each ends: the first begins with the horizon, the last ends with it. */
function segmentsOf(stays: OwnWay['stays'], start: Month, months: number): PlannedSegment[] {
  const from = stays.map((stay, index) => (index === 0 ? 0 : monthsBetween(start, stay.from)));
  return stays.map(({ candidate }, index) => ({ candidate, from: from[index] ?? 0, to: from[index + 1] ?? months }));
}
