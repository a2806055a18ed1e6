import { type Decimal, decimal } from '../amount/decimal';
import { averageMonth } from '../comparison/average-sales';
import type { PricedDecision } from '../comparison/decision-result';
import type { Investment } from '../decision/investment-schema';

/** Parts of an average month's sales that an example costs: the build, photographs, texts. */
const BUILD = '0.4';
const PHOTOGRAPHS = '0.08';
const TEXTS = '0.04';

/**
 * A bigger investment to begin with, as long as none is entered: of a size that goes with what is sold, on the candidate
 * with which one would do it oneself; 5, 10 and 20% more online orders.
 *
 * @param candidate - id of the candidate; its own hours stay
 */
export function exampleInvestment({ pricing: { file }, result }: PricedDecision, candidate: string): Investment {
  const sales = decimal(averageMonth(file, result).sales);
  const part = (of: string) => roundish(sales.times(of));
  const own = file.candidates.find(({ id }) => id === candidate)?.hours;
  return {
    instead: candidate,
    on: candidate,
    build: part(BUILD),
    photographs: part(PHOTOGRAPHS),
    texts: part(TEXTS),
    upkeep: '0',
    hours: { setup: own?.setup ?? '0', monthly: own?.monthly ?? '0' },
    lift: { cautious: '5', expected: '10', hopeful: '20' },
  };
}

/** A number as one says it in an example: its first digit, and noughts. */
function roundish(amount: Decimal): string {
  return amount.isZero() ? '0' : amount.toSignificantDigits(1).toFixed(0);
}
