import { minorDigits } from '../amount/currencies';
import { minorText, type MinorUnits } from '../amount/minor-units';
import type { Candidate } from '../decision-file/candidate-schema';
import type { DecisionFile } from '../decision-file/schema';
import { ledgerOf } from '../pricing/ledger';
import { isTermNotKnown } from '../pricing/payment-schedule';
import { preparePricing, type Pricing } from '../pricing/pricing';
import { segmentCosts } from '../route/segment-costs';

/** A way of paying for a plan, against paying for the shortest time. */
export interface PayingOption {
  readonly term: string;
  /** Months a payment covers; 0 = once and for good. */
  readonly months: number;
  /** Base currency, over the horizon, as everything of the candidate. */
  readonly total: string;
  /** What it saves against the shortest term if one stays; negative where it costs more. */
  readonly saving: string;
  /** The most by which one is out of pocket earlier than with the shortest term. */
  readonly outEarly: string;
  /** If one leaves after 1, 2, … months: what it has cost more than the shortest term; negative where less. */
  readonly ifLeft: readonly string[];
  /** The largest of these, and after how many months. */
  readonly worst: { readonly months: number; readonly loss: string } | null;
  /** From so many months on one has never lost by it, whenever one leaves; null if that is never so. */
  readonly breakEven: number | null;
}

/** A candidate whose plan can be paid for in several ways, the shortest first. */
export interface PayingAhead {
  readonly candidate: string;
  readonly plan: string;
  /** The term that the candidate has now. */
  readonly now: string;
  readonly options: readonly PayingOption[];
}

/** Every candidate whose first plan has more than one known way of being paid: what each saves, and what it risks. */
export function payingAhead(file: DecisionFile): PayingAhead[] {
  const pricing = preparePricing({ ...file, basis: 'paid' });
  const seen = new Set<string>();
  return file.candidates.flatMap((candidate) => {
    const [first] = candidate.plans;
    if (!first) return [];
    const terms = pricing
      .plan(first.plan)
      .plan.terms.filter((term) => !isTermNotKnown(term))
      .sort((a, b) => (a.months || Infinity) - (b.months || Infinity));
    // The same plan with the same things beside it is looked at once, whichever of its terms stand in the line-up.
    const key = JSON.stringify([
      first.plan,
      candidate.plans.slice(1),
      candidate.addons,
      candidate.payments,
      candidate.extras,
      candidate.hours,
    ]);
    if (terms.length < 2 || seen.has(key)) return [];
    seen.add(key);
    return [{ candidate: candidate.id, plan: first.plan, now: first.term, options: optionsOf(pricing, candidate, terms) }];
  });
}

function optionsOf(pricing: Pricing, candidate: Candidate, terms: ReadonlyArray<{ id: string; months: number }>): PayingOption[] {
  const { months: horizon, currency } = pricing.file;
  const money = (units: MinorUnits) => minorText(units, minorDigits(currency));
  const costs = terms.map(({ id }) => {
    const paid = { ...candidate, plans: candidate.plans.map((one, index) => (index === 0 ? { ...one, term: id } : one)) };
    const { cost } = segmentCosts(pricing, paid, paid);
    return Array.from({ length: horizon }, (_, index) => cost(0, index + 1, false));
  });
  const [shortest = []] = costs;
  return terms.map(({ id, months }, option) => {
    const own = costs[option] ?? [];
    const more = own.map((units, index) => units - (shortest[index] ?? 0));
    const worst = more.reduce((most, units, index) => (units > (more[most] ?? -Infinity) ? index : most), 0);
    const lastLoss = more.findLastIndex((units) => units > 0);
    return {
      term: id,
      months,
      total: money(own.at(-1) ?? 0),
      saving: money(0 - (more.at(-1) ?? 0)),
      outEarly: money(Math.max(0, ...outOfPocket(pricing, candidate, id, terms[0]?.id ?? id))),
      ifLeft: more.map(money),
      worst: (more[worst] ?? 0) > 0 ? { months: worst + 1, loss: money(more[worst] ?? 0) } : null,
      breakEven: option === 0 || lastLoss + 1 >= horizon ? null : lastLoss + 2,
    };
  });
}

/** By how much more has been paid up to each month than with another term, nothing coming back. */
function outOfPocket(pricing: Pricing, candidate: Candidate, term: string, other: string): MinorUnits[] {
  const upTo = (id: string) => {
    const staying = { ...candidate, plans: candidate.plans.map((one, index) => (index === 0 ? { ...one, term: id } : one)) };
    const { currency } = pricing.file;
    const factor = 10 ** minorDigits(currency);
    const paid = new Array<MinorUnits>(pricing.file.months).fill(0);
    for (const { month, amount } of ledgerOf(pricing, staying).lines) paid[month] = (paid[month] ?? 0) + amount.times(factor).toNumber();
    let sum = 0;
    return paid.map((units) => (sum += units));
  };
  if (term === other) return [0];
  const [own, others] = [upTo(term), upTo(other)];
  return own.map((units, index) => units - (others[index] ?? 0));
}
