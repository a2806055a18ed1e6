import { type Decimal, ZERO } from '../amount/decimal';
import { moneyText } from '../amount/currencies';
import type { Bucket, LineSource } from '../pricing/ledger-line';
import type { PricedCandidate } from './candidate-result';

/** What one line of a price sheet, an extra, own time or tax comes to within a bucket, base currency. */
export interface BucketLine {
  readonly source: LineSource;
  readonly amount: string;
}

/** Takes a bucket of a candidate apart into the lines behind it, from the ledger it was added up from. */
export function bucketLines({ ledger }: PricedCandidate, bucket: Bucket, currency: string): BucketLine[] {
  const sums = new Map<string, { source: LineSource; amount: Decimal }>();
  for (const line of ledger.lines) {
    if (line.bucket !== bucket) continue;
    const key = JSON.stringify(line.source);
    const before = sums.get(key);
    sums.set(key, { source: line.source, amount: (before?.amount ?? ZERO).plus(line.amount) });
  }
  return [...sums.values()]
    .sort((a, b) => b.amount.cmp(a.amount))
    .map(({ source, amount }) => ({ source, amount: moneyText(amount, currency) }));
}
