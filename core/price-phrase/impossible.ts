import { decimal } from '../amount/decimal';
import type { StatedCharge, Statement } from './statement';

/** Beyond it a decision file is refused. */
const MOST = decimal('1e15');

const above = (one: string | null | undefined, other: string | null | undefined) => one != null && other != null && decimal(one).gt(other);

/**
 * Why a statement cannot be so, by the rules that a decision file is held to (decision file §1 and §4); null if it can.
 *
 * @example impossibility(tiersOutOfOrder) // 'the tier up to 100 comes after the one up to 600'
 */
export function impossibility(statement: Statement): string | null {
  if (
    JSON.stringify(statement)
      .match(/"\d+(\.\d+)?"/g)
      ?.some((text) => decimal(text.slice(1, -1)).gt(MOST))
  )
    return 'more than can be counted';
  switch (statement.kind) {
    case 'charge':
      return chargeImpossibility(statement.charge);
    case 'term': {
      const { months, intro, trialDays, refundDays } = statement.term;
      if (months > 1200) return 'a term of more than 100 years';
      if (intro && intro.periods > 1200) return 'more than 1200 introductory payments';
      if (intro && 'off' in intro && above(intro.off, '100')) return 'more than 100% off';
      return Math.max(trialDays ?? 0, refundDays ?? 0) > 3650 ? 'more than ten years of days' : null;
    }
    case 'introduction':
      return 'off' in statement.intro && above(statement.intro.off, '100') ? 'more than 100% off' : null;
    case 'trial':
    case 'refund':
      return statement.days > 3650 ? 'more than ten years of days' : null;
    default:
      return null;
  }
}

function chargeImpossibility(charge: StatedCharge): string | null {
  if (above(charge.monthlyMin, charge.monthlyCap)) return 'the least of a month is above the most';
  if (charge.how === 'per-order' && above(charge.least, charge.most)) return 'the least of an order is above the most';
  if (charge.how === 'package' && charge.size !== null && decimal(charge.size).isZero()) return 'packages of nothing';
  if (charge.how !== 'graduated' && charge.how !== 'volume') return null;
  for (const [index, { upTo }] of charge.bands.entries()) {
    const before = charge.bands[index - 1]?.upTo;
    if (before != null && upTo !== null && !decimal(upTo).gt(before)) return `the tier up to ${upTo} comes after the one up to ${before}`;
    if (upTo !== null && decimal(upTo).isZero()) return 'a tier up to 0';
  }
  return null;
}
