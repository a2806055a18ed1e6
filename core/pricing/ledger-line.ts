import type { Decimal } from '../amount/decimal';
import type { MinorAmount } from '../amount/minor-amount';
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
export class LedgerLine {
  constructor(
    /** Month index in the horizon. */
    readonly month: number,
    readonly bucket: Bucket,
    readonly source: LineSource,
    /** Currency the vendor charges in. */
    readonly currency: string,
    /** Whether it was quoted without tax, so that `feeTax` comes on top. */
    readonly taxExcluded: boolean,
    private readonly inCurrency: MinorAmount,
    /** What it comes to in the base currency, to be added up. */
    readonly inBase: MinorAmount,
  ) {}

  /** Amount in the vendor's currency, rounded to its minor unit. */
  get charged(): Decimal {
    return this.inCurrency.decimal;
  }

  /** Amount in the base currency, rounded to its minor unit; negative for a credit. */
  get amount(): Decimal {
    return this.inBase.decimal;
  }
}

/** What a charge is for; a credit is one whatever it is of. */
export function bucketOf({ credit, bucket = 'transaction' }: Charge): Bucket {
  return credit ? 'credit' : bucket;
}
