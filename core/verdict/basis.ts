import { bestCandidate, inOrder } from '../comparison/best';
import { vendorsOf } from '../comparison/vendors';
import { priceDecision, type PricedDecision } from '../comparison/decision-result';
import { comparedBy } from '../decision-file/compared-by';
import type { Workbench } from '../decision/workbench';
import type { DecisionFile } from '../decision-file/schema';
import { salesScale } from '../comparison/sales-scale';
import { featureWords } from '../wording/need-words';
import { meets } from '../pricing/needs';
import { allOrdersKey, type Assumption } from '../what-if/assumption';
import { routePlanner, type RoutePlan } from '../what-if/route-plan';
import { type MovingCosts } from '../route/moving-costs';
import { plain, turnsIt, type TurnsIt, type Varied } from '../what-if/turns-it';
import { conditionsOf, levelAt, type OtherVersion } from './conditions';
import type { Condition, Suits, Threshold } from '../decision/conditions-schema';

/** What a verdict on a decision can be made from; amounts in base currency. */
export interface VerdictBasis {
  readonly conditions: readonly Condition[];
  /** What would change it, the nearest first. */
  readonly thresholds: readonly Threshold[];
  /** For whom each candidate is best, by its id; absent for those that are cheapest nowhere near the forecast. */
  readonly suits: Readonly<Record<string, Suits>>;
  /** The cheapest way through the horizon; null where no candidate can be chosen, or it was not asked for. */
  readonly route: RoutePlan | null;
  /** Candidates that a price not known yet could make the cheapest. */
  readonly mayWin: readonly string[];
}

/** What a verdict is worked out from. */
export interface VerdictAsked {
  /** In the version of its sales that is looked at. */
  readonly workbench: Workbench;
  /** Cautious and hopeful sales, where they are stated. */
  readonly others: readonly OtherVersion[];
  readonly varied: readonly Varied[];
  /** What moving takes; null where no way through the horizon is asked for, which takes longest. */
  readonly moving: MovingCosts | null;
  /** Names of features, by feature. */
  readonly names: Readonly<Record<string, string>>;
}

/** So many thresholds are told. */
const MOST_THRESHOLDS = 6;

/** Works out what a verdict can be made from: conditions, thresholds, for whom it is best, and the way through the horizon. */
export function verdictBasis(file: DecisionFile, { workbench, others, varied, moving, names }: VerdictAsked): VerdictBasis {
  const priced = priceDecision(file);
  const turns = file.candidates.length === 0 || bestCandidate(priced) === null ? null : turnsIt(file, varied);
  return {
    conditions: conditionsOf({ workbench, priced, others, names }),
    thresholds: turns ? thresholdsOf(turns, varied).slice(0, MOST_THRESHOLDS) : [],
    suits: suitsOf(priced, names),
    route: file.candidates.length === 0 || moving === null ? null : routePlanner(file).plan(moving),
    mayWin: turns?.mayWin ?? [],
  };
}

/** Turning points, the nearest first: nearness is the part of its usual range by which an assumption has to move. */
function thresholdsOf({ turns }: TurnsIt, varied: readonly Varied[]): Threshold[] {
  const all = turns.flatMap(({ key, below, above }) => {
    const of = varied.find(({ assumption }) => assumption.key === key);
    if (!of) return [];
    const { assumption, low, high } = of;
    return [below, above].flatMap((point) =>
      point ? [{ ...thresholdOf(assumption, point.at, point.winner), away: Math.abs(point.at - assumption.asIs) / (high - low || 1) }] : [],
    );
  });
  return all.sort((a, b) => a.away - b.away).map(({ away: _away, ...threshold }) => threshold);
}

function thresholdOf({ key, label, kind, unit, now, asIs }: Assumption, at: number, winner: string | null): Threshold {
  return { key, label, kind, unit, now, at: plain(at), asIs: plain(asIs), winner };
}

/** For each candidate that is cheapest somewhere: the stretch that is nearest to the forecast, and what it has that others lack. */
function suitsOf({ pricing, result }: PricedDecision, names: Readonly<Record<string, string>>): Record<string, Suits> {
  const scale = salesScale(pricing);
  if (!scale) return {};
  const level = levelAt(pricing);
  const suits: Record<string, Suits> = {};
  for (const { id } of result.candidates) {
    const own = scale.stretches.map((stretch, index) => ({ ...stretch, index })).filter(({ candidate }) => candidate === id);
    const [nearest] = own.sort((a, b) => distance(a) - distance(b));
    if (!nearest) continue;
    suits[id] = {
      from: nearest.index === 0 ? null : level(nearest.from),
      to: nearest.index === scale.stretches.length - 1 ? null : level(nearest.to),
      needs: distinguishing(pricing, id, names),
    };
  }
  return suits;
}

/** How far a stretch is from the forecast, which stands at 1. */
function distance({ from, to }: { from: number; to: number }): number {
  if (from < 1 && to >= 1) return 0;
  return Math.abs(Math.log(from >= 1 ? from : to));
}

/** Needs that a candidate meets and at least one other does not. */
function distinguishing(pricing: PricedDecision['pricing'], id: string, names: Readonly<Record<string, string>>): string[] {
  const { needs = [], candidates } = pricing.file;
  const has = (candidate: DecisionFile['candidates'][number], need: (typeof needs)[number]) =>
    [
      ...candidate.plans.map(({ plan }) => pricing.plan(plan).plan.features),
      ...(candidate.addons ?? []).map(({ addon }) => pricing.addon(addon).features),
      ...(candidate.extras ?? []).map(({ features }) => features),
    ].some((features) => meets(features, need));
  const own = candidates.find((candidate) => candidate.id === id);
  if (!own) return [];
  return needs
    .filter((need) => need.level === 'must' && has(own, need) && candidates.some((other) => !has(other, need)))
    .map(({ feature }) => names[feature] ?? featureWords(feature));
}

/** The assumption that says how much is sold in all; its threshold stands among the conditions already. */
export function isSalesLevel(file: DecisionFile, key: string): boolean {
  return key === allOrdersKey(file);
}

/** The best of all other vendors’ candidates, usable and known: what a choice is set against. Of the same vendor’s where there is no other. */
export function bestOfOthers(
  { pricing, result }: PricedDecision,
  chosen: readonly string[],
): { candidate: string; total: string; keep: string } | null {
  const others = inOrder(result.candidates, comparedBy(pricing.file)).filter(({ id }) => !chosen.includes(id));
  const vendors = vendorsOf(pricing.file);
  const ofChosen = new Set(chosen.map((id) => vendors.get(id)));
  const best = others.find(({ id }) => !ofChosen.has(vendors.get(id))) ?? others[0];
  return best ? { candidate: best.id, total: best.total, keep: best.keep } : null;
}
