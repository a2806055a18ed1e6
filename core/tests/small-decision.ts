import type { Decision } from '../decision/decision-schema';

/** A year of one stream, one order a month of 10.00 unless it says otherwise; `more` replaces fields. */
export function smallDecision(more: Partial<Decision> = {}, orders = '1'): Decision {
  return {
    name: 'q',
    currency: 'EUR',
    start: '2027-01',
    months: 12,
    forecast: { streams: [{ id: 's', label: 's', kind: 'goods', orders, orderValue: '10' }] },
    candidates: [],
    ...more,
  };
}
