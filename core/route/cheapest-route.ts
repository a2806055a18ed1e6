import { decimal } from '../amount/decimal';
import { minorDigits, moneyText, roundMoney } from '../amount/currencies';
import { addMonths } from '../calendar/month';
import type { Candidate } from '../decision-file/candidate-schema';
import { unknownPrices } from '../pricing/ledger';
import { exceededLimits } from '../pricing/limits';
import { unmetMusts } from '../pricing/needs';
import type { Pricing } from '../pricing/pricing';
import { type Block, offerBlocks, type OfferBlocks } from './offer-blocks';
import { commonParts } from './common-parts';
import { cheapestSequence } from './offer-sequence';
import { runThroughCost, segmentCosts } from './segment-costs';

/** The cheapest way through the horizon (decision file §9). */
export interface Route {
  /** Base currency. */
  total: string;
  segments: Array<{ candidate: string; from: string; months: number }>;
}

const DEFAULT_MOVES = 3;

/** What moving costs, and how often one may. */
export interface Moving {
  /** Whole minor units of the base currency. */
  readonly within: number;
  readonly between: number;
  /** Most moves between offers. */
  readonly moves: number;
}

/** A segment by month indexes; `to` is the month in which it is left. */
export interface PlannedSegment {
  readonly candidate: string;
  readonly from: number;
  readonly to: number;
}

/** Candidates ready for routes: what moving costs can change without anything being priced anew. */
export interface RouteSolver {
  /** The cheapest way; null where there is none. */
  solve(moving: Moving): { readonly cost: number; readonly segments: readonly PlannedSegment[] } | null;
  /** What a given way costs, in minor units; null where a candidate cannot be used in a month of it. */
  costOf(segments: readonly PlannedSegment[], moving: Moving): number | null;
}

/**
 * The cheapest sequence of candidates through the horizon, each for at least a month; the best there is.
 *
 * Segments cost what their ledger costs; moves inside an offer are folded into blocks first, then blocks of
 * different offers are put one after the other.
 *
 * @returns null where no way exists, undefined if the file asks for no route
 */
export function cheapestRoute(pricing: Pricing): Route | null | undefined {
  const { route, currency, start } = pricing.file;
  if (!route) return undefined;
  const factor = 10 ** minorDigits(currency);
  const minor = (amount: string) => decimal(amount).times(factor).toNumber();
  const found = routeSolver(pricing, route.candidates).solve({
    within: minor(route.within),
    between: minor(route.between),
    moves: route.moves ?? DEFAULT_MOVES,
  });
  return (
    found && {
      total: moneyText(roundMoney(decimal(found.cost).div(factor), currency), currency),
      segments: found.segments.map(({ candidate, from, to }) => ({ candidate, from: addMonths(start, from), months: to - from })),
    }
  );
}

/** Prices candidates for routes, once for all costs of moving (decision file §9). */
export function routeSolver(pricing: Pricing, ids: readonly string[]): RouteSolver {
  const { currency, months } = pricing.file;
  const candidates = ids.map((id) => candidateOf(pricing, id));
  const { common, rest } = commonParts(candidates, currency);
  const throughout = common ? runThroughCost(pricing, common) : 0;
  const members = candidates.map((candidate, index) => ({
    id: candidate.id,
    offer: pricing.plan(candidate.plans[0]?.plan ?? '').offer.id,
    usable: usableMonths(pricing, candidate),
    costs: segmentCosts(pricing, candidate, rest[index] ?? candidate),
  }));
  const byOffer = grouped(members);
  const blocks = new Map<number, OfferBlocks[]>();
  return {
    solve({ within, between, moves }) {
      // Blocks inside an offer do not depend on what moving to another one costs.
      const prepared = blocks.get(within) ?? [...byOffer.values()].map((of) => offerBlocks(of, months, within));
      blocks.clear();
      blocks.set(within, prepared);
      const sequence = cheapestSequence(prepared, months, between, moves);
      return sequence && { cost: sequence.cost + throughout, segments: sequence.blocks.flatMap((block: Block) => block.segments) };
    },
    costOf(segments, { within, between }) {
      let cost = throughout;
      let before: (typeof members)[number] | undefined;
      for (const { candidate, from, to } of segments) {
        const member = members.find(({ id }) => id === candidate);
        if (!member || to <= from || !member.usable.slice(from, to).every(Boolean)) return null;
        const isSameOffer = before?.offer === member.offer;
        cost += member.costs.cost(from, to, isSameOffer) + (before ? (isSameOffer ? within : between) : 0);
        before = member;
      }
      return cost;
    },
  };
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

/** In which months a candidate can be used: not outgrown, every must met, nothing unknown (decision file §9). */
function usableMonths(pricing: Pricing, candidate: Candidate): boolean[] {
  const { missing, unclear } = unmetMusts(pricing, candidate);
  const never = missing.length > 0 || unclear.length > 0 || unknownPrices(pricing, candidate).length > 0;
  const outgrown = new Set(exceededLimits(pricing, candidate).map(({ month }) => month));
  return Array.from({ length: pricing.file.months }, (_, month) => !never && !outgrown.has(month));
}
