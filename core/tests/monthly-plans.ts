import { readDecisionFile } from '../decision-file/read';
import type { DecisionFile } from '../decision-file/schema';

/** Plans by the month with a share of sales; a kite is 10, of which 100 are sold a month at first. */
export function monthlyPlans(
  plans: Readonly<Record<string, readonly [monthly: string, percent: string]>>,
  more: object = {},
): DecisionFile {
  const names = Object.keys(plans);
  return readDecisionFile({
    format: 'venalis.decision',
    version: 2,
    name: 'Chance',
    currency: 'EUR',
    start: '2027-01',
    months: 12,
    forecast: { streams: [{ id: 's', label: 'Kites', kind: 'goods', orders: '100', orderValue: '10' }] },
    offers: names.map((id) => ({
      id: `o${id}`,
      vendor: id,
      label: id,
      kind: 'k',
      plans: [
        {
          id: `p${id}`,
          label: id,
          currency: 'EUR',
          terms: [{ id: 'm', months: 1, price: plans[id]?.[0] ?? '0' }],
          charges: [{ id: `c${id}`, label: 'Fee', how: 'per-order', percent: plans[id]?.[1] ?? '0' }],
        },
      ],
    })),
    candidates: names.map((id) => ({ id, label: id, plans: [{ plan: `p${id}`, term: 'm' }] })),
    ...more,
  });
}
