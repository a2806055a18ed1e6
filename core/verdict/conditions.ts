import { decimal, type Decimal, ONE, sum, ZERO } from '../amount/decimal';
import { moneyText, roundMoney } from '../amount/currencies';
import type { PricedDecision } from '../comparison/decision-result';
import { bestCandidate, scoreOf } from '../comparison/best';
import { type BestTwo, bestTwo } from '../comparison/best-two';
import { runnerUpOf, vendorsOf } from '../comparison/vendors';
import { salesScale } from '../comparison/sales-scale';
import { canBeChosen, type CandidateResult } from '../comparison/candidate-result';
import type { Candidate, Need } from '../decision-file/candidate-schema';
import { comparedBy } from '../decision-file/compared-by';
import type { DecisionFile } from '../decision-file/schema';
import type { Workbench } from '../decision/workbench';
import type { VersionName } from '../forecast/versions';
import { paidBy } from '../comparison/paid-by';
import { featureWords } from '../wording/need-words';
import { meets, unmetMusts } from '../pricing/needs';
import { bestPaidBy, type BestUnder, bestWithNeed } from '../proposals/best-under';
import { type Pricing } from '../pricing/pricing';
import { offersIn, withoutOffers } from '../what-if/offers';
import type { Condition, SalesLevel } from '../decision/conditions-schema';

/** The same decision with sales in another version. */
export interface OtherVersion {
  readonly version: VersionName;
  readonly file: DecisionFile;
}

/** What conditions are worked out from. */
export interface ConditionBasis {
  /** In the version of its sales that is looked at. */
  readonly workbench: Workbench;
  /** The workbench's candidates, priced. */
  readonly priced: PricedDecision;
  readonly others: readonly OtherVersion[];
  /** Names of features, where a need or a sheet has one. */
  readonly names: Readonly<Record<string, string>>;
}

/** Who costs least of some candidates, and by how much. */
interface Outcome {
  readonly winner: string | null;
  readonly total?: string;
  readonly margin?: string;
}

/** So many months at a time can every plan be asked to be paid. */
const WAYS_OF_PAYING = [1, 12] as const;

/**
 * Under which conditions which candidate is best, worked out from the results: levels of sales always; of all else
 * what says another than `leader`, and what says the same where that is worth knowing (other versions of sales, no
 * offers, other ways of paying).
 */
export function conditionsOf(basis: ConditionBasis): Condition[] {
  const { priced, others } = basis;
  const leader = bestCandidate(priced);
  return [
    ...salesConditions(priced.pricing),
    ...needConditions(basis, leader),
    ...payingConditions(basis),
    ...offerConditions(priced.pricing.file),
    ...others.map(({ version, file }): Condition => ({ kind: 'version', version, ...asOutcome(bestTwo(file)) })),
    ...firstYear(priced),
    ...freeHours(priced),
  ];
}

function outcomeOf(
  priced: PricedDecision,
  takesPart: (candidate: Candidate) => boolean,
  measured: (result: CandidateResult) => Measured = asItIs(priced),
): Outcome {
  const inRun = priced.candidates.filter(({ candidate, result }) => canBeChosen(result) && takesPart(candidate));
  return firstOf(
    inRun.map(({ result }) => measured(result)),
    priced.pricing.file,
  );
}

function asOutcome(two: BestTwo | null): Outcome {
  if (!two) return { winner: null };
  return { winner: two.first, total: two.total, ...(two.margin === null ? {} : { margin: two.margin }) };
}

/** A candidate as a condition has it: what it costs, and what it is compared by, lower being better. */
interface Measured {
  readonly id: string;
  readonly total: Decimal;
  readonly score: Decimal;
}

function firstOf(inRun: readonly Measured[], file: DecisionFile): Outcome {
  const { currency } = file;
  const ordered = [...inRun].sort((a, b) => a.score.cmp(b.score));
  const [first] = ordered;
  if (!first) return { winner: null };
  const second = runnerUpOf(ordered, vendorsOf(file));
  return {
    winner: first.id,
    total: moneyText(first.total, currency),
    ...(second ? { margin: moneyText(second.score.minus(first.score), currency) } : {}),
  };
}

/** What candidates come to as they are. */
function asItIs({ pricing }: PricedDecision): (result: CandidateResult) => Measured {
  const by = comparedBy(pricing.file);
  return (result) => ({ id: result.id, total: decimal(result.total), score: scoreOf(result, by) });
}

/** Each stretch of monthly sales with who costs least there (decision file §8). */
function salesConditions(pricing: Pricing): Condition[] {
  const scale = salesScale(pricing);
  if (!scale) return [];
  const level = levelAt(pricing);
  return scale.stretches.map(({ candidate, from, to }, index) => ({
    kind: 'sales',
    from: index === 0 ? null : level(from),
    to: index === scale.stretches.length - 1 ? null : level(to),
    isForecast: from < 1 && to >= 1,
    winner: candidate,
  }));
}

/** Average sales and orders a month at a scale. */
export function levelAt(pricing: Pricing): (scale: number) => SalesLevel {
  const { months, currency } = pricing.file;
  const forecast = pricing.forecastAt(ONE);
  const [sales, orders] = [forecast.sales, forecast.orders].map((monthly) => sum(monthly).div(months));
  return (scale) => ({
    sales: moneyText(roundMoney((sales ?? ZERO).times(scale), currency), currency),
    orders: (orders ?? ZERO).times(scale).toFixed(4),
  });
}

/** What more is needed, or what is done without, where that makes another candidate the cheapest. */
function needConditions(basis: ConditionBasis, leader: string | null): Condition[] {
  const { workbench, priced, names } = basis;
  const { needs = [], candidates } = priced.pricing.file;
  const musts = new Set(needs.filter(({ level }) => level === 'must').map(({ feature }) => feature));
  const best = candidates.find(({ id }) => id === leader);
  const asked = couldBeNeeded(priced.pricing).filter(
    ({ need }) => !best || !featuresOf(priced.pricing, best).some((one) => meets(one, need)),
  );
  // What the same plans and add-ons have is answered alike.
  const answers = new Map<string, BestUnder | null>();
  const more = asked.flatMap(({ need, had }): Condition[] => {
    const known = answers.get(had);
    const outcome = known === undefined ? bestWithNeed(workbench, need.feature) : known;
    answers.set(had, outcome);
    if (!outcome?.winner || outcome.winner === leader) return [];
    return [{ kind: 'need', label: nameOf(need.feature, names), only: outcome.margin === undefined, ...outcome }];
  });
  const less = [...musts].flatMap((feature): Condition[] => {
    const outcome = outcomeWithout(priced, feature);
    return outcome.winner === null || outcome.winner === leader ? [] : [{ kind: 'without', label: nameOf(feature, names), ...outcome }];
  });
  return [...more, ...less];
}

/** What could be asked for beside the musts: wants, and what any plan, add-on or extra on the sheets has; with which of them have it. */
function couldBeNeeded({ file }: Pricing): Array<{ readonly need: Need; readonly had: string }> {
  const { needs = [], offers, addons = [], candidates } = file;
  const parts = [
    ...offers.flatMap((offer) => [...offer.plans, ...(offer.addons ?? [])]),
    ...addons,
    ...candidates.flatMap(({ extras = [] }) => extras),
  ].map(({ features = {} }, index) => ({ features, index }));
  const isAsked = new Set(needs.map(({ feature }) => feature));
  const stated = new Set(parts.flatMap(({ features }) => Object.keys(features)));
  const others = [...stated].filter((feature) => !isAsked.has(feature) && !feature.startsWith('without-') && !feature.startsWith('owned.'));
  return [...needs.filter(({ level }) => level === 'want'), ...others.map((feature): Need => ({ feature, level: 'must' }))].map((need) => {
    const having = parts.filter(({ features }) => meets(features, need)).map(({ index }) => index);
    return { need, had: need.least === undefined ? having.join(' ') : `${need.feature} ${having.join(' ')}` };
  });
}

/** A feature's name as a person says it. */
function nameOf(feature: string, names: Readonly<Record<string, string>>): string {
  return names[feature] ?? featureWords(feature);
}

/** Who costs least if one must is no must. */
function outcomeWithout(priced: PricedDecision, feature: string): Outcome {
  const { pricing, candidates } = priced;
  const inRun = candidates.filter(({ candidate, result }) => {
    const { missing, unclear } = unmetMusts(pricing, candidate);
    return result.outgrown === null && result.unknown.length === 0 && [...missing, ...unclear].every((one) => one === feature);
  });
  return firstOf(
    inRun.map(({ result }) => asItIs(priced)(result)),
    pricing.file,
  );
}

function featuresOf(pricing: Pricing, candidate: Candidate) {
  const parts = [
    ...candidate.plans.map(({ plan }) => pricing.plan(plan).plan.features),
    ...(candidate.addons ?? []).map(({ addon }) => pricing.addon(addon).features),
    ...(candidate.extras ?? []).map(({ features }) => features),
  ];
  return parts.flatMap((features) => (features ? [features] : []));
}

/** Every plan of every sheet paid so many months at a time; those that cannot be are left out. */
function payingConditions({ workbench, priced }: ConditionBasis): Condition[] {
  return WAYS_OF_PAYING.flatMap((months): Condition[] => {
    const outcome = bestPaidBy(workbench, months, (file) => paidBy(file, months));
    return outcome ? [{ kind: 'paid', months, ...namedByPlans(priced.pricing.file, outcome.winner), ...outcome }] : [];
  });
}

/** What a candidate is by its plans: a name that somebody gave it may speak of another way of paying. */
function namedByPlans({ offers, candidates }: DecisionFile, winner: string | null): { plan?: string } {
  const used = candidates.find(({ id }) => id === winner)?.plans ?? [];
  const names = used.flatMap(({ plan: id }) =>
    offers.flatMap(({ label, vendor, plans }) => plans.filter((plan) => plan.id === id).map((plan) => `${label || vendor} ${plan.label}`)),
  );
  return names.length === 0 ? {} : { plan: names.join(' and ').trim() };
}

/** Without any special offer. */
function offerConditions(file: DecisionFile): Condition[] {
  const offers = offersIn(file);
  if (offers.length === 0) return [];
  return [
    {
      kind: 'offers-gone',
      ...asOutcome(
        bestTwo(
          withoutOffers(
            file,
            offers.map(({ id }) => id),
          ),
        ),
      ),
    },
  ];
}

/** Counting what is paid in the first twelve months alone; what is kept is not told by the month. */
function firstYear(priced: PricedDecision): Condition[] {
  const { file } = priced.pricing;
  if (file.months <= 12 || comparedBy(file) === 'keep') return [];
  const inFirstYear = ({ id, monthly }: CandidateResult) => {
    const total = sum(monthly.slice(0, 12).map(decimal));
    return { id, total, score: total };
  };
  return [{ kind: 'first-year', ...outcomeOf(priced, () => true, inFirstYear) }];
}

/** With one's own hours at nothing. */
function freeHours(priced: PricedDecision): Condition[] {
  if (priced.result.candidates.every(({ buckets }) => buckets.time === undefined)) return [];
  const measured = asItIs(priced);
  const withoutTime = (result: CandidateResult) => {
    const { id, total, score } = measured(result);
    const time = result.buckets.time ?? '0';
    return { id, total: total.minus(time), score: score.minus(time) };
  };
  return [{ kind: 'hours-free', ...outcomeOf(priced, () => true, withoutTime) }];
}
