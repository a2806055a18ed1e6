import type { Decimal } from '../amount/decimal';
import type { Charge } from '../decision-file/price-sheet-schema';

/** What a cost is for (decision file §5). */
export const BUCKETS = ['plan', 'payment', 'transaction', 'usage', 'addon', 'extra', 'once', 'time', 'tax', 'credit'] as const;

export type Bucket = (typeof BUCKETS)[number];

/** Where a line comes from: the line of a price sheet, or of the candidate itself. */
export type LineSource =
  | { kind: 'term'; owner: 'plan' | 'addon'; id: string; term: string }
  | { kind: 'joining-fee'; plan: string; index: number }
  | { kind: 'charge'; owner: 'plan' | 'addon' | 'processor'; id: string; charge: string }
  | { kind: 'extra'; index: number }
  | { kind: 'time' }
  | { kind: 'tax' };

/** One line of a candidate's ledger (decision file §5, Ledger). */
export interface LedgerLine {
  /** Month index in the horizon. */
  readonly month: number;
  readonly bucket: Bucket;
  readonly source: LineSource;
  /** Currency the vendor charges in. */
  readonly currency: string;
  /** Amount in the vendor's currency, rounded to its minor unit. */
  readonly charged: Decimal;
  /** Amount in the base currency, rounded to its minor unit; negative for a credit. */
  readonly amount: Decimal;
  /** Whether it was quoted without tax, so that `feeTax` comes on top. */
  readonly taxExcluded: boolean;
}

/** What a charge is for; a credit is one whatever it is of. */
export function bucketOf({ credit, bucket = 'transaction' }: Charge): Bucket {
  return credit ? 'credit' : bucket;
}
