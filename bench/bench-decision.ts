import type { Charge } from '../core/decision-file/price-sheet-schema';
import type { DecisionFile } from '../core/decision-file/schema';

/** How large a decision is wanted. */
export interface BenchSize {
  readonly candidates: number;
  readonly months: number;
  /** Charges of each candidate. */
  readonly charges: number;
}

/** Charges of every kind in turn; the figures differ from candidate to candidate. */
function chargeOf(candidate: number, index: number): Charge {
  const shared = { id: `c${candidate}-${index}`, label: `Fee ${index}` };
  const step = (candidate * 7 + index * 3) % 11;
  switch (index % 6) {
    case 0:
      return { ...shared, bucket: 'payment', how: 'per-order', percent: (1.2 + step / 10).toFixed(1), each: '0.25' };
    case 1:
      return { ...shared, how: 'per-order', percent: (step / 10).toFixed(1) };
    case 2:
      return { ...shared, bucket: 'usage', how: 'per-unit', each: '0.16', free: String(40 + step * 20) };
    case 3:
      return { ...shared, bucket: 'usage', how: 'package', on: 'contacts', size: '500', each: (2 + step / 4).toFixed(2), free: '1000' };
    case 4:
      return {
        ...shared,
        how: 'graduated',
        bands: [
          { upTo: '120', each: '0.30' },
          { upTo: '600', each: '0.20' },
          { upTo: null, each: (0.05 + step / 100).toFixed(2) },
        ],
      };
    default:
      return {
        ...shared,
        how: 'volume',
        on: 'sales',
        bands: [
          { upTo: '4000', flat: String(10 + step) },
          { upTo: '9000', flat: '45' },
          { upTo: null, percent: '0.8' },
        ],
        monthlyCap: '85',
      };
  }
}

/** A decision of a size, with every kind of charge, two currencies and a season. */
export function benchDecision({ candidates, months, charges }: BenchSize): DecisionFile {
  const indexes = Array.from({ length: candidates }, (_, index) => index);
  return {
    format: 'venalis.decision',
    version: 1,
    name: 'Benchmark',
    currency: 'EUR',
    start: '2027-01',
    months,
    rates: { USD: '0.92' },
    hourValue: '24',
    forecast: {
      streams: [
        {
          id: 'goods',
          label: 'Goods',
          kind: 'goods',
          orders: {
            start: '100',
            growth: '1.2',
            season: ['0.55', '0.6', '0.9', '1.1', '1.35', '1.5', '1.55', '1.45', '1', '0.75', '0.6', '0.65'],
          },
          orderValue: '48',
        },
        { id: 'plans', label: 'Plans', kind: 'digital', orders: { start: '22', growth: '2' }, orderValue: '9.50' },
      ],
      drivers: { contacts: { per: 'orders', ratio: '22' } },
    },
    offers: indexes.map((index) => ({
      id: `o${Math.floor(index / 2)}${index % 2 === 0 ? '' : 'b'}`,
      vendor: `Vendor ${index}`,
      label: `Vendor ${index}`,
      kind: 'store-platform',
      plans: [
        {
          id: `p${index}`,
          label: 'Plan',
          currency: index % 4 === 3 ? 'USD' : 'EUR',
          terms: [{ id: 't', months: index % 3 === 0 ? 12 : 1, price: String(20 + ((index * 13) % 40) * (index % 3 === 0 ? 10 : 1)) }],
          charges: Array.from({ length: charges }, (_, charge) => chargeOf(index, charge)),
        },
      ],
    })),
    candidates: indexes.map((index) => ({
      id: `k${index}`,
      label: `Candidate ${index}`,
      plans: [{ plan: `p${index}`, term: 't' }],
      hours: { setup: '10', monthly: '1' },
    })),
  };
}
