import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';

/** A plan by the month with one charge per order. */
export interface MonthlyPlan {
  readonly monthly: string;
  readonly charge: Readonly<Record<string, unknown>>;
}

/** A candidate for each plan, by name; a kite is 10, of which 100 are sold a month. `more` replaces fields. */
export function plansWithCharges(plans: Readonly<Record<string, MonthlyPlan>>, more: object = {}): DecisionFile {
  const all = Object.entries(plans);
  return readDecisionFile({
    format: 'venalis.decision',
    version: 2,
    name: 'Plans',
    currency: 'EUR',
    start: '2027-01',
    months: 12,
    forecast: { streams: [{ id: 's', label: 'Kites', kind: 'goods', orders: '100', orderValue: '10' }] },
    offers: all.map(([id, { monthly, charge }]) => ({
      id: `o${id}`,
      vendor: id,
      label: id,
      kind: 'k',
      plans: [
        {
          id: `p${id}`,
          label: id,
          currency: 'EUR',
          terms: [{ id: 'm', months: 1, price: monthly }],
          charges: [{ id: `c${id}`, label: 'Fee', how: 'per-order', ...charge }],
        },
      ],
    })),
    candidates: all.map(([id]) => ({ id, label: id, plans: [{ plan: `p${id}`, term: 'm' }] })),
    ...more,
  });
}

/** Plans by the month with a share of sales. */
export function monthlyPlans(
  plans: Readonly<Record<string, readonly [monthly: string, percent: string]>>,
  more: object = {},
): DecisionFile {
  const charged = Object.entries(plans).map(([id, [monthly, percent]]) => [id, { monthly, charge: { percent } }] as const);
  return plansWithCharges(Object.fromEntries(charged), more);
}
