import type { DecisionFile } from '../decision-file/schema';

/**
 * Two plans whose break-even is easy to see: A asks 10 a month and 5 % of sales, B asks 30 a month and 1 %; 100 orders
 * of 10.00 a month (sales of 1,000) over a year. A costs 12 × (10 + 50) = 720, B 12 × (30 + 10) = 480; they are equal
 * at sales of 500 a month.
 */
export function kiteDecision(more: Partial<DecisionFile> = {}): DecisionFile {
  return {
    format: 'venalis.decision',
    version: 1,
    name: 'Where to sell kites',
    currency: 'EUR',
    start: '2027-01',
    months: 12,
    hourValue: '20',
    forecast: { streams: [{ id: 'kites', label: 'Kites', kind: 'goods', orders: '100', orderValue: '10', margin: '50' }] },
    offers: [
      {
        id: 'a',
        vendor: 'Alder',
        label: 'Alder',
        kind: 'store-platform',
        plans: [
          {
            id: 'pa',
            label: 'Plan',
            currency: 'EUR',
            terms: [
              { id: 'm', months: 1, price: '10' },
              { id: 'y', months: 12, price: '96' },
            ],
            charges: [{ id: 'fa', label: 'Fee', how: 'per-order', percent: '5' }],
          },
        ],
      },
      {
        id: 'b',
        vendor: 'Birch',
        label: 'Birch',
        kind: 'store-platform',
        plans: [
          {
            id: 'pb',
            label: 'Plan',
            currency: 'EUR',
            terms: [{ id: 'm', months: 1, price: '30' }],
            charges: [{ id: 'fb', label: 'Fee', how: 'per-order', percent: '1' }],
          },
        ],
      },
    ],
    candidates: [
      { id: 'A', label: 'Alder', plans: [{ plan: 'pa', term: 'm' }] },
      { id: 'B', label: 'Birch', plans: [{ plan: 'pb', term: 'm' }] },
    ],
    ...more,
  };
}
