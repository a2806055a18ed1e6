import type { DuesByStart, SegmentDues } from '../route/segment-dues';
import { HALF_A_UNIT } from './cheapest-addons';
import type { PartCost } from './part-costs';

/** A stretch of months on a candidate, and whether one came from another of the same offer. */
export interface Window {
  readonly from: number;
  /** The month in which it is left. */
  readonly to: number;
  readonly moved: boolean;
}

/** What a part costs in any window, in minor units of the base currency. */
export interface WindowCosts {
  /** What it costs there before tax, what leaving early adds included; `taxed` by month of the window. */
  cost(window: Window): PartCost;
  /** At least so much does it cost with tax; a fraction, worked out at once however long the window is. */
  least(window: Window): number;
  /** Whether that depends on nothing but how long a window is, whether one moved, and whether it reaches the end. */
  readonly isAlwaysAlike: boolean;
}

/**
 * Adds dues up for windows; what begins in the same month is worked out once.
 *
 * @param taxRate - what comes on top of what is quoted without tax, a fraction
 */
export function windowCosts({ joinedIn, isAlwaysAlike }: DuesByStart, taxRate: number): WindowCosts {
  const known: [SegmentDues[], SegmentDues[]] = [[], []];
  const since = (from: number, moved: boolean) => (known[moved ? 1 : 0][from] ??= joinedIn(from, moved));
  return {
    isAlwaysAlike,
    cost({ from, to, moved }) {
      const joined = since(from, moved);
      const left = joined.leaving(to);
      const dues = joined.dues().slice(0, to - from);
      const total = dues.reduce((sum, { all }) => sum + all, left.all);
      const isTaxed = left.taxExcluded !== 0 || dues.some(({ taxExcluded }) => taxExcluded !== 0);
      const taxed = isTaxed ? dues.map(({ taxExcluded }, index) => taxExcluded + (index === dues.length - 1 ? left.taxExcluded : 0)) : null;
      return { total, taxed, hasCredit: total < 0 };
    },
    least({ from, to, moved }) {
      const joined = since(from, moved);
      const left = joined.leaving(to);
      const total = joined.sumTo(to, 'all') + left.all;
      if (taxRate === 0 || !joined.isTaxed) return total;
      return total + (joined.sumTo(to, 'taxExcluded') + left.taxExcluded) * taxRate - HALF_A_UNIT * (to - from);
    },
  };
}
