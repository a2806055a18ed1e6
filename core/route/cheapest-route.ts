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

/**
 * The cheapest sequence of candidates through the horizon, each for at least a month; the best there is.
 *
 * Segments cost what their ledger costs; moves inside an offer are folded into blocks first, then blocks of
 * different offers are put one after the other.
 *
 * @returns null where no way exists, undefined if the file asks for no route
 */
export function cheapestRoute(pricing: Pricing): Route | null | undefined {
  const { route, currency, months, start } = pricing.file;
  if (!route) return undefined;
  const candidates = route.candidates.map((id) => candidateOf(pricing, id));
  const { common, rest } = commonParts(candidates, currency);
  const factor = 10 ** minorDigits(currency);
  const minor = (amount: string) => decimal(amount).times(factor).toNumber();
  const byOffer = new Map<string, OfferBlocks>();
  const offers = new Map<string, Array<{ candidate: Candidate; paid: Candidate }>>();
  candidates.forEach((candidate, index) => {
    const offer = pricing.plan(candidate.plans[0]?.plan ?? '').offer.id;
    offers.set(offer, [...(offers.get(offer) ?? []), { candidate, paid: rest[index] ?? candidate }]);
  });
  for (const [offer, members] of offers) {
    const prepared = members.map(({ candidate, paid }) => ({
      id: candidate.id,
      usable: usableMonths(pricing, candidate),
      costs: segmentCosts(pricing, candidate, paid),
    }));
    byOffer.set(offer, offerBlocks(prepared, months, minor(route.within)));
  }
  const sequence = cheapestSequence([...byOffer.values()], months, minor(route.between), route.moves ?? DEFAULT_MOVES);
  if (!sequence) return null;
  const total = sequence.cost + (common ? runThroughCost(pricing, common) : 0);
  const segments = sequence.blocks.flatMap((block: Block) => block.segments);
  return {
    total: moneyText(roundMoney(decimal(total).div(factor), currency), currency),
    segments: segments.map(({ candidate, from, to }) => ({ candidate, from: addMonths(start, from), months: to - from })),
  };
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
