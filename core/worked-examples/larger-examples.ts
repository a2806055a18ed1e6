import { decimal } from '../amount/decimal';
import { priceDecision } from '../comparison/decision-result';
import type { Charge, Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { cheapestRoute } from '../route/cheapest-route';
import { preparePricing } from '../pricing/pricing';
import { exampleFile } from './example-file';
import type { WorkedExample } from './worked-example';

/** A plan that costs nothing by itself, to show a charge by. */
const FREE: Pick<Plan, 'terms'> = { terms: [{ id: 'term', months: 0, price: '0' }] };

/** The yearly cost of a charge on an order of each size, and what it would be if all were average. */
export const ORDER_SIZES: WorkedExample = {
  given: 'Each order costs 2.6% and 0.25, at least 0.70. Orders are 30.00 on average: of ten, eight are of 15.00 and two of 90.00.',
  told(write) {
    const sizes = [
      { share: '80', times: '0.5' },
      { share: '20', times: '3' },
    ];
    const charges: Charge[] = [{ id: 'fee', label: 'Fee', how: 'per-order', percent: '2.6', each: '0.25', least: '0.70' }];
    const costs = [sizes, undefined].map((orderSizes) => {
      const stream = { orderValue: '30', ...(orderSizes ? { orderSizes } : {}) };
      return priceDecision(exampleFile({ plan: { ...FREE, charges }, stream })).candidates[0]?.result.monthly[0] ?? '0';
    });
    const [bySize = '0', average = '0'] = costs;
    return [
      `The fee is ${write.money('0.70', 'EUR')} on a small order and ${write.money('2.59', 'EUR')} on a large one: ${write.money(bySize, 'EUR')} for 100 orders.`,
      `If all were average it would be ${write.money(average, 'EUR')}: ${write.money(decimal(bySize).minus(average).toFixed(2), 'EUR')} too little.`,
    ];
  },
};

/** Two plans that cost the same at sales of 500 a month; 25 orders of 40.00 are 1,000. */
export const BETWEEN_TWO: DecisionFile = twoPlans(
  { price: '10', percent: '5' },
  { price: '30', percent: '1' },
  { stream: { orders: '25' }, file: { breakEven: { pairs: [['A', 'B']] } } },
);

/** A small plan first and a larger one later, moving at 5.00. */
export const MOVING_UP: WorkedExample = {
  given:
    'Seed costs 5.00 a month and 3% of sales, Grow 18.00 and 1%. There are 10 orders of 40.00 in January, and 2 more each month; moving costs 5.00.',
  told(write) {
    const file = twoPlans(
      { price: '5', percent: '3' },
      { price: '18', percent: '1' },
      {
        stream: { orders: { start: '10', add: '2' } },
        file: { route: { candidates: ['A', 'B'], within: '5', between: '5' } },
      },
    );
    const route = cheapestRoute(preparePricing(file));
    const throughout = priceDecision(file).candidates.map(({ result }) => result.total);
    const [first, second] = route?.segments ?? [];
    if (!route || !first || !second) return [];
    return [
      `Seed throughout costs ${write.money(throughout[0] ?? '0', 'EUR')}, Grow throughout ${write.money(throughout[1] ?? '0', 'EUR')}.`,
      `Best is Seed for ${first.months} months and Grow from ${write.month(second.from)} on: ${write.money(route.total, 'EUR')}, the move included.`,
    ];
  },
};

interface PlanOfTwo {
  readonly price: string;
  readonly percent: string;
}

/** Two plans of one vendor, A and B, each with a price by the month and a share of sales. */
function twoPlans(a: PlanOfTwo, b: PlanOfTwo, change: Parameters<typeof exampleFile>[0]): DecisionFile {
  const plan = (id: string, { price, percent }: PlanOfTwo): Plan => ({
    id,
    label: id,
    currency: 'EUR',
    terms: [{ id: 'term', months: 1, price }],
    charges: [{ id: `${id}-fee`, label: 'Fee', how: 'per-order', percent }],
  });
  const file = exampleFile(change);
  return {
    ...file,
    offers: file.offers.map((offer) => ({ ...offer, plans: [plan('a', a), plan('b', b)] })),
    candidates: ['A', 'B'].map((id) => ({ id, label: id, plans: [{ plan: id.toLowerCase(), term: 'term' }] })),
  };
}
