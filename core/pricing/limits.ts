import { type Decimal, ONE, withoutDivisionResidue, ZERO } from '../amount/decimal';
import type { Candidate } from '../decision-file/candidate-schema';
import { isChargeNotKnown } from '../rules/charges/charge-rule';
import { constant, figure, product, quotient, sumOf } from '../rules/expression/build';
import type { Expression } from '../rules/expression/expression';
import { type LimitRule, monthlyLimit, yearlyLimit } from '../rules/limits/limit-rule';
import { candidateCharges } from './candidate-charges';
import { handledQuantity } from './counted';
import { type Pricing, readingWith } from './pricing';

/** A limit that is exceeded: in which month (index), and its name or the id of the charge that sets it. */
export interface ExceededLimit {
  readonly month: number;
  readonly limit: string;
}

/** A quantity that a plan or charge limits, as it comes out in every month. */
export interface LimitedQuantity {
  /** The quantity's id. */
  readonly quantity: string;
  /** What is reported when it is exceeded: the limit's name, or the id of the charge that sets it. */
  readonly limit: string;
  readonly quantities: readonly Decimal[];
  /** The most that is allowed in a month, in the quantity's unit (`sales` in the vendor's currency). */
  readonly most: Decimal;
}

/**
 * Every limit a candidate exceeds, month by month; within a month alphabetically (decision file §6).
 *
 * @param scale - multiplies expected orders and subscribers, default 1
 */
export function exceededLimits(pricing: Pricing, candidate: Candidate, scale: Decimal = ONE): ExceededLimit[] {
  const exceeded = limitedQuantities(pricing, candidate, scale).flatMap(({ limit, quantities, most }) =>
    quantities.flatMap((quantity, month) => (withoutDivisionResidue(quantity).gt(most) ? [{ month, limit }] : [])),
  );
  return exceeded.sort((a, b) => a.month - b.month || compared(a.limit, b.limit));
}

/** By character code. */
function compared(a: string, b: string): number {
  if (a === b) return 0;
  return a < b ? -1 : 1;
}

/** Everything that limits a candidate: its plans' limits, raised by add-ons, and last bands with a number. */
export function limitedQuantities(pricing: Pricing, candidate: Candidate, scale: Decimal = ONE): LimitedQuantity[] {
  const reading = readingWith(pricing, candidate, scale);
  return limitRules(pricing, candidate).map(({ limit, quantity, counted, most }) => ({
    limit,
    quantity,
    quantities: reading.of(counted),
    most: reading.of(most)[0] ?? ZERO,
  }));
}

/** What limits a candidate, as rules: plans' limits first, in the order of its plans, then those of charges. */
export function limitRules(pricing: Pricing, candidate: Candidate): LimitRule[] {
  return [...planLimits(pricing, candidate), ...chargeLimits(pricing, candidate)];
}

function planLimits(pricing: Pricing, candidate: Candidate): LimitRule[] {
  const { file } = pricing;
  return candidate.plans.flatMap(({ plan: id, streams }) => {
    const { plan } = pricing.plan(id);
    const of = { streams: streams === undefined ? null : new Set(streams) };
    const inCurrency = (sales: Expression) =>
      plan.currency === file.currency ? sales : quotient(sales, { is: 'rate', currency: plan.currency });
    const counted = (name: string) => handledQuantity(file, of, name, inCurrency);
    const monthly = Object.entries(plan.limits ?? {}).map(([name, most]) => {
      const stated = figure(most, { part: id, line: 'limit', id: name, field: 'most' });
      return monthlyLimit(name, counted(name), sumOf(stated, ...raisesOf(pricing, candidate, name)));
    });
    const yearly = Object.entries(plan.yearlyLimits ?? {}).map(([name, most]) =>
      yearlyLimit(name, counted(name), figure(most, { part: id, line: 'limit', id: `${name}/year`, field: 'most' })),
    );
    return [...monthly, ...yearly];
  });
}

/** What add-ons add to a limit of a name (decision file §3, `raises`). */
function raisesOf(pricing: Pricing, { addons = [] }: Candidate, name: string): Expression[] {
  return addons.flatMap(({ addon, count = 1 }) => {
    const { raises = {} } = pricing.addon(addon);
    if (!Object.hasOwn(raises, name)) return [];
    const raise = figure(raises[name], { part: addon, line: 'raise', id: name, field: 'most' });
    return [count === 1 ? raise : product(raise, constant(String(count)))];
  });
}

/** A last band with a number: the plan is not sold beyond it (decision file §4). */
function chargeLimits(pricing: Pricing, candidate: Candidate): LimitRule[] {
  return candidateCharges(pricing, candidate).flatMap(({ charge, rule: { most, parts } }) =>
    most === null || isChargeNotKnown(charge) ? [] : [{ limit: charge.id, quantity: charge.on ?? 'orders', counted: parts.quantity, most }],
  );
}
