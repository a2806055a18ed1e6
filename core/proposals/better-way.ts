import { decimal } from '../amount/decimal';
import type { DecisionProposals } from './decision-proposals';
import type { DecisionWays, WayAhead } from './decision-ways';

/** A way with moves, and how much less it costs than staying. */
export interface BetterWay {
  readonly way: WayAhead;
  /** Base currency. */
  readonly less: string;
}

/**
 * The way with moves that saves most against the best without any of one vendor, like with like: as both are proposed.
 *
 * @param offer - the vendor whose best is set against it
 * @returns null where none costs less
 */
export function betterWay({ ofVendors, across }: DecisionWays, { vendors }: DecisionProposals, offer: string): BetterWay | null {
  const staying = vendors.find((vendor) => vendor.offer === offer)?.proposed?.total;
  if (staying === undefined) return null;
  const all = [...Object.values(ofVendors), ...(across ? [across] : [])].map((way) => ({ way, less: decimal(staying).minus(way.total) }));
  const best = all.reduce<(typeof all)[number] | null>((most, one) => (most === null || one.less.gt(most.less) ? one : most), null);
  return best && best.less.gt(0) ? { way: best.way, less: best.less.toFixed() } : null;
}
