import { type Decimal, decimal, withoutDivisionResidue, ZERO } from '../amount/decimal';
import { addMonths } from '../calendar/month';
import type { Candidate, Need } from '../decision-file/candidate-schema';
import type { Addon, Offer, Plan } from '../decision-file/price-sheet-schema';
import { candidateCharges } from '../pricing/candidate-charges';
import { limitedQuantities } from '../pricing/limits';
import { meets } from '../pricing/needs';
import type { Pricing } from '../pricing/pricing';
import { segmentDues, type SegmentDues } from '../route/segment-dues';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { musts, takenBy } from './part-costs';
import type { PartCost } from './part-costs';

/** A stretch of months on a candidate, and whether one came from another of the same offer. */
export interface Window {
  readonly from: number;
  /** The month in which it is left. */
  readonly to: number;
  readonly moved: boolean;
}

/** A part of a combination, priced for any window. */
export interface WindowPart {
  /** What it costs there before tax, what leaving early adds included; `taxed` by month of the window. */
  cost(window: Window): PartCost;
  /** By month: whether it could be used at all, whatever is bought beside it. */
  readonly possible: readonly boolean[];
}

/** A plan by one of its terms through one processor, as its offer has it. */
export interface PlanWindowPart extends WindowPart {
  readonly plan: string;
  readonly term: string;
  readonly payments: string;
  /** Limits that add-ons can raise, by name: by month how much is over. */
  readonly over: ReadonlyMap<string, readonly Decimal[]>;
  /** Musts, by their position, that the plan and what comes with its offer do not meet. */
  readonly unmet: readonly number[];
}

/** What plans and add-ons of an offer are taken with. */
export interface Taken {
  readonly pricing: Pricing;
  readonly offer: Offer;
}

/** A plan by a term through a processor; null where one of its prices is not known. */
export function planWindowPart({ pricing, offer }: Taken, plan: Plan, term: string, payments: string): PlanWindowPart | null {
  const { extras = [], hours, lift } = takenBy([offer]);
  const candidate: Candidate = {
    id: 'way',
    label: '',
    plans: [{ plan: plan.id, term }],
    payments,
    ...(hours ? { hours } : {}),
    ...(lift === undefined ? {} : { lift }),
  };
  if (candidateCharges(pricing, candidate).some(({ charge }) => isChargeNotKnown(charge))) return null;
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
  const having = [plan.features, ...extras.map(({ features }) => features)];
  const unmet = musts(pricing).flatMap((need, position) => (having.some((features) => meets(features, need)) ? [] : [position]));
  const cost = costIn(segmentDues(pricing, candidate, { paid: candidate, counts: () => true }));
  return { plan: plan.id, term, payments, over, unmet, possible, cost };
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
  const cost = costIn(segmentDues(pricing, candidate, { paid: candidate, counts: ({ owner }) => owner.kind === 'addon' }));
  return { possible, cost };
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
export function shortIn({ over }: PlanWindowPart, { from, to }: Window): Map<string, Decimal> {
  const short = new Map<string, Decimal>();
  for (const [limit, months] of over) {
    const worst = months.slice(from, to).reduce((highest, one) => (one.gt(highest) ? one : highest), decimal(0));
    if (worst.gt(0)) short.set(limit, worst);
  }
  return short;
}

/** Adds dues up for windows; what begins in the same month is worked out once. */
function costIn(duesFrom: (from: number, moved: boolean) => SegmentDues): WindowPart['cost'] {
  const known = new Map<string, SegmentDues>();
  return ({ from, to, moved }) => {
    const key = `${from} ${moved}`;
    const found = known.get(key) ?? duesFrom(from, moved);
    known.set(key, found);
    const left = found.leaving(to);
    const dues = found.dues.slice(0, to - from);
    const total = dues.reduce((sum, { all }) => sum + all, left.all);
    const isTaxed = left.taxExcluded !== 0 || dues.some(({ taxExcluded }) => taxExcluded !== 0);
    const taxed = isTaxed ? dues.map(({ taxExcluded }, index) => taxExcluded + (index === dues.length - 1 ? left.taxExcluded : 0)) : null;
    return { total, taxed, hasCredit: total < 0 };
  };
}
