import { decimal, sum } from '../amount/decimal';
import { minorDigits } from '../amount/currencies';
import { minorText, type MinorUnits } from '../amount/minor-units';
import { addMonths } from '../calendar/month';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { type PlannedSegment, type RoutedBy, type RouteSolver, routeSolver, type WayCost, wayTotals } from '../route/cheapest-route';
import type { MovingCosts } from '../route/moving-costs';
import { pricedMoving } from '../route/priced-moving';
import type { OwnWay } from '../decision/what-if-schema';
import { type PricedOwnWay, priceOwnWay } from './own-way';
import { type MoveInMonth, movesInMonths, nearestMove, type NearestMove, type Stay } from './nearest-move';

/** A way through the horizon and what it comes to. */
export interface RoutePlan {
  /** What is paid, and lost by moving where ways are compared by it; null where no way exists. */
  readonly total: string | null;
  /** What is kept, where ways are compared by it. */
  readonly kept: string | null;
  /** What moves lose in all. */
  readonly lost: string;
  readonly segments: readonly Stay[];
  /** The cheapest candidate that can be used over the whole horizon; null where there is none. */
  readonly single: { readonly candidate: string; readonly total: string } | null;
  /** What the way saves against it; null where either is missing. */
  readonly saving: string | null;
  /** What one move costs, hours included. */
  readonly costs: { readonly within: string; readonly between: string };
  /** Of the first move: what the way costs if it falls in another month, everything else as it is; null where it cannot. */
  readonly firstMove: readonly MoveInMonth[];
  /** Where it is best to stay: the way with a move that comes nearest; null where there is none. */
  readonly nearest: NearestMove | null;
  /** If every move falls a quarter later: what that costs more (or less), null where it is not possible. */
  readonly quarterLater: { readonly total: string; readonly more: string } | null;
}

/**
 * Candidates that a way leaves out unless somebody says otherwise: moving to another candidate of the same vendor
 * skips what is paid once (decision file §9), so one with a dearer build or theme of its own could be had without
 * paying it. Of a vendor's candidates those with the least to pay once take part.
 */
export function leftOutOf(file: DecisionFile): string[] {
  const offerOf = ({ plans }: DecisionFile['candidates'][number]) =>
    file.offers.find((offer) => offer.plans.some(({ id }) => id === plans[0]?.plan))?.id;
  const paidOnce = ({ extras = [] }: DecisionFile['candidates'][number]) =>
    sum(extras.filter(({ months }) => months === 0).map(({ amount }) => decimal(amount)));
  return file.candidates
    .filter((one) => file.candidates.some((other) => offerOf(other) === offerOf(one) && paidOnce(other).lt(paidOnce(one))))
    .map(({ id }) => id);
}

/** Plans the cheapest way again and again while what moving costs is changed. */
export interface RoutePlanner {
  plan(moving: MovingCosts): RoutePlan;
  /** Prices ways of the person's own; whoever is named takes part. */
  own(ways: readonly OwnWay[], moving: MovingCosts): PricedOwnWay[];
}

const QUARTER = 3;

/** Prices all candidates of a decision for ways through its horizon (decision file §9). */
export function routePlanner(file: DecisionFile): RoutePlanner {
  const pricing = preparePricing(file);
  const usual = leftOutOf(file);
  let last: { readonly key: string; readonly solver: RouteSolver } | null = null;
  const solverFor = (without: readonly string[], by: RoutedBy) => {
    const key = `${by} ${without.join(' ')}`;
    if (last?.key !== key)
      last = {
        key,
        solver: routeSolver(
          pricing,
          file.candidates.filter(({ id }) => !without.includes(id)),
          by,
        ),
      };
    return last.solver;
  };
  // A way may not contain what all candidates share; each on its own is priced without that.
  const singlesBy = (by: RoutedBy) =>
    file.candidates.map((candidate) => ({ id: candidate.id, solver: routeSolver(pricing, [candidate], by) }));
  const singles = new Map<RoutedBy, ReturnType<typeof singlesBy>>();
  const allAlone = (by: RoutedBy) => {
    const all = singles.get(by) ?? singlesBy(by);
    singles.set(by, all);
    return all;
  };
  return {
    own(ways, moving) {
      const by = file.cheapestAt?.by ?? moving.by ?? 'cost';
      const single = cheapestSingle(allAlone(by), file.months)?.cost ?? null;
      const named = (way: OwnWay) => file.candidates.filter(({ id }) => way.stays.some(({ candidate }) => candidate === id));
      // What all on a way have alike runs through: each way is priced with those on it alone.
      return ways.map((way) =>
        priceOwnWay({ pricing, solver: routeSolver(pricing, named(way), by), costs: pricedMoving(file, moving), by, single }, way),
      );
    },
    plan(moving) {
      const by = file.cheapestAt?.by ?? moving.by ?? 'cost';
      const all = allAlone(by);
      // Who takes no part because somebody said so is nobody to stay with either.
      const alone = all.filter(({ id }) => !moving.without?.includes(id));
      const without = moving.without ?? usual;
      const candidates = file.candidates.map(({ id }) => id).filter((id) => !without.includes(id));
      return planned(pricing, { solver: solverFor(without, by), candidates }, alone, moving);
    },
  };
}

function planned(
  pricing: Pricing,
  { solver, candidates }: { readonly solver: RouteSolver; readonly candidates: readonly string[] },
  singles: ReadonlyArray<{ id: string; solver: RouteSolver }>,
  moving: MovingCosts,
): RoutePlan {
  const { file } = pricing;
  const { currency, months, start } = file;
  const by = file.cheapestAt?.by ?? moving.by ?? 'cost';
  const digits = minorDigits(currency);
  const money = (units: MinorUnits) => minorText(units, digits);
  const costs = pricedMoving(file, moving);
  const single = cheapestSingle(singles, months);
  const solved = solver.solve(costs);
  // Somebody whom no way leads to may still be the best to stay with.
  const staying = single && (!solved || single.cost < solved.cost) ? single : null;
  const found = staying ? { cost: staying.cost, segments: [{ candidate: staying.id, from: 0, to: months }] } : solved;
  const way = staying?.way ?? (found && solver.priced(found.segments, costs));
  const shown = { within: money(costs.within), between: money(costs.between) };
  if (!found || !way)
    return {
      total: null,
      kept: null,
      lost: money(0),
      segments: [],
      single: single && { candidate: single.id, total: money(single.way.paid) },
      saving: null,
      costs: shown,
      firstMove: [],
      nearest: null,
      quarterLater: null,
    };
  const later = shifted(found.segments, QUARTER, months);
  const laterCost = later && solver.costOf(later, costs);
  const [first] = found.segments;
  const { total, kept } = wayTotals(pricing, way, by);
  return {
    total,
    kept: kept ?? null,
    lost: money(way.lost),
    segments: found.segments.map(({ candidate, from, to }) => ({ candidate, from: addMonths(start, from), months: to - from })),
    single: single && { candidate: single.id, total: money(single.way.paid) },
    saving: single ? money(single.cost - found.cost) : null,
    costs: shown,
    firstMove: movesInMonths(solver, found.segments, found.cost, { start, costs, money }),
    nearest:
      first && found.segments.length === 1 && costs.moves > 0
        ? nearestMove({ solver, candidates, staying: first, cost: found.cost, start, costs, money })
        : null,
    quarterLater: laterCost === null ? null : { total: money(laterCost), more: money(laterCost - found.cost) },
  };
}

/** A candidate for the whole horizon, and what that comes to. */
interface Single {
  readonly id: string;
  readonly cost: MinorUnits;
  readonly way: WayCost;
}

function cheapestSingle(singles: ReadonlyArray<{ id: string; solver: RouteSolver }>, months: number): Single | null {
  let best: Single | null = null;
  for (const { id, solver } of singles) {
    const way = solver.priced([{ candidate: id, from: 0, to: months }], { within: 0, between: 0, moves: 0 });
    if (way && (best === null || way.cost < best.cost)) best = { id, cost: way.cost, way };
  }
  return best;
}

/** Every move later by some months; null without moves, or where the last segment would be gone. */
function shifted(segments: readonly PlannedSegment[], by: number, months: number): PlannedSegment[] | null {
  const last = segments.at(-1);
  if (!last || segments.length < 2 || last.from + by >= months) return null;
  return segments.map(({ candidate, from, to }, index) => ({
    candidate,
    from: index === 0 ? from : from + by,
    to: index === segments.length - 1 ? to : to + by,
  }));
}
