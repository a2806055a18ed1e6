import { type Decimal, decimal, ONE } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { DecisionFile } from '../decision-file/schema';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { canBeChosen, type CandidateResult, type PricedCandidate, priceCandidate } from './candidate-result';

/** The result of a decision file (decision file §7). */
export interface DecisionResult {
  format: 'venalis.result';
  version: 1;
  months: string[];
  /** Orders a month without any lift, 4 places. */
  orders: string[];
  /** Sales a month without any lift, base currency. */
  sales: string[];
  candidates: CandidateResult[];
  cheapest: string | null;
  mostKept: string | null;
}

/** A decision priced in full: the result and the ledgers it was derived from. */
export interface PricedDecision {
  readonly pricing: Pricing;
  readonly candidates: readonly PricedCandidate[];
  readonly result: DecisionResult;
}

/**
 * Prices every candidate of a validated decision file.
 *
 * @param scale - multiplies expected orders and subscribers, default 1 (decision file §2)
 * @example priceDecision(readDecisionFile(json)).result.cheapest // 'plus-y'
 */
export function priceDecision(file: DecisionFile, scale: Decimal = ONE): PricedDecision {
  return priceAll(preparePricing(file), scale);
}

/** The same of a file that has been prepared. */
export function priceAll(pricing: Pricing, scale: Decimal = ONE): PricedDecision {
  const { file } = pricing;
  const forecast = pricing.forecastAt(scale);
  const candidates = file.candidates.map((candidate) => priceCandidate(pricing, candidate, scale));
  const results = candidates.map(({ result }) => result);
  const result: DecisionResult = {
    format: 'venalis.result',
    version: 1,
    months: [...forecast.months],
    orders: forecast.orders.map((orders) => orders.toFixed(4)),
    sales: forecast.sales.map((sales) => moneyText(roundMoney(sales, file.currency), file.currency)),
    candidates: results,
    cheapest: bestOf(results, (a, b) => decimal(a.total).lt(b.total)),
    mostKept: bestOf(results, (a, b) => decimal(a.keep).gt(b.keep)),
  };
  return { pricing, candidates, result };
}

/** The id of the best usable candidate without unknowns; the first in file order wins a tie. */
export function bestOf(results: readonly CandidateResult[], isBetter: (a: CandidateResult, b: CandidateResult) => boolean): string | null {
  let leader: CandidateResult | null = null;
  for (const one of results) if (canBeChosen(one) && (leader === null || isBetter(one, leader))) leader = one;
  return leader?.id ?? null;
}
