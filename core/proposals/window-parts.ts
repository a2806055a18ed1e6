import { type Decimal, fraction, withoutDivisionResidue, ZERO } from '../amount/decimal';
import { addMonths } from '../calendar/month';
import type { Candidate, Need } from '../decision-file/candidate-schema';
import type { Addon, Offer, Plan } from '../decision-file/price-sheet-schema';
import { candidateCharges } from '../pricing/candidate-charges';
import { limitedQuantities } from '../pricing/limits';
import { meets } from '../pricing/needs';
import type { Pricing } from '../pricing/pricing';
import { segmentDues } from '../route/segment-dues';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { musts } from './part-costs';
import { takenBy } from './taken-by-offers';
import { type Window, type WindowCosts, windowCosts } from './window-costs';

/** A part of a combination, priced for any window. */
export interface WindowPart extends WindowCosts {
  /** Whether it could be used throughout, whatever is bought beside it. */
  isPossible(window: Window): boolean;
}

/** How much is over a limit in the worst month of a window; not below 0. */
export interface WorstOver {
  exactly(window: Window): Decimal;
  inNumbers(window: Window): number;
}

/** A plan by one of its terms through one processor, as its offer has it. */
export interface PlanWindowPart extends WindowPart {
  readonly plan: string;
  readonly term: string;
  readonly payments: string;
  /** Limits that add-ons can raise and that are exceeded in some month, by name. */
  readonly over: ReadonlyMap<string, WorstOver>;
  /** Musts, by their position, that the plan and what comes with its offer do not meet. */
  readonly unmet: readonly number[];
}

/** What plans and add-ons of an offer are taken with. */
export interface Taken {
  readonly pricing: Pricing;
  readonly offer: Offer;
}

/** A plan by some of its terms through a processor; none where one of its prices is not known. */
export function planWindowParts({ pricing, offer }: Taken, plan: Plan, terms: readonly string[], payments: string): PlanWindowPart[] {
  const { extras = [], hours, lift } = takenBy([offer]);
  const candidates = terms.map((term): Candidate => ({
    id: 'way',
    label: '',
    plans: [{ plan: plan.id, term }],
    payments,
    ...(hours ? { hours } : {}),
    ...(lift === undefined ? {} : { lift }),
  }));
  const [any] = candidates;
  if (!any || candidateCharges(pricing, any).some(({ charge }) => isChargeNotKnown(charge))) return [];
  const having = [plan.features, ...extras.map(({ features }) => features)];
  const unmet = musts(pricing).flatMap((need, position) => (having.some((features) => meets(features, need)) ? [] : [position]));
  const limits = limitsOf(pricing, plan, any);
  return candidates.map((candidate, index) => {
    const costs = windowCosts(segmentDues(pricing, candidate, { paid: candidate, counts: () => true }), taxRate(pricing));
    return { plan: plan.id, term: terms[index] ?? '', payments, unmet, ...limits, ...costs };
  });
}

/** What is over a plan's limits, and when nothing helps; the same by whichever term it is paid. */
function limitsOf(pricing: Pricing, plan: Plan, candidate: Candidate): Pick<PlanWindowPart, 'over' | 'isPossible'> {
  const over = new Map<string, Decimal[]>();
  const possible = new Array<boolean>(pricing.file.months).fill(true);
  for (const { limit, quantities, most } of limitedQuantities(pricing, candidate))
    quantities.forEach((quantity, month) => {
      const lacking = withoutDivisionResidue(quantity).minus(most);
      if (!lacking.gt(0)) return;
      if (!Object.hasOwn(plan.limits ?? {}, limit)) return void (possible[month] = false);
      const months = over.get(limit) ?? new Array<Decimal>(pricing.file.months).fill(ZERO);
      over.set(limit, months);
      if (lacking.gt(months[month] ?? ZERO)) months[month] = lacking;
    });
  const worst = new Map([...over].map(([limit, months]) => [limit, worstOver(months)] as const));
  return { over: worst, isPossible: throughout(possible) };
}

/** So many of an add-on by one of its terms; it is known to have a price. */
export function addonWindowPart(
  { pricing, offer }: Taken,
  addon: Addon,
  term: string | undefined,
  count: number,
  payments: string,
): WindowPart {
  const { lift } = takenBy([offer]);
  const candidate: Candidate = {
    id: 'way',
    label: '',
    plans: [],
    addons: [{ addon: addon.id, ...(term === undefined ? {} : { term }), count }],
    payments,
    ...(lift === undefined ? {} : { lift }),
  };
  const own = new Set((addon.charges ?? []).map(({ id }) => id));
  const possible = new Array<boolean>(pricing.file.months).fill(true);
  for (const { limit, quantities, most } of limitedQuantities(pricing, candidate))
    if (own.has(limit)) quantities.forEach((quantity, month) => withoutDivisionResidue(quantity).gt(most) && (possible[month] = false));
  const dues = segmentDues(pricing, candidate, { paid: candidate, counts: ({ owner }) => owner.kind === 'addon' });
  const costs = windowCosts(dues, taxRate(pricing));
  return { ...costs, isPossible: throughout(possible), isAlwaysAlike: costs.isAlwaysAlike && possible.every(Boolean) };
}

/** Whether an add-on can be had at all through a processor: none of its charges is unknown. */
export function isAddonKnown(pricing: Pricing, addon: Addon, payments: string): boolean {
  const candidate: Candidate = { id: 'way', label: '', plans: [], addons: [{ addon: addon.id }], payments };
  return !candidateCharges(pricing, candidate).some(({ charge, owner }) => owner.kind === 'addon' && isChargeNotKnown(charge));
}

/** Musts, by their position, that have to be met in a window: those needed from one of its months on (decision file §6). */
export function neededIn(pricing: Pricing, { to }: Window): ReadonlySet<number> {
  const last = addMonths(pricing.file.start, to - 1);
  const isNeeded = ({ from }: Need) => from === undefined || from <= last;
  return new Set(musts(pricing).flatMap((need, position) => (isNeeded(need) ? [position] : [])));
}

/** How much each limit is over in a window, at its worst; only those that are. */
export function shortIn({ over }: PlanWindowPart, window: Window): Map<string, Decimal> {
  const short = new Map<string, Decimal>();
  for (const [limit, worst] of over) {
    const lacking = worst.exactly(window);
    if (lacking.gt(0)) short.set(limit, lacking);
  }
  return short;
}

const taxRate = ({ file }: Pricing) => fraction(file.feeTax ?? '0').toNumber();

/** Whether something holds in every month of a window. */
function throughout(months: readonly boolean[]): (window: Window) => boolean {
  // From each month on, the first in which it does not hold.
  const ends = new Array<number>(months.length).fill(months.length);
  for (let month = months.length - 1; month >= 0; month -= 1) ends[month] = months[month] ? (ends[month + 1] ?? months.length) : month;
  return ({ from, to }) => to <= (ends[from] ?? from);
}

function worstOver(months: readonly Decimal[]): WorstOver {
  const rows: Array<{ readonly exact: readonly Decimal[]; readonly numbers: readonly number[] }> = [];
  const rowFrom = (from: number) => {
    let worst = ZERO;
    const exact = months.slice(from).map((one) => (worst = one.gt(worst) ? one : worst));
    return { exact, numbers: exact.map((one) => one.toNumber()) };
  };
  const row = (from: number) => (rows[from] ??= rowFrom(from));
  return {
    exactly: ({ from, to }) => row(from).exact[to - from - 1] ?? ZERO,
    inNumbers: ({ from, to }) => row(from).numbers[to - from - 1] ?? 0,
  };
}
