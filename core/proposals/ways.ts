import { decimal } from '../amount/decimal';
import { addMonths } from '../calendar/month';
import type { Offer } from '../decision-file/price-sheet-schema';
import type { Pricing } from '../pricing/pricing';
import type { MinorUnits } from '../amount/minor-units';
import { betweenIn, DEFAULT_MOVES, type Moving, type RoutedBy, wayTotals } from '../route/cheapest-route';
import type { Block } from '../route/offer-blocks';
import { blocksUpTo, cheapestSequence } from '../route/offer-sequence';
import { units } from '../route/segment-dues';
import type { Combination } from './combination-search';
import { type OfferWays, offerWays } from './offer-ways';
import type { Proposal } from './propose';

/** A stretch of a way on a combination. */
export interface WaySegment extends Combination {
  readonly from: string;
  readonly months: number;
}

/** The best way of an offer; `kept` where ways are compared by it (decision file §10, `ways`). */
export interface Way<Segment extends WaySegment = WaySegment> {
  readonly total: string;
  readonly kept?: string;
  readonly segments: readonly Segment[];
}

/** The best way of all, over all offers together. */
export type BestWay = Way<WaySegment & { readonly offer: string }>;

/** Best ways of every offer that is proposed for, and of all together where moving between them is asked for. */
export interface Ways {
  /** In the order of the proposals. */
  readonly ofOffers: ReadonlyArray<Way | null>;
  /** Undefined where only moves inside offers are asked for. */
  readonly best: BestWay | null | undefined;
}

/** What ways are searched for. */
export interface WaysAsked {
  /** What moving costs; without `between`, only moves inside offers are looked at. */
  readonly moving: Omit<Moving, 'between'> & { readonly between?: MinorUnits };
  readonly by: RoutedBy;
  /** Who may process the payments of an offer. */
  paymentsOf(offer: Offer): readonly string[];
}

/** The best ways that a file asks for; undefined if it asks for none. */
export function askedWays(pricing: Pricing, proposals: readonly Proposal[]): Ways | undefined {
  const { propose, currency } = pricing.file;
  const asked = propose?.ways;
  if (!propose || !asked) return undefined;
  const { within, between, moves = DEFAULT_MOVES, loses, by = 'cost' } = asked;
  const money = (amount: string) => units(currency, decimal(amount));
  const payments = propose.payments ?? ['own'];
  return bestWays(pricing, proposals, {
    moving: { within: money(within), moves, loses: loses?.subscribers, ...(between === undefined ? {} : { between: money(between) }) },
    by,
    paymentsOf: () => payments,
  });
}

/** What is worked out bit by bit: whoever goes through it may stop, or do something else, between two steps. */
export type InSteps<Result> = Generator<void, Result, void>;

/** Goes through all steps at once. */
export function allSteps<Result>(steps: InSteps<Result>): Result {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** The best ways of the offers that there are proposals for, and of all of them together (decision file §10, `ways`). */
export function bestWays(pricing: Pricing, proposals: readonly Proposal[], asked: WaysAsked): Ways {
  return allSteps(bestWaysInSteps(pricing, proposals, asked));
}

/** The same, a vendor at a time, then a block of one at a time. */
export function* bestWaysInSteps(pricing: Pricing, proposals: readonly Proposal[], { moving, by, paymentsOf }: WaysAsked): InSteps<Ways> {
  const { offers, months } = pricing.file;
  const { within, between, moves, loses } = moving;
  const all: Array<{ readonly offer: Offer; readonly ways: OfferWays }> = [];
  const ofOffers: Array<Way | null> = [];
  const nothing = () => 0;
  for (const proposal of proposals) {
    const offer = offers.find(({ id }) => id === proposal.offer);
    if (!offer) continue;
    const ways = offerWays(pricing, offer, paymentsOf(offer), proposal, { within, by });
    all.push({ offer, ways });
    yield;
    const isPossible = ways.blocks.cost(0, months) < Infinity;
    const way =
      isPossible && wayOf(pricing, [{ offer, ways, block: ways.blocks.block(0, months) }], { within, between: 0, lost: nothing, by });
    ofOffers.push(way ? { ...way, segments: way.segments.map(({ offer: _offer, ...segment }) => segment) } : null);
    yield;
  }
  if (between === undefined) return { ofOffers, best: undefined };
  const blocks = all.map(({ ways }) => ways.blocks);
  const moved = betweenIn(pricing, between, loses);
  // The best that is on one offer throughout bounds what is worth looking at.
  const atMost = Math.min(...blocks.map((of) => of.cost(0, months)));
  for (const of of blocks)
    for (let start = 1; start < months; start++) {
      // Asked for once, it is known when all are put together.
      of.atLeast?.(start, months);
      yield;
    }
  const worthwhile = blocksUpTo(blocks, months, moved, atMost);
  for (const { offer, from, to } of worthwhile) {
    blocks[offer]?.cost(from, to);
    yield;
  }
  const sequence = cheapestSequence(blocks, months, moved, moves, worthwhile);
  const lost = betweenIn(pricing, 0, loses);
  const parts = sequence?.blocks.flatMap((block) => {
    const found = all.find(({ ways }) => block.segments.every(({ candidate }) => ways.has(candidate)));
    return found ? [{ ...found, block }] : [];
  });
  return { ofOffers, best: parts ? wayOf(pricing, parts, { within, between, lost, by }) : null };
}

interface BlockOfOffer {
  readonly offer: Offer;
  readonly ways: OfferWays;
  readonly block: Block;
}

interface Costs {
  readonly within: number;
  readonly between: number;
  lost(month: number): number;
  readonly by: 'cost' | 'keep';
}

/** What blocks one after the other come to, and what they consist of. */
function wayOf(pricing: Pricing, blocks: readonly BlockOfOffer[], { within, between, lost, by }: Costs): BestWay {
  const sums = { paid: 0, lost: 0, brought: 0 };
  const segments = blocks.flatMap(({ offer, ways, block }, place) => {
    const [from, to] = [block.segments[0]?.from ?? 0, block.segments.at(-1)?.to ?? 0];
    sums.paid += ways.throughout(from, to) + (place > 0 ? between : 0);
    sums.lost += place > 0 ? lost(from) : 0;
    return block.segments.map((segment, index) => {
      sums.paid += ways.paid(segment, index > 0) + (index > 0 ? within : 0);
      sums.brought += ways.brought(segment);
      const month = addMonths(pricing.file.start, segment.from);
      return { offer: offer.id, ...ways.combination(segment.candidate), from: month, months: segment.to - segment.from };
    });
  });
  return { ...wayTotals(pricing, sums, by), segments };
}
