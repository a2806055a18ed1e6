import { type Decimal, decimal, withoutDivisionResidue } from '../amount/decimal';
import type { Candidate, Lift, Need } from '../decision-file/candidate-schema';
import type { Addon, Features, Offer, Plan } from '../decision-file/price-sheet-schema';
import { candidateCharges } from '../pricing/candidate-charges';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { ledgerOf, unknownPrices } from '../pricing/ledger';
import type { LedgerLine } from '../pricing/ledger-line';
import { limitedQuantities } from '../pricing/limits';
import { meets, mustsOf } from '../pricing/needs';
import { paymentLines } from '../pricing/payment-lines';
import { FROM_THE_START, paymentSchedule, type ScheduledPayment } from '../pricing/payment-schedule';
import { creditPayments, planCredits } from '../pricing/plan-credit';
import { type Pricing, readingWith } from '../pricing/pricing';
import { liftKey } from '../forecast/lift';
import { takenBy } from './taken-by-offers';

/** What a part of a proposal costs before tax, in whole minor units of the base currency. */
export interface PartCost {
  readonly total: number;
  /** What tax comes on top of, by month; null where nothing is quoted without tax. */
  readonly taxed: readonly number[] | null;
  /** Whether any line is in the seller's favour, so that taking more of it can make a proposal cheaper. */
  readonly hasCredit: boolean;
}

/** A part of no cost. */
export const NO_COST: PartCost = { total: 0, taxed: null, hasCredit: false };

/** Adds up ledger lines as a part's cost; exact up to 9e15 minor units. */
export function costOf(pricing: Pricing, lines: readonly LedgerLine[]): PartCost {
  const { months } = pricing.file;
  let [total, hasCredit, taxed] = [0, false, null as number[] | null];
  for (const { inBase, month, taxExcluded } of lines) {
    const { units } = inBase;
    total += units;
    if (units < 0) hasCredit = true;
    if (!taxExcluded) continue;
    taxed ??= new Array<number>(months).fill(0);
    taxed[month] = (taxed[month] ?? 0) + units;
  }
  return { total, taxed, hasCredit };
}

/** Two parts together. */
export function sumOfCosts(one: PartCost, other: PartCost): PartCost {
  const taxed =
    one.taxed && other.taxed ? one.taxed.map((units, month) => units + (other.taxed?.[month] ?? 0)) : (one.taxed ?? other.taxed);
  return { total: one.total + other.total, taxed, hasCredit: one.hasCredit || other.hasCredit };
}

const partOf = (fields: Partial<Candidate>): Candidate => ({ id: 'proposal', label: '', plans: [], ...fields });

/** The offers of plans, each once. */
function offersOf(pricing: Pricing, plans: readonly Plan[]): Offer[] {
  return [...new Set(plans.map(({ id }) => pricing.plan(id).offer))];
}

/** A plan, or several together, through one processor: charges and what is lacking; terms are priced apart. */
export interface PlanPart {
  readonly payments: string;
  /** Charges of the plan and of the processor, and what the offer takes besides: hours and extras. */
  readonly charges: PartCost;
  /** Percent more orders that the offer brings. */
  readonly lift: Lift | undefined;
  /** By how much each limit falls short in the worst month, by its name; only those that do. */
  readonly short: ReadonlyMap<string, Decimal>;
  /** Musts, by their position, that the plan itself does not meet. */
  readonly unmet: readonly number[];
}

/** Plans as one part; null where they cannot be proposed whatever is bought beside them. */
export function planPart(pricing: Pricing, plans: readonly Plan[], payments: string): PlanPart | null {
  const used = plans.flatMap(({ id, terms: [anyTerm] }) => (anyTerm ? [{ plan: id, term: anyTerm.id }] : []));
  if (used.length < plans.length) return null;
  const taken = takenBy(offersOf(pricing, plans));
  const candidate = partOf({ plans: used, payments, ...taken });
  if (candidateCharges(pricing, candidate).some(({ charge }) => isChargeNotKnown(charge))) return null;
  const limits = limitedQuantities(pricing, candidate);
  const raisable = new Set(plans.flatMap(({ limits: own }) => Object.keys(own ?? {})));
  const short = new Map<string, Decimal>();
  for (const { limit, quantities, most } of limits) {
    const worst = quantities.reduce((highest, quantity) => (quantity.gt(highest) ? quantity : highest), decimal(0));
    const lacking = withoutDivisionResidue(worst).minus(most);
    if (!lacking.gt(0)) continue;
    // What a charge is not sold beyond, and what a year's limit allows, no add-on can raise.
    if (!raisable.has(limit)) return null;
    if (lacking.gt(short.get(limit) ?? 0)) short.set(limit, lacking);
  }
  const ofTerm = (source: LedgerLine['source']) => source.kind === 'term' || source.kind === 'joining-fee' || source.kind === 'tax';
  const lines = ledgerOf(pricing, candidate).lines.filter(({ source }) => !ofTerm(source) && !isPlanCredit(pricing, source));
  const having = [...plans.map(({ features }) => features), ...(taken.extras ?? []).map(({ features }) => features)];
  const unmet = musts(pricing).flatMap((need, position) => (having.some((features) => meets(features, need)) ? [] : [position]));
  return { payments, charges: costOf(pricing, lines), lift: taken.lift, short, unmet };
}

/** Whether a plan's term has a price that nobody knows. */
export function unknownTerm(pricing: Pricing, plan: Plan, term: string): boolean {
  return unknownPrices(pricing, partOf({ plans: [{ plan: plan.id, term }] }), []).length > 0;
}

/** Whether an add-on's term has a price that nobody knows. */
export function unknownAddonTerm(pricing: Pricing, addon: Addon, term: string): boolean {
  return unknownPrices(pricing, partOf({ addons: [{ addon: addon.id, term }] }), []).length > 0;
}

/** What paying a plan by one of its terms costs, joining fees included, less the credits that only pay for it. */
export function termCost(pricing: Pricing, plan: Plan, term: string, payments = 'own'): PartCost {
  const { lift } = takenBy(offersOf(pricing, [plan]));
  const candidate = partOf({ plans: [{ plan: plan.id, term }], payments, ...(lift === undefined ? {} : { lift }) });
  return costOf(pricing, paymentLines(pricing, [...paymentSchedule(pricing, candidate), ...creditedTo(pricing, plan, candidate)]));
}

/** What credits that only pay for a plan take off its payments; few plans have any. */
function creditedTo(pricing: Pricing, plan: Plan, candidate: Candidate): ScheduledPayment[] {
  if (!(plan.charges ?? []).some(({ against }) => against === 'plan')) return [];
  const charges = candidateCharges(pricing, candidate).filter(({ charge }) => !isChargeNotKnown(charge));
  return creditPayments(planCredits(pricing, candidate, charges, FROM_THE_START), readingWith(pricing, candidate));
}

function isPlanCredit(pricing: Pricing, source: LedgerLine['source']): boolean {
  if (source.kind !== 'charge' || source.owner !== 'plan') return false;
  return pricing.plan(source.id).plan.charges?.find(({ id }) => id === source.charge)?.against === 'plan';
}

/** Needs that must be met, in the order of the file. */
export function musts({ file }: Pricing): Need[] {
  return mustsOf(file);
}

/** One way of taking an add-on. */
export interface AddonChoice {
  readonly addon: Addon;
  readonly term: string | undefined;
  readonly count: number;
  readonly cost: PartCost;
}

/** With what an add-on is taken: its charges depend on who processes payments, and on the orders there are. */
export type AddonUse = Pick<PlanPart, 'payments' | 'lift'>;

/** An add-on's charges through one processor; null where it cannot be proposed with it. */
export function addonCharges(pricing: Pricing, addon: Addon, { payments, lift }: AddonUse): PartCost | null {
  const candidate = partOf({ addons: [{ addon: addon.id }], payments, ...(lift === undefined ? {} : { lift }) });
  const ofAddon = (source: LedgerLine['source']) => source.kind === 'charge' && source.owner === 'addon';
  const own = new Set((addon.charges ?? []).map(({ id }) => id));
  if (candidateCharges(pricing, candidate).some(({ charge, owner }) => owner.kind === 'addon' && isChargeNotKnown(charge))) return null;
  const exceeded = limitedQuantities(pricing, candidate).some(
    ({ limit, quantities, most }) => own.has(limit) && quantities.some((quantity) => withoutDivisionResidue(quantity).gt(most)),
  );
  return exceeded
    ? null
    : costOf(
        pricing,
        ledgerOf(pricing, candidate).lines.filter(({ source }) => ofAddon(source)),
      );
}

const keptChoices = new WeakMap<Pricing, Map<string, readonly AddonChoice[]>>();

/**
 * The ways of paying for so many of an add-on; none where every price is unknown. They are the same for every plan that
 * is paid through the same processor, and worked out once.
 *
 * @param charges - what the add-on charges through that processor
 */
export function addonChoices(
  pricing: Pricing,
  addon: Addon,
  count: number,
  charges: PartCost,
  { payments, lift }: AddonUse,
): readonly AddonChoice[] {
  const kept = keptChoices.get(pricing) ?? new Map<string, readonly AddonChoice[]>();
  keptChoices.set(pricing, kept);
  const key = `${addon.id} ${count} ${payments} ${liftKey(lift)}`;
  const choices = kept.get(key) ?? choicesOf(pricing, addon, count, charges);
  kept.set(key, choices);
  return choices;
}

function choicesOf(pricing: Pricing, addon: Addon, count: number, charges: PartCost): AddonChoice[] {
  const terms = addon.terms ?? [];
  if (terms.length === 0) return [{ addon, term: undefined, count, cost: charges }];
  return terms.flatMap(({ id: term }) => {
    const candidate = partOf({ addons: [{ addon: addon.id, term, count }] });
    if (unknownPrices(pricing, candidate, []).length > 0) return [];
    return [{ addon, term, count, cost: sumOfCosts(charges, costOf(pricing, paymentLines(pricing, paymentSchedule(pricing, candidate)))) }];
  });
}

/** Musts, by their position, that an add-on meets. */
export function mustsMet(pricing: Pricing, features: Features | undefined): number[] {
  return musts(pricing).flatMap((need, position) => (meets(features, need) ? [position] : []));
}
