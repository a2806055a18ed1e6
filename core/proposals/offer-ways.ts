import { roundLine } from '../amount/currencies';
import { sum } from '../amount/decimal';
import type { MinorUnits } from '../amount/minor-units';
import type { Offer } from '../decision-file/price-sheet-schema';
import type { Pricing } from '../pricing/pricing';
import type { RoutedBy } from '../route/cheapest-route';
import type { OfferBlocks, Segment } from '../route/offer-blocks';
import { broughtIn } from '../route/segment-costs';
import { runThroughCost, units } from '../route/segment-dues';
import { combinationBlocks, type Priced } from './combination-blocks';
import { type Combination, combinationSearch } from './combination-search';
import {} from './part-costs';
import { takenBy } from './taken-by-offers';
import type { Proposal } from './propose';
import type { Window } from './window-costs';

/** What combinations of an offer come to as segments and blocks of a way. */
export interface OfferWays {
  readonly blocks: OfferBlocks;
  combination(id: string): Combination;
  /** Whether a combination is one of this offer. */
  has(id: string): boolean;
  /** What a segment costs, without what runs through. */
  paid(segment: Segment, moved: boolean): MinorUnits;
  /** What the offer's lift brings in a segment. */
  brought(segment: Segment): MinorUnits;
  /** What the offer's own extras cost from joining it to leaving it. */
  throughout(from: number, to: number): MinorUnits;
}

/** The best blocks of an offer over all its combinations (decision file §10, `ways`). */
export function offerWays(
  pricing: Pricing,
  offer: Offer,
  payments: readonly string[],
  proposal: Proposal,
  moving: { readonly within: MinorUnits; readonly by: RoutedBy },
): OfferWays {
  const { months, currency } = pricing.file;
  const brought = broughtIn(pricing, offer.lift);
  const broughtBetween = (from: number, to: number) => units(currency, roundLine(sum(brought.slice(from, to)), currency));
  const search = combinationSearch(pricing, offer, payments, proposal);
  const windows = new Map<string, readonly Priced[]>();
  const gainIn = ({ from, to }: Window) => (moving.by === 'keep' ? broughtBetween(from, to) : 0);
  const bestIn = (window: Window): readonly Priced[] => {
    const key = `${window.from} ${window.to} ${window.moved}`;
    const gain = gainIn(window);
    const found = windows.get(key) ?? search.cheapest(window).map(({ id, cost }) => ({ id, cost: cost - gain }));
    windows.set(key, found);
    return found;
  };
  const { extras } = takenBy([offer]);
  const known = new Map<string, MinorUnits>();
  const throughout = (from: number, to: number) => {
    if (!extras) return 0;
    const key = `${from} ${to}`;
    const cost = known.get(key) ?? runThroughCost(pricing, { id: 'extras', label: '', plans: [], extras }, from, to);
    known.set(key, cost);
    return cost;
  };
  return {
    blocks: combinationBlocks({ bestIn, atLeast: (window) => search.atLeast(window) - gainIn(window) }, months, moving.within, throughout),
    combination: search.combination,
    has: search.has,
    // What lifts bring was taken off what is compared.
    paid({ candidate, from, to }, moved) {
      const found = bestIn({ from, to, moved }).find(({ id }) => id === candidate);
      return (found?.cost ?? 0) + (moving.by === 'keep' ? broughtBetween(from, to) : 0);
    },
    brought: ({ from, to }) => broughtBetween(from, to),
    throughout,
  };
}
