import type { Decimal } from '../amount/decimal';
import type { Month } from '../calendar/month';
import type { Charge, Term } from '../decision-file/price-sheet-schema';

/** How one line of the ledger came about; amounts are exact and, but for `charged` and `amount`, not rounded. */
export interface Derivation {
  readonly month: Month;
  readonly what: DerivedFrom;
  /** Currency the vendor charges in, and base units for one unit of it. */
  readonly currency: string;
  readonly rate: Decimal;
  readonly baseCurrency: string;
  /** Before rounding, in the vendor's currency; negative for a credit. */
  readonly unrounded: Decimal;
  /** Rounded in the vendor's currency. */
  readonly charged: Decimal;
  /** Converted and rounded in base currency: the line's amount. */
  readonly amount: Decimal;
}

/** What a line comes from. */
export type DerivedFrom =
  | PaymentDerivation
  | ChargeDerivation
  | { readonly kind: 'time'; readonly setup: Decimal | null; readonly monthly: Decimal; readonly hourValue: Decimal }
  | { readonly kind: 'tax'; readonly percent: Decimal; readonly on: Decimal };

/** A payment, or its part in a month. */
export interface PaymentDerivation {
  readonly kind: 'payment';
  readonly label: string;
  /** Absent for joining fees and extras. */
  readonly term: Term | null;
  /** Which payment it is, 0 for the first, and whether it is an introductory one. */
  readonly ordinal: number;
  readonly introductory: boolean;
  readonly price: Decimal;
  readonly count: number;
  readonly payment: Decimal;
  /** Months it pays for; 0 = once and for good. */
  readonly covers: number;
  /** With the spread basis: which part of how many counts in this month, 1 for the first. */
  readonly part: { readonly number: number; readonly of: number } | null;
}

/** A stream's contribution to a charge per order. */
export interface StreamPart {
  readonly label: string;
  readonly orders: Decimal;
  /** In the charge's currency. */
  readonly orderValue: Decimal;
  readonly fee: Decimal;
  /** Whether the fee was raised to `least` or lowered to `most`. */
  readonly bound: 'least' | 'most' | null;
}

/** A band that a quantity entered, and what it comes to there. */
export interface BandPart {
  readonly quantity: Decimal;
  readonly rate: Decimal;
  readonly flat: Decimal;
}

/** A charge in a month. */
export interface ChargeDerivation {
  readonly kind: 'charge';
  readonly charge: Charge;
  readonly streams: readonly StreamPart[];
  /** What is counted. */
  readonly quantity: Decimal;
  /** What of it is included. */
  readonly free: Decimal;
  readonly rate: Decimal | null;
  readonly packages: Decimal | null;
  readonly bands: readonly BandPart[];
  /** What the kind of charge gives, before minimum and caps. */
  readonly plain: Decimal;
  /** What moved the amount away from that. */
  readonly held: ReadonlyArray<{ readonly by: 'monthlyMin' | 'monthlyCap' | 'totalCap'; readonly at: Decimal }>;
}
