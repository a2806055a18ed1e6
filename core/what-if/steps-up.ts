import { decimal, type Decimal, fixed } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import { addMonths } from '../calendar/month';
import { priceDecision } from '../comparison/decision-result';
import type { Offer } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { isThere } from '../needs/file-needs';
import type { Bucket } from '../pricing/ledger-line';
import { limitedQuantities } from '../pricing/limits';
import type { Pricing } from '../pricing/pricing';
import { type MonthlyPrices, monthlyPrices } from '../price-sheet/monthly-prices';
import { type BoughtSingly, boughtSingly, type SingleSource, singleSources } from './bought-singly';
import { pairBreakEvens, type PairBreakEven } from './break-evens';
import { ladderOf, ofBuckets, PLAN_BUCKETS, type Rung } from './ladder';

/** From one plan of a vendor to the next one up: what it costs more, saves and adds. Amounts in base currency, over the horizon. */
export interface StepUp {
  readonly offer: string;
  /** "Marlpit". */
  readonly vendor: string;
  readonly from: StepEnd;
  readonly to: StepEnd;
  /** What the higher plan costs more (or, negative, less): for itself, in fees on sales and payments, for all else, and in all. */
  readonly plan: string;
  readonly fees: string;
  readonly others: string;
  readonly total: string;
  /** Features that the higher plan has and the lower one does not; those that are needed first. */
  readonly adds: readonly string[];
  /** How many of the features that it adds are needed or wanted: the first so many. */
  readonly needed: number;
  /** What it costs more a month at first and from the renewal on, in the plans' currency; null where that is not to be told. */
  readonly monthly: MonthlyPrices & { readonly currency: string };
  /** What the needed or wanted things that it adds would cost singly; null where nobody sells any of them so. */
  readonly singly: BoughtSingly | null;
  readonly raises: readonly RaisedLimit[];
  /** At which sales which of the two is cheaper. */
  readonly pair: PairBreakEven | null;
}

/** A limit that the higher plan raises. */
export interface RaisedLimit {
  readonly quantity: string;
  readonly from: string;
  /** Null where the higher plan states none. */
  readonly to: string | null;
  /** What the plan costs more a month for each unit more, base currency, 4 places; null where it costs no more, or has no limit. */
  readonly perUnit: string | null;
  /** The month from which this seller has more than the lower plan allows; null for never. */
  readonly neededFrom: string | null;
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

/**
 * Every step up the ladders of the vendors, from each plan to the next dearer one, each plan at its best candidate: what
 * it adds for what more it costs. Those that save most come first.
 */
export function stepsUp(file: DecisionFile): StepUp[] {
  const priced = priceDecision(file);
  const pairs = pairBreakEvens(file);
  const context = {
    pricing: priced.pricing,
    pairs,
    sources: singleSources(file),
    wanted: new Set((file.needs ?? []).map(({ feature }) => feature)),
  };
  const steps = file.offers.flatMap((offer) => {
    const ladder = ladderOf(offer, priced);
    return ladder.slice(1).flatMap((to, index) => {
      const from = ladder[index];
      return from && isAlikeBeside(from, to) ? [stepOf(offer, from, to, context)] : [];
    });
  });
  return steps.sort((a, b) => Number(b.to.usable) - Number(a.to.usable) || decimal(a.total).cmp(b.total));
}

/** Whether both take the same beside the plan: a theme or a designer on one side alone would be taken for the plan's price. */
function isAlikeBeside(from: Rung, to: Rung): boolean {
  return JSON.stringify(from.candidate.extras ?? []) === JSON.stringify(to.candidate.extras ?? []);
}

interface StepContext {
  readonly pricing: Pricing;
  readonly sources: readonly SingleSource[];
  readonly pairs: readonly PairBreakEven[];
  readonly wanted: ReadonlySet<string>;
}

function stepOf(offer: Offer, from: Rung, to: Rung, { pricing, pairs, sources, wanted }: StepContext): StepUp {
  const { file } = pricing;
  const money = (amount: Decimal) => moneyText(amount, file.currency);
  const more = (which: readonly Bucket[]) => ofBuckets(to.result, which).minus(ofBuckets(from.result, which));
  const [plan, fees, total] = [more(PLAN_BUCKETS), more(FEES), decimal(to.result.total).minus(from.result.total)];
  const has = ({ plan }: Rung, feature: string) => isThere(plan.features?.[feature]);
  const added = Object.keys(to.plan.features ?? {}).filter((feature) => has(to, feature) && !has(from, feature));
  const needed = added.filter((feature) => wanted.has(feature));
  const [a, b] = [from.result.id, to.result.id];
  return {
    offer: offer.id,
    vendor: offer.label || offer.vendor,
    from: endOf(from),
    to: endOf(to),
    plan: money(plan),
    fees: money(fees),
    others: money(total.minus(plan).minus(fees)),
    total: money(total),
    adds: [...needed, ...added.filter((feature) => !wanted.has(feature))],
    needed: needed.length,
    monthly: monthlyMore(from, to),
    singly: boughtSingly(file, sources, offer.id, needed),
    raises: raisesOf(pricing, from, to),
    pair: pairs.find((pair) => [pair.a, pair.b].every((id) => id === a || id === b)) ?? null,
  };
}

/** What the higher plan costs more a month, each in the term in which it stands. */
function monthlyMore(from: Rung, to: Rung): StepUp['monthly'] {
  const { currency } = to.plan;
  const [lower, higher] = [from, to].map(({ plan, candidate }) =>
    monthlyPrices(plan, plan.terms.find(({ id }) => id === candidate.plans[0]?.term) ?? null),
  );
  const more = (when: keyof MonthlyPrices) => {
    const [less, most] = [lower?.[when] ?? null, higher?.[when] ?? null];
    return less === null || most === null || from.plan.currency !== currency ? null : moneyText(decimal(most).minus(less), currency);
  };
  return { now: more('now'), renewal: more('renewal'), currency };
}

function raisesOf(pricing: Pricing, from: Rung, to: Rung): RaisedLimit[] {
  const { months, start } = pricing.file;
  const monthly = ofBuckets(to.result, PLAN_BUCKETS).minus(ofBuckets(from.result, PLAN_BUCKETS)).div(months);
  const limited = limitedQuantities(pricing, from.candidate);
  return Object.entries(from.plan.limits ?? {}).flatMap(([quantity, least]): RaisedLimit[] => {
    const most = to.plan.limits?.[quantity] ?? null;
    if (most !== null && decimal(most).lte(least)) return [];
    const own = limited.find((one) => one.limit === quantity);
    const beyond = own?.quantities.findIndex((count) => count.gt(own.most)) ?? -1;
    return [
      {
        quantity,
        from: least,
        to: most,
        perUnit: most === null || monthly.lte(0) ? null : fixed(monthly.div(decimal(most).minus(least)), 4),
        neededFrom: beyond < 0 ? null : addMonths(start, beyond),
      },
    ];
  });
}

function endOf({ plan, result }: Rung): StepEnd {
  return { candidate: result.id, plan: plan.label, usable: result.usable, outgrown: result.outgrown?.month ?? null };
}
