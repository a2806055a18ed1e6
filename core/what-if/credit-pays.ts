import { decimal, type Decimal, ONE } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import { averageMonth } from '../comparison/average-sales';
import { priceDecision } from '../comparison/decision-result';
import type { DecisionFile } from '../decision-file/schema';
import { LEVELS } from './break-evens';
import { ladderOf, ofBuckets } from './ladder';

/** A plan with a credit that grows with sales, and the sales at which the credit is as much as the plan costs. */
export interface CreditPays {
  /** "Marlpit". */
  readonly vendor: string;
  readonly candidate: string;
  readonly plan: string;
  /** What the plan costs and what is earned against it at the forecast, base currency, over the horizon. */
  readonly cost: string;
  readonly earned: string;
  /** Average sales a month at which both are the same, base currency; null where no looked-at level earns that much. */
  readonly monthlySales: string | null;
}

/** To a ten-thousandth of the forecast. */
const STEPS = 20;

/**
 * Sales at which a credit pays for its plan. A credit that can only be used against the plan counts with all that is
 * earned, as the month in which it is used plays no part in that.
 */
export function creditPays(file: DecisionFile): CreditPays[] {
  const earning = asEarned(file);
  const priced = priceDecision(earning);
  return file.offers.flatMap((offer) =>
    ladderOf(offer, priced).flatMap(({ plan, candidate }): CreditPays[] => {
      if (!plan.charges?.some(({ credit }) => credit)) return [];
      const alone = { ...earning, candidates: [candidate] };
      const at = (level: Decimal) => {
        const { result } = priceDecision(alone, level);
        const [own] = result.candidates;
        const of = (bucket: 'plan' | 'credit') => (own ? ofBuckets(own, [bucket]) : decimal(0));
        return { result, cost: of('plan'), earned: of('credit').neg() };
      };
      const pays = firstLevel((level) => {
        const { cost, earned } = at(level);
        return earned.gte(cost);
      });
      const now = at(ONE);
      return [
        {
          vendor: offer.label || offer.vendor,
          candidate: candidate.id,
          plan: plan.label,
          cost: moneyText(now.cost, file.currency),
          earned: moneyText(now.earned, file.currency),
          monthlySales: pays && averageMonth(alone, at(pays).result).sales,
        },
      ];
    }),
  );
}

/** The file with credits that count as they are earned, whatever they may be used for. */
function asEarned(file: DecisionFile): DecisionFile {
  return {
    ...file,
    offers: file.offers.map((offer) => ({
      ...offer,
      plans: offer.plans.map((plan) => ({
        ...plan,
        ...(plan.charges ? { charges: plan.charges.map(({ against: _against, ...charge }) => charge) } : {}),
      })),
    })),
  };
}

/** The lowest level of sales at which something holds that goes on holding above it; null where it never does. */
function firstLevel(holds: (level: Decimal) => boolean): Decimal | null {
  let [below, above] = [decimal(LEVELS.from), decimal(LEVELS.to)];
  if (holds(below)) return below;
  if (!holds(above)) return null;
  for (let step = 0; step < STEPS; step++) {
    const middle = below.plus(above).div(2);
    if (holds(middle)) above = middle;
    else below = middle;
  }
  return above;
}
