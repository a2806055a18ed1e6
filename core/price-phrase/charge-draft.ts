import type { Money } from './amount-rules';
import type { StatedCharge } from './statement';

/** The fields of a charge, of any kind, before it is known which kind it is. */
export interface ChargeDraft {
  readonly label?: string;
  readonly how?: StatedCharge['how'];
  readonly bucket?: NonNullable<StatedCharge['bucket']>;
  readonly on?: string;
  readonly percent?: string | null;
  readonly each?: string | null;
  readonly least?: string | null;
  readonly most?: string | null;
  readonly free?: string | null | { per: string; ratio: string | null };
  readonly refund?: 'kept' | 'returned';
  readonly size?: string | null;
  readonly opening?: string | null;
  readonly bands?: Extract<StatedCharge, { how: 'graduated' }>['bands'];
  readonly only?: NonNullable<StatedCharge['only']>;
  readonly of?: 'net' | 'gross';
  readonly monthlyMin?: string | null;
  readonly monthlyCap?: string | null;
  readonly totalCap?: string | null;
  readonly credit?: boolean;
  readonly against?: 'plan';
  readonly from?: string;
  readonly until?: string;
  readonly taxExcluded?: boolean;
}

/** What a qualifier adds to a charge; `most` and `least` without a time are asked about later. */
export interface Qualifier extends ChargeDraft {
  readonly bound?: { readonly side: 'most' | 'least'; readonly money: Money };
}
