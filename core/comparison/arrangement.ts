import { decimal } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import type { Decision, LineUpView } from '../decision/decision-schema';
import type { LineUpColumn } from './line-up';

/** The columns of a line-up as a person arranged them. */
export interface Arranged {
  /** Those that stay in view first, then the others. */
  readonly columns: readonly LineUpColumn[];
  readonly pinned: number;
  /** The candidate that differences are against; null for none. */
  readonly baseline: LineUpColumn | null;
}

/**
 * Puts columns in the order a person gave them: pinned ones first, then those that were ordered, the rest by their
 * total; differences are against the baseline that was chosen, or the cheapest.
 */
export function arranged(
  columns: readonly LineUpColumn[],
  { baseline, pinned = [], order = [] }: LineUpView,
  leader: LineUpColumn | null,
  currency: string,
): Arranged {
  const named = (ids: readonly string[]) => ids.flatMap((id) => columns.find((column) => column.id === id) ?? []);
  const first = named(pinned);
  const next = named(order).filter((column) => !first.includes(column));
  const sorted = [...first, ...next, ...columns.filter((column) => !first.includes(column) && !next.includes(column))];
  const against = columns.find(({ id }) => id === baseline) ?? leader;
  const difference = (column: LineUpColumn, figure: 'total' | 'keep') =>
    against === null || column === against ? null : moneyText(decimal(column.result[figure]).minus(against.result[figure]), currency);
  return {
    columns: sorted.map((column) => ({ ...column, difference: difference(column, 'total'), keptDifference: difference(column, 'keep') })),
    pinned: first.length,
    baseline: against,
  };
}

/** A decision whose differences are against a candidate; with null against the cheapest, whoever that is. */
export function withBaseline(decision: Decision, baseline: string | null): Decision {
  const { baseline: _former, ...view } = decision.lineUp ?? {};
  return { ...decision, lineUp: baseline === null ? view : { ...view, baseline } };
}

/** A decision in which a candidate stays in view, or does not any more. */
export function withPinned(decision: Decision, id: string, isPinned: boolean): Decision {
  const pinned = (decision.lineUp?.pinned ?? []).filter((one) => one !== id);
  return { ...decision, lineUp: { ...decision.lineUp, pinned: isPinned ? [...pinned, id] : pinned } };
}

/**
 * A decision in which a column stands at another place among those shown.
 *
 * @param shown - the ids as they stand now
 * @param by - how many places to the right; negative for the left
 */
export function withMoved(decision: Decision, shown: readonly string[], id: string, by: number): Decision {
  const at = shown.indexOf(id);
  const to = Math.max(0, Math.min(shown.length - 1, at + by));
  if (at < 0 || to === at) return decision;
  const order = shown.filter((one) => one !== id);
  order.splice(to, 0, id);
  const pinned = (decision.lineUp?.pinned ?? []).filter((one) => shown.includes(one));
  return { ...decision, lineUp: { ...decision.lineUp, order, pinned: order.filter((one) => pinned.includes(one)) } };
}

/** A decision whose columns stand by their total again, none pinned. */
export function withoutArrangement(decision: Decision): Decision {
  const { lineUp: _former, ...rest } = decision;
  return rest;
}
