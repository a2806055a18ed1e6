import { type Decimal, decimal, sum, ZERO } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import { priceCandidate } from '../comparison/candidate-result';
import type { Candidate } from '../decision-file/candidate-schema';
import type { DecisionFile } from '../decision-file/schema';
import type { Stream } from '../decision-file/forecast-schema';
import { unmetMusts } from '../pricing/needs';
import { preparePricing } from '../pricing/pricing';
import { partName } from '../pricing/source-name';
import { commonParts } from '../route/common-parts';

/** Two candidates beside each other, each with its own streams of sales. Amounts in base currency. */
export interface Together {
  readonly total: string;
  /** What is left of sales after it. */
  readonly keep: string;
  readonly monthly: readonly string[];
  /** What each of the two comes to with the streams that go through it. */
  readonly each: readonly [first: string, second: string];
  /** Something is not known, so that the total is a lower bound. */
  readonly atLeast: boolean;
  /** Neither is outgrown by its streams, and every must is met by one of them. */
  readonly usable: boolean;
  /** Extras that both have alike and that are paid for once, by name. */
  readonly once: readonly string[];
  /** Plans and add-ons that both have alike and that are counted for both, by name: one may be enough. */
  readonly twice: readonly string[];
}

/**
 * What two candidates cost together, when some streams of sales go through the second and all others through the first.
 *
 * Each is priced for its own streams (decision file §4 to §5); other quantities, such as contacts, count for both. An
 * extra that both have alike (as in §9) is paid for once; a plan or an add-on is counted for both, since its fees and
 * limits are counted by what passes through each. A must may be met by either.
 *
 * @returns null unless two different candidates of the file are named
 */
export function priceTogether(file: DecisionFile, first: string, second: string, streams: readonly string[]): Together | null {
  const [one, other] = [first, second].map((id) => file.candidates.find((candidate) => candidate.id === id));
  if (!one || !other || one === other) return null;
  const { common, rest } = commonParts([one, other], file.currency, () => true);
  const lean = { ...other, extras: rest[1]?.extras ?? [] };
  const others = file.forecast.streams.map(({ id }) => id).filter((id) => !streams.includes(id));
  const [ofFirst, ofSecond] = [preparePricing(withOnlyStreams(file, others)), preparePricing(withOnlyStreams(file, streams))];
  const results = [priceCandidate(ofFirst, one).result, priceCandidate(ofSecond, lean).result] as const;
  const unmetByFirst = unmet(ofFirst, one);
  const unmetByBoth = unmet(ofSecond, other).filter((feature) => unmetByFirst.includes(feature));
  const text = (amount: Decimal) => moneyText(amount, file.currency);
  return {
    total: text(sum(results.map(({ total }) => decimal(total)))),
    keep: text(sum(results.map(({ keep }) => decimal(keep)))),
    monthly: results[0].monthly.map((amount, month) => text(decimal(amount).plus(results[1].monthly[month] ?? ZERO))),
    each: [results[0].total, results[1].total],
    atLeast: results.some(({ unknown }) => unknown.length > 0),
    usable: results.every(({ outgrown }) => outgrown === null) && unmetByBoth.length === 0,
    once: (common?.extras ?? []).map(({ label }) => label),
    twice: [
      ...(common?.plans ?? []).map(({ plan }) => partName(ofFirst, 'plan', plan)),
      ...(common?.addons ?? []).map(({ addon }) => partName(ofFirst, 'addon', addon)),
    ],
  };
}

function unmet(pricing: ReturnType<typeof preparePricing>, candidate: Candidate): string[] {
  const { missing, unclear } = unmetMusts(pricing, candidate);
  return [...missing, ...unclear];
}

/** A decision file in which only some streams sell anything. */
export function withOnlyStreams(file: DecisionFile, streams: readonly string[]): DecisionFile {
  return {
    ...file,
    forecast: { ...file.forecast, streams: file.forecast.streams.map((stream) => (streams.includes(stream.id) ? stream : silent(stream))) },
  };
}

/** A stream through which nothing is sold; what refers to it stays valid. */
function silent({ orders: _orders, subscribers, ...stream }: Stream): Stream {
  return subscribers ? { ...stream, subscribers: { ...subscribers, start: '0', joins: '0' } } : { ...stream, orders: '0' };
}
