import { decimal, ONE, sum } from '../amount/decimal';
import { minorDigits, roundLine } from '../amount/currencies';
import { minorText, type MinorUnits } from '../amount/minor-units';
import { addMonths } from '../calendar/month';
import type { Candidate, PlanEntry } from '../decision-file/candidate-schema';
import { keptMonths } from '../pricing/kept-months';
import { unknownPrices } from '../pricing/ledger';
import { exceededLimits } from '../pricing/limits';
import { mustsNotMet } from '../pricing/needs';
import type { Pricing } from '../pricing/pricing';
import { commonParts } from './common-parts';
import { lostByMoving } from './lost-subscribers';
import { type Block, offerBlocks, type OfferBlocks } from './offer-blocks';
import { cheapestSequence } from './offer-sequence';
import { segmentCosts } from './segment-costs';
import { runThroughCost, units } from './segment-dues';

/** The best way through the horizon (decision file §9). */
export interface Route {
  /** What is paid, base currency; without `by: "keep"` with what moving loses. */
  total: string;
  /** What is kept, where ways are compared by it. */
  kept?: string;
  segments: Array<{ candidate: string; from: string; months: number }>;
}

export const DEFAULT_MOVES = 3;

/** What moving costs, and how often one may. */
export interface Moving {
  /** Whole minor units of the base currency. */
  readonly within: MinorUnits;
  readonly between: MinorUnits;
  /** Most moves between offers. */
  readonly moves: number;
  /** Percent of the subscribers that a move to another offer loses. */
  readonly loses?: string | undefined;
}

/** By what ways are compared (decision file §8, `by`). */
export type RoutedBy = 'cost' | 'keep';

/** A segment by month indexes; `to` is the month in which it is left. */
export interface PlannedSegment {
  readonly candidate: string;
  readonly from: number;
  readonly to: number;
}

/** What a way comes to, in minor units of the base currency. */
export interface WayCost {
  /** Segments, what runs through, and moves. */
  readonly paid: MinorUnits;
  /** What moving loses. */
  readonly lost: MinorUnits;
  /** What lifts bring. */
  readonly brought: MinorUnits;
  /** What is compared: paid and lost, by what is kept less what lifts bring. */
  readonly cost: MinorUnits;
}

/** Candidates ready for routes: what moving costs can change without anything being priced anew. */
export interface RouteSolver {
  /** The best way; null where there is none. */
  solve(moving: Moving): { readonly cost: MinorUnits; readonly segments: readonly PlannedSegment[] } | null;
  /** What a given way comes to; null where a candidate cannot be used in a month of it. */
  priced(segments: readonly PlannedSegment[], moving: Moving): WayCost | null;
  /** What of that is compared. */
  costOf(segments: readonly PlannedSegment[], moving: Moving): MinorUnits | null;
}

/**
 * The best sequence of candidates through the horizon, each for at least a month; the best there is.
 *
 * Segments cost what their ledger costs; moves inside an offer are folded into blocks first, then blocks of
 * different offers are put one after the other.
 *
 * @returns null where no way exists, undefined if the file asks for no route
 */
export function cheapestRoute(pricing: Pricing): Route | null | undefined {
  const { route, currency, start } = pricing.file;
  if (!route) return undefined;
  const by = route.by ?? 'cost';
  const moving = {
    within: units(currency, decimal(route.within)),
    between: units(currency, decimal(route.between)),
    moves: route.moves ?? DEFAULT_MOVES,
    loses: route.loses?.subscribers,
  };
  const solver = routeSolver(
    pricing,
    route.candidates.map((id) => candidateOf(pricing, id)),
    by,
  );
  const found = solver.solve(moving);
  const way = found && solver.priced(found.segments, moving);
  if (!found || !way) return null;
  const segments = found.segments.map(({ candidate, from, to }) => ({ candidate, from: addMonths(start, from), months: to - from }));
  return { ...wayTotals(pricing, way, by), segments };
}

/** A way's total, and by what is kept what is kept with it (decision file §9). */
export function wayTotals(
  pricing: Pricing,
  { paid, lost, brought }: Omit<WayCost, 'cost'>,
  by: RoutedBy,
): { total: string; kept?: string } {
  const { currency } = pricing.file;
  const text = (amount: MinorUnits) => minorText(amount, minorDigits(currency));
  if (by === 'cost') return { total: text(paid + lost) };
  const before = units(currency, roundLine(sum(keptMonths(pricing.forecastAt(ONE))), currency));
  return { total: text(paid), kept: text(before - paid - lost + brought) };
}

/** Prices candidates for routes, once for all costs of moving (decision file §9). */
export function routeSolver(pricing: Pricing, candidates: readonly Candidate[], by: RoutedBy = 'cost'): RouteSolver {
  const { currency, months } = pricing.file;
  const { common, rest } = commonParts(candidates, currency, (plan) => !hasCreditAgainst(pricing, plan));
  const throughout = common ? runThroughCost(pricing, common) : 0;
  const members = candidates.map((candidate, index) => {
    const costs = segmentCosts(pricing, candidate, rest[index] ?? candidate);
    const compared = (from: number, to: number, moved: boolean) =>
      costs.cost(from, to, moved) - (by === 'keep' ? costs.brought(from, to) : 0);
    return {
      id: candidate.id,
      offer: pricing.plan(candidate.plans[0]?.plan ?? '').offer.id,
      usable: usableMonths(pricing, candidate),
      segment: costs,
      costs: { cost: compared },
    };
  });
  const byOffer = grouped(members);
  const blocks = new Map<number, OfferBlocks[]>();
  const solver: RouteSolver = {
    solve({ within, between, moves, loses }) {
      // Blocks inside an offer do not depend on what moving to another one costs.
      const prepared = blocks.get(within) ?? [...byOffer.values()].map((of) => offerBlocks(of, months, within));
      blocks.clear();
      blocks.set(within, prepared);
      const sequence = cheapestSequence(prepared, months, betweenIn(pricing, between, loses), moves);
      return sequence && { cost: sequence.cost + throughout, segments: sequence.blocks.flatMap((block: Block) => block.segments) };
    },
    priced(segments, { within, between, loses }) {
      const lostIn = betweenIn(pricing, 0, loses);
      let [paid, lost, brought] = [throughout, 0, 0];
      let before: (typeof members)[number] | undefined;
      for (const { candidate, from, to } of segments) {
        const member = members.find(({ id }) => id === candidate);
        if (!member || to <= from || !member.usable.slice(from, to).every(Boolean)) return null;
        const isSameOffer = before?.offer === member.offer;
        paid += member.segment.cost(from, to, isSameOffer);
        brought += member.segment.brought(from, to);
        if (before && isSameOffer) paid += within;
        if (before && !isSameOffer) [paid, lost] = [paid + between, lost + lostIn(from)];
        before = member;
      }
      return { paid, lost, brought, cost: paid + lost - (by === 'keep' ? brought : 0) };
    },
    costOf: (segments, moving) => solver.priced(segments, moving)?.cost ?? null,
  };
  return solver;
}

/** What moving to another offer in a month costs, with what it loses. */
export function betweenIn(pricing: Pricing, between: MinorUnits, loses: string | undefined): (month: number) => MinorUnits {
  if (loses === undefined) return () => between;
  const lost = lostByMoving(pricing, loses);
  return (month) => between + lost(month);
}

function hasCreditAgainst(pricing: Pricing, { plan }: PlanEntry): boolean {
  return (pricing.plan(plan).plan.charges ?? []).some(({ against }) => against === 'plan');
}

function grouped<Member extends { offer: string }>(members: readonly Member[]): Map<string, Member[]> {
  const groups = new Map<string, Member[]>();
  for (const member of members) groups.set(member.offer, [...(groups.get(member.offer) ?? []), member]);
  return groups;
}

function candidateOf({ file }: Pricing, id: string): Candidate {
  const candidate = file.candidates.find((one) => one.id === id);
  if (!candidate) throw new RangeError(`There is no candidate ${id} in this decision file`);
  return candidate;
}

/** In which months a candidate can be used: not outgrown, every must met that is needed by then, nothing unknown (decision file §9). */
export function usableMonths(pricing: Pricing, candidate: Candidate): boolean[] {
  const { months, start } = pricing.file;
  const unmet = mustsNotMet(pricing, candidate);
  const isUnknown = unknownPrices(pricing, candidate).length > 0;
  const outgrown = new Set(exceededLimits(pricing, candidate).map(({ month }) => month));
  return Array.from({ length: months }, (_, month) => {
    const name = addMonths(start, month);
    return !isUnknown && !outgrown.has(month) && unmet.every(({ from }) => from !== undefined && name < from);
  });
}
