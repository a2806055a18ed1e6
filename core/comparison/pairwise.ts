import { Decimal, decimal, ZERO } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import type { Candidate, Need } from '../decision-file/candidate-schema';
import { BUCKETS, type Bucket, type LineSource } from '../pricing/ledger-line';
import { meets } from '../pricing/needs';
import type { Pricing } from '../pricing/pricing';
import { bucketLines } from './bucket-lines';
import type { PricedDecision } from './decision-result';

/** A difference in money between two candidates: a bucket, and the lines behind it. */
export interface MoneyDifference {
  readonly bucket: Bucket;
  readonly a: string;
  readonly b: string;
  /** b minus a, base currency. */
  readonly difference: string;
  readonly lines: ReadonlyArray<{ readonly of: 'a' | 'b'; readonly source: LineSource; readonly amount: string }>;
}

/** What a candidate says to a need. */
export type StatedAnswer =
  | { readonly kind: 'yes' }
  | { readonly kind: 'no' }
  | { readonly kind: 'amount'; readonly amount: string; readonly isEnough: boolean }
  | { readonly kind: 'not-known' };

/** A need to which two candidates say different things. */
export interface AnswerDifference {
  readonly feature: string;
  readonly level: Need['level'];
  readonly a: StatedAnswer;
  readonly b: StatedAnswer;
}

/** Two candidates set against each other: only what differs, the largest effect first. */
export interface Pairwise {
  readonly total: { readonly a: string; readonly b: string; readonly difference: string };
  readonly keep: { readonly a: string; readonly b: string; readonly difference: string };
  readonly money: readonly MoneyDifference[];
  readonly answers: readonly AnswerDifference[];
}

/** @returns null if one of the two is not there */
export function setAgainst({ pricing, candidates }: PricedDecision, a: string, b: string): Pairwise | null {
  const [one, other] = [a, b].map((id) => candidates.find(({ candidate }) => candidate.id === id));
  if (!one || !other) return null;
  const { currency } = pricing.file;
  const money = (amount: Decimal) => moneyText(amount, currency);
  const differing = (first: string, second: string) => ({ a: first, b: second, difference: money(decimal(second).minus(first)) });
  const buckets = BUCKETS.flatMap<MoneyDifference>((bucket) => {
    const [first, second] = [one.result.buckets[bucket] ?? '0', other.result.buckets[bucket] ?? '0'];
    const difference = decimal(second).minus(first);
    if (difference.isZero()) return [];
    const lines = [
      ...bucketLines(one, bucket, currency).map((line) => ({ of: 'a' as const, ...line })),
      ...bucketLines(other, bucket, currency).map((line) => ({ of: 'b' as const, ...line })),
    ];
    return [{ bucket, a: money(decimal(first)), b: money(decimal(second)), difference: money(difference), lines }];
  });
  return {
    total: differing(one.result.total, other.result.total),
    keep: differing(one.result.keep, other.result.keep),
    money: buckets.sort((x, y) => decimal(y.difference).abs().cmp(decimal(x.difference).abs())),
    answers: answersDiffering(pricing, one.candidate, other.candidate),
  };
}

/** Musts first, then wants by their weight. */
function answersDiffering(pricing: Pricing, a: Candidate, b: Candidate): AnswerDifference[] {
  const weight = ({ level, weight: own = '1' }: Need) => (level === 'must' ? Infinity : Number(own));
  return (pricing.file.needs ?? [])
    .map((need) => ({ need, a: statedAnswer(pricing, a, need), b: statedAnswer(pricing, b, need) }))
    .filter((one) => JSON.stringify(one.a) !== JSON.stringify(one.b))
    .sort((one, other) => weight(other.need) - weight(one.need))
    .map(({ need: { feature, level }, ...answers }) => ({ feature, level, ...answers }));
}

/** What a candidate's plans, add-ons and extras say to a need together (decision file §6). */
export function statedAnswer(pricing: Pricing, { plans, addons = [], extras = [] }: Candidate, need: Need): StatedAnswer {
  const features = [
    ...plans.map(({ plan }) => pricing.plan(plan).plan.features),
    ...addons.map(({ addon }) => pricing.addon(addon).features),
    ...extras.map((extra) => extra.features),
  ];
  const values = features.flatMap((one) => (one && Object.hasOwn(one, need.feature) ? [one[need.feature] ?? null] : []));
  const isMet = features.some((one) => meets(one, need));
  const amounts = values.filter((value) => typeof value === 'string');
  const most = amounts.reduce((largest, value) => Decimal.max(largest, value), ZERO);
  if (amounts.length > 0 && !values.includes(true)) return { kind: 'amount', amount: most.toFixed(), isEnough: isMet };
  if (isMet) return { kind: 'yes' };
  return values.includes(false) ? { kind: 'no' } : { kind: 'not-known' };
}
