import { addMonths, type Month } from '../calendar/month';
import type { MinorUnits } from '../amount/minor-units';
import type { Moving, PlannedSegment, RouteSolver } from '../route/cheapest-route';

/** A stay within a way, with months of the calendar. */
export interface Stay {
  readonly candidate: string;
  readonly from: Month;
  readonly months: number;
}

/** A way whose first move falls in some month: what it comes to, null where it cannot. */
export interface MoveInMonth {
  readonly month: Month;
  readonly total: string | null;
  /** Against the best month. */
  readonly more: string | null;
}

/** The way with one move that comes nearest to staying, where staying is best. */
export interface NearestMove {
  readonly segments: readonly Stay[];
  readonly total: string;
  /** Against staying; never less than nothing. */
  readonly more: string;
  /** What this move would have to cost less than for it to pay; null where it would not pay for nothing either. */
  readonly paysBelow: string | null;
  readonly firstMove: readonly MoveInMonth[];
}

interface Asked {
  readonly solver: RouteSolver;
  /** Who takes part. */
  readonly candidates: readonly string[];
  readonly staying: PlannedSegment;
  readonly cost: MinorUnits;
  readonly start: Month;
  readonly costs: Moving;
  money(units: MinorUnits): string;
}

/**
 * Of all ways that begin elsewhere and end with the one that is best throughout, or begin with it and end elsewhere, the
 * one that costs least (decision file §9).
 *
 * @returns null where no such way is possible, or none may move
 */
export function nearestMove({ solver, candidates, staying, cost, start, costs, money }: Asked): NearestMove | null {
  const { candidate: stays, to: months } = staying;
  let best: { readonly segments: readonly PlannedSegment[]; readonly cost: MinorUnits } | null = null;
  for (const other of candidates.filter((id) => id !== stays))
    for (const [first, second] of [
      [other, stays],
      [stays, other],
    ] as const)
      for (let month = 1; month < months; month++) {
        const segments = [
          { candidate: first, from: 0, to: month },
          { candidate: second, from: month, to: months },
        ];
        const found = solver.costOf(segments, costs);
        if (found !== null && (best === null || found < best.cost)) best = { segments, cost: found };
      }
  if (!best) return null;
  const withoutMoving = solver.costOf(best.segments, { ...costs, within: 0, between: 0 });
  return {
    segments: best.segments.map(({ candidate, from, to }) => ({ candidate, from: addMonths(start, from), months: to - from })),
    total: money(best.cost),
    more: money(best.cost - cost),
    paysBelow: withoutMoving !== null && withoutMoving < cost ? money(cost - withoutMoving) : null,
    firstMove: movesInMonths(solver, best.segments, best.cost, { start, costs, money }),
  };
}

/** What a way comes to with its first move in every month between its neighbours. */
export function movesInMonths(
  solver: RouteSolver,
  segments: readonly PlannedSegment[],
  best: MinorUnits,
  { start, costs, money }: Pick<Asked, 'start' | 'costs' | 'money'>,
): MoveInMonth[] {
  const [first, second, ...rest] = segments;
  if (!first || !second) return [];
  return Array.from({ length: second.to - first.from - 1 }, (_, index) => {
    const month = first.from + index + 1;
    const cost = solver.costOf([{ ...first, to: month }, { ...second, from: month }, ...rest], costs);
    return {
      month: addMonths(start, month),
      total: cost === null ? null : money(cost),
      more: cost === null ? null : money(cost - best),
    };
  });
}
