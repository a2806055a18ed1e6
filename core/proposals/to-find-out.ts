import { bestCandidate } from '../comparison/best';
import { minorDigits } from '../amount/currencies';
import { decimal } from '../amount/decimal';
import type { PricedDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import type { Offer } from '../decision-file/price-sheet-schema';
import type { Workbench } from '../decision/workbench';
import type { Fit } from '../fit/fit';
import { answerOf, askedVendors } from '../needs/answers';
import { isWithin } from '../needs/file-needs';
import type { DecisionNeed } from '../decision/need-schema';
import { featuresOf, withoutFeature } from '../wording/need-words';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { preparePricing } from '../pricing/pricing';
import { partsOf } from '../price-sheet/parts';
import { proposalFile, paymentsFor, type DecisionProposals } from './decision-proposals';
import { addonsFor, cheapestOfPlan, totalText } from './propose';

/** Something nobody knows yet, and what it could change. */
export interface OpenQuestion {
  readonly offer: string;
  readonly sheetId: string;
  /** The plan, add-on or processor that it is about, and its name. */
  readonly part: string;
  readonly partLabel: string;
  readonly asks:
    { readonly kind: 'need'; readonly need: DecisionNeed } | { readonly kind: 'price'; readonly id: string; readonly label: string };
  /**
   * What it could change: the cheapest one, being cheaper than it by so much (base currency; null where nothing can be
   * used yet) if all that is open here turned out well; the best fit; or neither.
   */
  readonly effect: { readonly kind: 'cheapest'; readonly by: string | null } | { readonly kind: 'fit' } | { readonly kind: 'none' };
}

interface Known {
  readonly workbench: Workbench;
  readonly priced: PricedDecision;
  readonly proposals: DecisionProposals;
  readonly fits: readonly Fit[];
}

/**
 * Everything about the plans of a decision that is not known, the decisive first: what could change which candidate or
 * proposal is cheapest, then what could change which fits best.
 */
export function toFindOut(known: Known): OpenQuestion[] {
  const questions = [...needQuestions(known), ...priceQuestions(known)];
  const rank = ({ effect }: OpenQuestion) =>
    effect.kind === 'cheapest' ? -Number(effect.by ?? Infinity) : { fit: 1, none: 2 }[effect.kind];
  return questions
    .map((question, at) => ({ question, at }))
    .sort((a, b) => rank(a.question) - rank(b.question) || a.at - b.at)
    .map(({ question }) => question);
}

function needQuestions(known: Known): OpenQuestion[] {
  const { workbench, fits, priced } = known;
  const { needs = [], start, months } = workbench.decision;
  const asked = needs.filter((need) => isWithin(need, start, months));
  const gains = gainIfKnown(known, asked);
  const ruledOut = new Set(priced.result.candidates.filter(({ missing, outgrown }) => missing.length > 0 || outgrown).map(({ id }) => id));
  const possible = fits.filter(({ candidate }) => !ruledOut.has(candidate));
  const best = Math.max(0, ...possible.map(({ fit }) => fit));
  const couldFit = new Set(possible.filter(({ fit, most }) => most > best && most > fit).map(({ candidate }) => candidate));
  const fitting = new Set(
    priced.pricing.file.candidates.filter(({ id }) => couldFit.has(id)).flatMap(({ plans }) => plans.map(({ plan }) => plan)),
  );
  return askedVendors(workbench.sheets).flatMap(({ sheetId, offer, plans }) =>
    plans.flatMap((one) =>
      asked
        .filter((need) => answerOf(need, one).kind === 'not-known')
        .map((need): OpenQuestion => {
          const gain = need.level === 'must' ? gains.get(one.plan.id) : undefined;
          const other = { kind: need.level === 'want' && fitting.has(one.plan.id) ? 'fit' : 'none' } as const;
          const effect = gain === undefined ? other : ({ kind: 'cheapest', by: gain } as const);
          return {
            offer: offer.id,
            sheetId,
            part: one.plan.id,
            partLabel: `${offer.label || offer.vendor} ${one.plan.label}`.trim(),
            asks: { kind: 'need', need },
            effect,
          };
        }),
    ),
  );
}

/** By plan, how much cheaper than the cheapest it could be used if all musts that nobody answers were met. */
function gainIfKnown({ workbench, priced, proposals }: Known, needs: readonly DecisionNeed[]): Map<string, string | null> {
  const gains = new Map<string, string | null>();
  const note = (plan: string, by: string | null) => {
    const former = gains.get(plan);
    if (by === null || (former !== null && decimal(by).gt(former ?? 0))) gains.set(plan, by);
  };
  const file = proposalFile(workbench);
  const hopeful = preparePricing(withMustsMet(file, needs));
  const least = leastProposed(proposals);
  // Only what would be cheaper than that could change the result.
  const below = least === null ? null : Math.round(Number(least) * 10 ** minorDigits(file.currency));
  for (const [index, offer] of file.offers.entries()) {
    const answered = hopeful.file.offers[index];
    for (const [at, plan] of (answered ?? offer).plans.entries()) {
      if (!answered || plan.features === offer.plans[at]?.features) continue;
      const choice = cheapestOfPlan(hopeful, plan, addonsFor(hopeful, answered), paymentsFor(file, offer), below);
      if (!choice) continue;
      note(plan.id, least === null ? null : decimal(least).minus(totalText(hopeful, choice.total)).toFixed());
    }
  }
  const leader = priced.result.candidates.find(({ id }) => id === bestCandidate(priced));
  for (const { id, total, unclear, missing, outgrown } of priced.result.candidates) {
    if (unclear.length === 0 || missing.length > 0 || outgrown) continue;
    const by = leader ? decimal(leader.total).minus(total).toFixed() : null;
    const plans = priced.pricing.file.candidates.find((candidate) => candidate.id === id)?.plans ?? [];
    for (const { plan } of plans) note(plan, by);
  }
  return gains;
}

function leastProposed({ vendors }: DecisionProposals): string | null {
  const totals = vendors.flatMap(({ proposed }) => proposed?.total ?? []);
  return totals.reduce<string | null>((least, total) => (least === null || decimal(total).lt(least) ? total : least), null);
}

/** The file with every must that a plan says nothing about met. */
function withMustsMet(file: DecisionFile, needs: readonly DecisionNeed[]): DecisionFile {
  const wanted = needs
    .filter(({ level }) => level === 'must')
    .flatMap((need) => (need.without ? [withoutFeature(need.feature)] : featuresOf(need)));
  const hopeful = (plan: Offer['plans'][number]) => {
    const open = wanted.filter((feature) => plan.features?.[feature] === undefined || plan.features[feature] === null);
    return open.length === 0
      ? plan
      : { ...plan, features: { ...plan.features, ...Object.fromEntries(open.map((feature) => [feature, true])) } };
  };
  return { ...file, offers: file.offers.map((offer) => ({ ...offer, plans: offer.plans.map(hopeful) })) };
}

/** Prices that are not known, of the parts that candidates are made of. */
function priceQuestions({ workbench, priced }: Known): OpenQuestion[] {
  const leader = priced.result.candidates.find(({ id }) => id === bestCandidate(priced));
  const gains = new Map<string, string | null>();
  for (const { total, unknown, missing, outgrown } of priced.result.candidates) {
    if (missing.length > 0 || outgrown) continue;
    const by = leader ? decimal(leader.total).minus(total).toFixed() : null;
    for (const id of unknown) if (by === null || decimal(by).gt(gains.get(id) ?? 0)) gains.set(id, by);
  }
  return workbench.sheets.flatMap(({ id: sheetId, sheet }) =>
    partsOf(sheet).flatMap((part): OpenQuestion[] => {
      const named = sheet.kind === 'offer' ? `${sheet.offer.label || sheet.offer.vendor} ${part.label}`.trim() : part.label;
      const open = [
        ...(part.terms?.some(({ price, intro }) => price === null || (intro && 'price' in intro && intro.price === null))
          ? [{ id: part.id, label: 'what it costs' }]
          : []),
        ...(part.charges ?? []).filter(isChargeNotKnown).map(({ id, label }) => ({ id, label })),
      ];
      return open.map(({ id, label }) => {
        const by = gains.get(id);
        const effect = by !== undefined ? ({ kind: 'cheapest', by } as const) : ({ kind: 'none' } as const);
        return {
          offer: sheet.kind === 'offer' ? sheet.offer.id : part.id,
          sheetId,
          part: part.id,
          partLabel: named,
          asks: { kind: 'price', id, label },
          effect,
        };
      });
    }),
  );
}
