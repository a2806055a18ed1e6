import { Decimal } from '../../amount/decimal';
import { addMonths, type Month } from '../../calendar/month';
import type { Checker } from '../../fields/checker';
import { atLeast, atMost, increase, soFar } from '../expression/build';
import type { Expression, Figure } from '../expression/expression';
import type { ChargeParts, Counted } from './kind';
import { type Charge, kindOf } from './kinds';

/** A charge in full: what its kind gives, and what minimum, caps and dates make of it (decision file §4). */
export interface ChargeRule {
  /** What its kind gives, with the steps on the way there. */
  readonly parts: ChargeParts;
  /** What holds the amount up or back, in the order in which it does, with the amount once it has. */
  readonly held: readonly HeldAmount[];
  /** What it comes to in a month, unrounded, in its currency; positive for a credit too. */
  readonly amount: Expression;
  /** The most that may be counted in a month, past which the candidate is outgrown; null for none. */
  readonly most: Figure | null;
}

export interface HeldAmount {
  readonly by: 'monthlyMin' | 'monthlyCap' | 'totalCap';
  readonly amount: Expression;
}

/** Writes a charge down as an expression: its kind's amount, then `monthlyMin`, `monthlyCap`, dates and `totalCap`. */
export function chargeRule(charge: Charge, counted: Counted): ChargeRule {
  const kind = kindOf(charge);
  const within = dated(charge, counted);
  const parts = kind.rule(charge, within);
  const held: HeldAmount[] = [];
  const hold = (by: HeldAmount['by'], amount: Expression) => {
    held.push({ by, amount });
    return amount;
  };
  let amount = parts.amount;
  if (charge.monthlyMin != null) amount = hold('monthlyMin', atLeast(amount, counted.figure('monthlyMin', charge.monthlyMin)));
  if (charge.monthlyCap != null) amount = hold('monthlyCap', atMost(amount, counted.figure('monthlyCap', charge.monthlyCap)));
  amount = between(charge, amount);
  if (charge.totalCap != null) amount = hold('totalCap', increase(atMost(soFar(amount), counted.figure('totalCap', charge.totalCap))));
  return { parts, held, amount, most: kind.most?.(charge, counted) ?? null };
}

type Dates = Pick<Charge, 'from' | 'until'>;

/** In other months than those it is dated for a charge does not exist, and counts nothing (decision file §4, Dated charges). */
export function between({ from, until }: Dates, of: Expression): Expression {
  return from === undefined && until === undefined ? of : { is: 'between', of, from: from ?? null, until: until ?? null };
}

function dated(charge: Dates, counted: Counted): Counted {
  if (charge.from === undefined && charge.until === undefined) return counted;
  return { ...counted, quantity: between(charge, counted.quantity) };
}

/** Whether a charge exists in a month, going by its dates. */
export function existsIn({ from, until }: Dates, month: string): boolean {
  return (from === undefined || month >= from) && (until === undefined || month <= until);
}

/** Whether a charge exists in some month of a horizon, going by its dates. */
export function existsWithin({ from, until }: Dates, { start, months }: { readonly start: Month; readonly months: number }): boolean {
  return (from === undefined || from < addMonths(start, months)) && (until === undefined || until >= start);
}

/** Whether some amount of a charge is not known: then it gives no line and no limit (decision file §5, Ledger). */
export function isChargeNotKnown(charge: Charge): boolean {
  const found = notKnown.get(charge) ?? hasNotKnown(charge);
  notKnown.set(charge, found);
  return found;
}

/** Every candidate that has a charge asks for it. */
const notKnown = new WeakMap<Charge, boolean>();

/** `null` stands for what is not known, but for the end of the last band. */
function hasNotKnown(value: unknown): boolean {
  if (typeof value !== 'object') return false;
  return value === null || Object.entries(value).some(([field, inner]) => field !== 'upTo' && hasNotKnown(inner));
}

/** What charges of a file can count. */
export interface Countable {
  readonly quantities: ReadonlySet<string>;
  readonly streams: ReadonlySet<string>;
}

/** What is wrong with a charge beyond its fields (decision file, Conventions and §4). */
export function checkCharge({ quantities, streams }: Countable, charge: Charge, path: readonly PropertyKey[], check: Checker): void {
  const { on, only, monthlyMin, monthlyCap, from, until } = charge;
  if (on !== undefined) check.exists(on, quantities, [...path, 'on'], 'quantity');
  only?.streams?.forEach((id, index) => check.exists(id, streams, [...path, 'only', 'streams', index], 'stream'));
  if ('free' in charge && typeof charge.free === 'object' && charge.free !== null)
    check.exists(charge.free.per, quantities, [...path, 'free', 'per'], 'quantity');
  if (monthlyMin != null && monthlyCap != null && new Decimal(monthlyMin).gt(monthlyCap))
    check.problem([...path, 'monthlyMin'], 'use not more than monthlyCap');
  if (from !== undefined && until !== undefined && from > until) check.problem([...path, 'from'], 'use a month not after until');
  if (charge.against !== undefined && charge.credit !== true)
    check.problem([...path, 'against'], 'only a credit (credit: true) can be used up by the plan’s payments');
  kindOf(charge).check?.(charge, path, check);
}
