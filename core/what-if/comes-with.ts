import { moneyText } from '../amount/currencies';
import { priceDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { isThere } from '../needs/file-needs';
import { type BoughtSingly, boughtSingly, singleSources } from './bought-singly';
import { ladderOf, ofBuckets, PLAN_BUCKETS } from './ladder';

/** What comes with a plan, and what it is worth to this seller: what the same things would cost singly. */
export interface ComesWith {
  /** "Marlpit". */
  readonly vendor: string;
  readonly candidate: string;
  /** The plan's id, and its name. */
  readonly planId: string;
  readonly plan: string;
  /** What the plan itself costs, base currency, over the horizon. */
  readonly cost: string;
  /** The things that are needed or wanted, bought singly; null where nobody on the sheets sells any of them singly. */
  readonly singly: BoughtSingly | null;
  /** Things that others pay for singly and that nobody here has asked for: worth nothing to this seller. */
  readonly notAsked: readonly string[];
}

/**
 * What comes with every plan that a candidate stands for and could be bought singly instead, so that a plan that has
 * much in it can be set against its parts; plans without any such thing are left out. What is worth most comes first.
 */
export function comesWith(file: DecisionFile): ComesWith[] {
  const sources = singleSources(file);
  if (sources.length === 0) return [];
  const priced = priceDecision(file);
  const asked = new Set((file.needs ?? []).map(({ feature }) => feature));
  const rows = file.offers.flatMap((offer) =>
    ladderOf(offer, priced).flatMap(({ plan, result }): ComesWith[] => {
      const { features = {} } = plan;
      const there = Object.keys(features).filter((feature) => isThere(features[feature]));
      const singly = boughtSingly(
        file,
        sources,
        offer.id,
        there.filter((feature) => asked.has(feature)),
      );
      const others = there.filter((feature) => !asked.has(feature));
      const notAsked = others.filter((feature) => boughtSingly(file, sources, offer.id, [feature]) !== null);
      if (singly === null && notAsked.length === 0) return [];
      return [
        {
          vendor: offer.label || offer.vendor,
          candidate: result.id,
          planId: plan.id,
          plan: plan.label,
          cost: moneyText(ofBuckets(result, PLAN_BUCKETS), file.currency),
          singly,
          notAsked,
        },
      ];
    }),
  );
  const worth = ({ singly }: ComesWith) => Number(singly?.total ?? 0);
  return rows.sort((a, b) => worth(b) - worth(a));
}
