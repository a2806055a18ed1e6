import type { Decimal } from '../amount/decimal';
import type { Month } from '../calendar/month';
import type { Charge, Term } from '../decision-file/price-sheet-schema';
import type { HeldAmount } from '../rules/charges/charge-rule';
import type { ChargeParts } from '../rules/charges/kind';
import type { Expression } from '../rules/expression/expression';
import type { TermPayment } from '../rules/terms/term-payments';

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
  | CreditDerivation
  | { readonly kind: 'time'; readonly setup: Decimal | null; readonly monthly: Decimal; readonly hourValue: Decimal }
  | { readonly kind: 'tax'; readonly percent: Decimal; readonly on: Decimal };

/** Which part of how many counts in a month where payments are spread, 1 for the first. */
export interface SpreadPart {
  readonly number: number;
  readonly of: number;
}

/** A payment, or its part in a month. */
export interface PaymentDerivation {
  readonly kind: 'payment';
  readonly label: string;
  /** Absent for joining fees and extras. */
  readonly term: Term | null;
  /** Which payment it is, 0 for the first, and which of the term's prices it costs; null for what has no term. */
  readonly ofTerm: Pick<TermPayment, 'ordinal' | 'price'> | null;
  readonly price: Decimal;
  readonly count: number;
  readonly payment: Decimal;
  /** Months it pays for; 0 = once and for good. */
  readonly covers: number;
  /** With the spread basis: the part that counts in this month. */
  readonly part: SpreadPart | null;
}

/** A charge in a month: the steps of its rule, and what they came to. */
export interface ChargeDerivation {
  readonly kind: 'charge';
  readonly charge: Charge;
  readonly parts: ChargeParts;
  /** What an expression of the rule came to in this month, in the charge's currency. */
  value(expression: Expression): Decimal;
  /** What moved the amount away from what the kind of charge gives. */
  readonly held: ReadonlyArray<{ readonly by: HeldAmount['by']; readonly at: Decimal }>;
}

/** What a credit took off a payment of the plan, or its part in a month (decision file §4, Credit against the plan). */
export interface CreditDerivation {
  readonly kind: 'plan-credit';
  readonly charge: Charge;
  readonly used: Decimal;
  readonly part: SpreadPart | null;
}
