import { monthsBetween } from '../calendar/month';
import type { Candidate } from '../decision-file/candidate-schema';
import type { Addon, Offer, SharedAddon } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { assembleDecisionFile } from '../assembly/assemble';
import { withOpenCardFeesOfPlans } from '../assembly/card-fees';
import type { Owned } from '../decision/owned-schema';
import type { Workbench } from '../decision/workbench';
import { isThere } from '../needs/file-needs';
import type { DecisionNeed } from '../decision/need-schema';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { cheapestPair } from './cheapest-pair';
import type { Combination } from './combination-search';
import { type JudgedPlan, passedOver, type Reason } from './passed-over';
import { type PlanChoice, totalText } from './propose';
import { cheaperBelow, renewalNotKnown } from './renewal-not-known';

/** What a candidate that follows a proposal is made of. */
export type MakeUp = Pick<Candidate, 'plans' | 'addons' | 'payments'>;

/** A proposal; amounts are decimals in base currency. */
export interface Proposed {
  readonly made: MakeUp;
  readonly total: string;
  /** How much more than the least that is proposed for any vendor. */
  readonly above: string;
}

/** What is proposed for a vendor, and what became of each of its plans. */
export interface VendorProposal {
  readonly offer: string;
  /** The vendor's name. */
  readonly label: string;
  /** Its kind of platform, free text. */
  readonly kind: string;
  /** Null where no combination can be used. The total has what goes on of what is owned, and of hours, extras and lift what the vendor's sheet states. */
  readonly proposed: Proposed | null;
  readonly plans: ReadonlyArray<{
    readonly plan: string;
    readonly label: string;
    readonly reason: Reason;
    /** The cheapest way of using it; null where it cannot be used. */
    readonly best: Pick<Proposed, 'made' | 'total'> | null;
  }>;
  /** Plans that could be used, but for a renewal price that is not known; the one that may cost least first. */
  readonly renewals: readonly RenewalOpen[];
}

/** What a plan costs at least as long as its renewal price is not known. */
export interface RenewalOpen {
  readonly plan: string;
  readonly made: MakeUp;
  /** With the least that the renewal is assumed to cost, base currency. */
  readonly atLeast: string;
  /** Months that the open price pays for. */
  readonly months: number;
  /** Currency of the open price. */
  readonly currency: string;
  /**
   * Below which renewal price it costs less than what is proposed for its vendor, or where nothing is, than the least for
   * any vendor; null where it does at none, or there is nothing to set it against.
   */
  readonly below: string | null;
}

/** Everything that is proposed for a decision. */
export interface DecisionProposals {
  readonly vendors: readonly VendorProposal[];
  /** Two vendors that do the job together, of those that do not alone. */
  readonly pair: {
    readonly offers: readonly [string, string];
    readonly labels: readonly [string, string];
    readonly made: MakeUp;
    readonly total: string;
    /** Against the least proposed for a vendor alone; null where none is. */ readonly above: string | null;
  } | null;
}

const OWNED = 'owned.';

/** Whether an add-on of a {@link proposalFile} stands for something owned. */
export const isOwned = (addon: string) => addon.startsWith(OWNED);

/**
 * The cheapest usable combination for every vendor of a decision (decision file §10), over every way of taking payments
 * that there is. What is owned already counts as an add-on: it goes on, at its price from when it is paid until, where
 * that is cheapest.
 */
export function decisionProposals(workbench: Workbench): DecisionProposals {
  const pricing = preparePricing(vendorFile(workbench));
  const payments = (offer: Offer) => paymentsFor(pricing.file, offer);
  const judged = judgedVendors(pricing);
  const least = leastOf(judged);
  const ranges = workbench.decision.whatIf?.ranges ?? {};
  const vendors = judged.map(({ vendor, total }) => ({
    ...vendor,
    renewals: openRenewals(pricing, vendor.offer, (plan, term) => ranges[`price:${plan} term ${term}`]?.[0] ?? '0', total ?? least),
  }));
  const alone = new Set(vendors.filter(({ proposed }) => proposed).map(({ offer }) => offer));
  // Of two together, one takes the payments: the other need not say what that would cost.
  const together = preparePricing(proposalFile(workbench));
  const pair = cheapestPair(
    together,
    together.file.offers.filter(({ id }) => !alone.has(id)),
    payments,
  );
  const labelOf = (id: string) => vendors.find(({ offer }) => offer === id)?.label ?? id;
  return {
    vendors,
    pair: pair && {
      offers: pair.offers,
      labels: [labelOf(pair.offers[0]), labelOf(pair.offers[1])],
      made: madeOfChoice(pair.choice),
      total: totalText(pricing, pair.choice.total),
      above: least === null ? null : totalText(pricing, pair.choice.total - least),
    },
  };
}

/** The decision as vendors are searched alone: a plan that states no card fee has one that is not known. */
export function vendorFile(workbench: Workbench): DecisionFile {
  return withOpenCardFeesOfPlans(
    proposalFile(workbench),
    workbench.sheets.map(({ sheet }) => sheet),
  );
}

/** The decision as it is searched: without candidates, with what is owned as add-ons sold by others. */
export function proposalFile(workbench: Workbench): DecisionFile {
  const { file } = assembleDecisionFile({ ...workbench, decision: { ...workbench.decision, candidates: [] } });
  const owned = (workbench.decision.owned ?? [])
    .map((one) => ownedAddon(one, file))
    .filter(({ currency }) => currency === file.currency || file.rates?.[currency] !== undefined);
  return withoutUnwanted({ ...file, addons: [...(file.addons ?? []), ...owned] }, workbench.decision.needs ?? []);
}

/** Add-ons that have what a candidate must be without are not proposed with anything. */
function withoutUnwanted(file: DecisionFile, needs: readonly DecisionNeed[]): DecisionFile {
  const unwanted = needs.filter(({ without, level }) => without && level === 'must').map(({ feature }) => feature);
  const isWanted = ({ features }: Pick<Addon, 'features'>) => !unwanted.some((feature) => isThere(features?.[feature]));
  return {
    ...file,
    addons: (file.addons ?? []).filter(isWanted),
    offers: file.offers.map((offer) => (offer.addons ? { ...offer, addons: offer.addons.filter(isWanted) } : offer)),
  };
}

/** Something owned as an add-on: a trial as long as it is paid already makes its next payment fall due when it does. */
function ownedAddon({ id, label, amount, months, currency, paidUntil, features }: Owned, file: DecisionFile): SharedAddon {
  const from = paidUntil === undefined ? 0 : Math.max(0, monthsBetween(file.start, paidUntil) + 1);
  return {
    id: `${OWNED}${id}`,
    label,
    currency: currency ?? file.currency,
    terms: [{ id: 'goes-on', months, price: months === 0 ? '0' : amount, ...(from > 0 && months > 0 ? { trialDays: from * 30 } : {}) }],
    features: Object.fromEntries(features.map((feature) => [feature, true])),
  };
}

/**
 * How payments of an offer can be taken: by the platform itself where any of its plans states a fee for it, and by every
 * outside processor. A platform that states none takes none itself: that it were free is the usual mistake.
 */
export function paymentsFor({ processors = [] }: DecisionFile, { plans }: Pick<Offer, 'plans'>): string[] {
  const outside = processors.map(({ id }) => id);
  const takesItself = plans.some(({ charges = [] }) =>
    charges.some(({ bucket, only }) => bucket === 'payment' && only?.payments !== 'outside'),
  );
  return takesItself || outside.length === 0 ? ['own', ...outside] : outside;
}

/** What is proposed for every offer of a prepared file, and what became of each plan. */
export function vendorProposals(pricing: Pricing): VendorProposal[] {
  return judgedVendors(pricing).map(({ vendor }) => vendor);
}

function openRenewals(
  pricing: Pricing,
  offerId: string,
  leastOf: (plan: string, term: string) => string,
  against: number | null,
): RenewalOpen[] {
  const offer = pricing.file.offers.find(({ id }) => id === offerId);
  const payments = offer ? paymentsFor(pricing.file, offer) : [];
  const found = (offer?.plans ?? []).flatMap((plan) => {
    const open = offer && renewalNotKnown(pricing, offer, plan, payments, (term) => leastOf(plan.id, term));
    return open ? [{ open, currency: plan.currency }] : [];
  });
  return found
    .sort((a, b) => a.open.choice.total - b.open.choice.total)
    .map(({ open, currency }) => ({
      plan: open.plan,
      made: madeOfChoice(open.choice),
      atLeast: totalText(pricing, open.choice.total),
      months: open.months,
      currency,
      below: against === null ? null : (cheaperBelow(pricing, open, against)?.toFixed() ?? null),
    }));
}

interface JudgedVendor {
  readonly vendor: VendorProposal;
  /** The proposal's total in minor units. */
  readonly total: number | null;
}

function judgedVendors(pricing: Pricing): JudgedVendor[] {
  const judged = pricing.file.offers.map((offer) => ({ offer, plans: passedOver(pricing, offer, paymentsFor(pricing.file, offer)) }));
  const bestOf = (plans: readonly JudgedPlan[]) => plans.find(({ reason }) => reason.kind === 'proposed')?.choice ?? null;
  const least = leastOf(judged.map(({ plans }) => ({ total: bestOf(plans)?.total ?? null }))) ?? 0;
  return judged.map(({ offer, plans }) => {
    const best = bestOf(plans);
    const vendor = {
      offer: offer.id,
      label: offer.label || offer.vendor,
      kind: offer.kind,
      proposed: best && { made: madeOfChoice(best), total: totalText(pricing, best.total), above: totalText(pricing, best.total - least) },
      plans: plans.map(({ plan, reason, choice }) => ({
        plan,
        label: offer.plans.find(({ id }) => id === plan)?.label ?? plan,
        reason,
        best: choice && { made: madeOfChoice(choice), total: totalText(pricing, choice.total) },
      })),
      renewals: [],
    };
    return { vendor, total: best?.total ?? null };
  });
}

function leastOf(judged: ReadonlyArray<Pick<JudgedVendor, 'total'>>): number | null {
  const totals = judged.flatMap(({ total }) => total ?? []);
  return totals.length === 0 ? null : Math.min(...totals);
}

function madeOfChoice({ plans, payments, choices }: PlanChoice): MakeUp {
  return made(
    plans,
    choices.map(({ addon, term, count }) => ({ addon: addon.id, term, count })),
    payments,
  );
}

/** A combination as what a candidate is made of; what is owned already comes to a candidate by itself. */
export function madeOf({ plan, term, addons, payments }: Combination): MakeUp {
  return made([{ plan, term }], addons, payments);
}

function made(
  plans: PlanChoice['plans'],
  taken: ReadonlyArray<{ addon: string; term?: string | undefined; count: number }>,
  payments: string,
): MakeUp {
  const addons = taken
    .filter(({ addon }) => !isOwned(addon))
    .map(({ addon, term, count }) => ({ addon, ...(term === undefined ? {} : { term }), ...(count === 1 ? {} : { count }) }));
  return {
    plans: plans.map(({ plan, term }) => ({ plan, term })),
    ...(addons.length > 0 ? { addons } : {}),
    ...(payments === 'own' ? {} : { payments }),
  };
}
