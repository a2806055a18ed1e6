import type { GivenVerdict } from '../decision/verdict-schema';

/** A verdict for Birch of the decision in `kite-decision`, without anything it rests on; `more` replaces fields. */
export function givenVerdict(more: Partial<GivenVerdict> = {}): GivenVerdict {
  return {
    id: 'v',
    on: '2026-11-25',
    kind: 'candidate',
    parts: [{ candidate: 'B', label: 'Birch' }],
    reason: '',
    strength: 'firm',
    currency: 'EUR',
    months: 12,
    version: 'expected',
    monthlySales: '1000.00',
    monthlyOrders: '100.0',
    total: '480.00',
    runnerUp: null,
    totals: [],
    conditions: [],
    thresholds: [],
    unknown: [],
    open: [],
    sheets: [],
    ...more,
  };
}
