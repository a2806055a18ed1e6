import { decimal, fixed, sum } from '../amount/decimal';
import type { Charge, Plan, Term } from '../decision-file/price-sheet-schema';
import type { UsedSheet } from '../decision/workbench';
import type { MonthlyForecast } from '../forecast/forecast';
import { type MonthlyPrices, monthlyPrices } from '../price-sheet/monthly-prices';
import type { DecisionProposals } from './decision-proposals';

/** A vendor at a glance: its best plan for this seller, what it asks a month, and what an order comes to. */
export interface VendorOverview extends MonthlyPrices {
  readonly sheetId: string;
  readonly offer: string;
  /** The plan that is best here, or the first of the sheet where none can be used; null where it has none. */
  readonly plan: Plan | null;
  readonly term: Term | null;
  /** Whether the plan can be used as it is. */
  readonly isUsable: boolean;
  /** The first charge for card payments, and the first on sales of the platform's own. */
  readonly cardFee: Charge | null;
  readonly salesFee: Charge | null;
  /** Everything, hours that the sheet states included, by order over the horizon, base currency, 4 places; null without orders. */
  readonly perOrder: string | null;
}

/** The vendors of a decision at a glance, in the order of their sheets. */
export function vendorOverviews(
  sheets: readonly UsedSheet[],
  { vendors }: Pick<DecisionProposals, 'vendors'>,
  forecast: Pick<MonthlyForecast, 'orders'>,
): VendorOverview[] {
  const orders = sum(forecast.orders);
  return sheets.flatMap(({ id, sheet }): VendorOverview[] => {
    if (sheet.kind !== 'offer') return [];
    const proposed = vendors.find(({ offer }) => offer === sheet.offer.id)?.proposed ?? null;
    const [used] = proposed?.made.plans ?? [];
    const plan = sheet.offer.plans.find((one) => one.id === used?.plan) ?? sheet.offer.plans[0] ?? null;
    const term = plan?.terms.find((one) => one.id === used?.term) ?? plan?.terms[0] ?? null;
    const charges = plan?.charges ?? [];
    return [
      {
        sheetId: id,
        offer: sheet.offer.id,
        plan,
        term,
        isUsable: proposed !== null,
        ...monthlyPrices(plan, term),
        cardFee: charges.find(({ bucket }) => bucket === 'payment') ?? null,
        salesFee:
          charges.find(({ bucket = 'transaction', on = 'orders' }) => bucket === 'transaction' && ['orders', 'sales'].includes(on)) ?? null,
        perOrder: proposed && !orders.isZero() ? fixed(decimal(proposed.total).div(orders), 4) : null,
      },
    ];
  });
}
