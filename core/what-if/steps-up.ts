import { decimal, type Decimal, sum } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import type { CandidateResult } from '../comparison/candidate-result';
import { priceDecision, type PricedDecision } from '../comparison/decision-result';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Offer, Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { isThere } from '../needs/file-needs';
import type { Bucket } from '../pricing/ledger-line';
import { pairBreakEvens, type PairBreakEven } from './break-evens';

/** From one plan of a vendor to the next one up: what it costs more, saves and adds. Amounts in base currency, over the horizon. */
export interface StepUp {
  readonly offer: string;
  /** "Marlpit". */
  readonly vendor: string;
  readonly from: StepEnd;
  readonly to: StepEnd;
  /** What the higher plan costs more (or, negative, less): for itself, in fees on sales and payments, and in all. */
  readonly plan: string;
  readonly fees: string;
  readonly total: string;
  /** Features that the higher plan has and the lower one does not; those that are needed first. */
  readonly adds: readonly string[];
  /** How many of the features that it adds are needed or wanted: the first so many. */
  readonly needed: number;
  /** Limits that the higher plan raises; `to` null where it states none. */
  readonly raises: ReadonlyArray<{ readonly quantity: string; readonly from: string; readonly to: string | null }>;
  /** At which sales which of the two is cheaper. */
  readonly pair: PairBreakEven | null;
}

/** A plan at its best: the candidate that stands for it. */
export interface StepEnd {
  readonly candidate: string;
  readonly plan: string;
  readonly usable: boolean;
  /** The first month in which one of its limits is reached; null for none. */
  readonly outgrown: string | null;
}

const FEES: readonly Bucket[] = ['payment', 'transaction'];
const PLAN: readonly Bucket[] = ['plan', 'credit'];

/**
 * Every step up the ladders of the vendors, from each plan to the next dearer one, each plan at its best candidate: what
 * it adds for what more it costs. Those that save most come first.
 */
export function stepsUp(file: DecisionFile): StepUp[] {
  const priced = priceDecision(file);
  const pairs = pairBreakEvens(file);
  const wanted = new Set((file.needs ?? []).map(({ feature }) => feature));
  const steps = file.offers.flatMap((offer) => {
    const ladder = ladderOf(offer, priced);
    return ladder.slice(1).flatMap((to, index) => {
      const from = ladder[index];
      return from && isAlikeBeside(from, to) ? [stepOf(offer, from, to, { file, pairs, wanted })] : [];
    });
  });
  return steps.sort((a, b) => Number(b.to.usable) - Number(a.to.usable) || decimal(a.total).cmp(b.total));
}

interface Rung {
  readonly plan: Plan;
  readonly candidate: Candidate;
  readonly result: CandidateResult;
}

/** The plans of an offer that a candidate stands for alone, the cheapest plan first. */
function ladderOf({ plans }: Offer, { candidates }: PricedDecision): Rung[] {
  const rungs = plans.flatMap((plan): Rung[] => {
    const own = candidates
      .filter(({ candidate }) => candidate.plans.length === 1 && candidate.plans[0]?.plan === plan.id)
      .filter(({ result }) => result.unknown.length === 0)
      .sort((a, b) => Number(b.result.usable) - Number(a.result.usable) || decimal(a.result.total).cmp(b.result.total));
    return own[0] ? [{ plan, candidate: own[0].candidate, result: own[0].result }] : [];
  });
  return rungs.sort((a, b) => ofBuckets(a.result, PLAN).cmp(ofBuckets(b.result, PLAN)));
}

/** Whether both take the same beside the plan: a theme or a designer on one side alone would be taken for the plan's price. */
function isAlikeBeside(from: Rung, to: Rung): boolean {
  return JSON.stringify(from.candidate.extras ?? []) === JSON.stringify(to.candidate.extras ?? []);
}

function ofBuckets({ buckets }: CandidateResult, which: readonly Bucket[]): Decimal {
  return sum(which.map((bucket) => decimal(buckets[bucket] ?? '0')));
}

interface StepContext {
  readonly file: DecisionFile;
  readonly pairs: readonly PairBreakEven[];
  readonly wanted: ReadonlySet<string>;
}

function stepOf(offer: Offer, from: Rung, to: Rung, { file, pairs, wanted }: StepContext): StepUp {
  const money = (amount: Decimal) => moneyText(amount, file.currency);
  const more = (which: readonly Bucket[]) => money(ofBuckets(to.result, which).minus(ofBuckets(from.result, which)));
  const has = ({ plan }: Rung, feature: string) => isThere(plan.features?.[feature]);
  const added = Object.keys(to.plan.features ?? {}).filter((feature) => has(to, feature) && !has(from, feature));
  const needed = added.filter((feature) => wanted.has(feature));
  const [a, b] = [from.result.id, to.result.id];
  return {
    offer: offer.id,
    vendor: offer.label || offer.vendor,
    from: endOf(from),
    to: endOf(to),
    plan: more(PLAN),
    fees: more(FEES),
    total: money(decimal(to.result.total).minus(from.result.total)),
    adds: [...needed, ...added.filter((feature) => !wanted.has(feature))],
    needed: needed.length,
    raises: Object.entries(from.plan.limits ?? {}).flatMap(([quantity, least]) => {
      const most = to.plan.limits?.[quantity] ?? null;
      return most === null || decimal(most).gt(least) ? [{ quantity, from: least, to: most }] : [];
    }),
    pair: pairs.find((pair) => [pair.a, pair.b].every((id) => id === a || id === b)) ?? null,
  };
}

function endOf({ plan, result }: Rung): StepEnd {
  return { candidate: result.id, plan: plan.label, usable: result.usable, outgrown: result.outgrown?.month ?? null };
}
