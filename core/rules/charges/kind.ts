import type { Checker } from '../../fields/checker';
import type { Expression, Figure } from '../expression/expression';
import type { Allowance, Band } from './charge-fields';

/**
 * A kind of charge (decision file §4): all that is decided about it stands in one module, which registers it in
 * `kinds.ts`; its words stand in `core/wording/charges/`.
 */
export interface ChargeKind<Charge, Parts extends ChargeParts = ChargeParts> {
  /** Its own figures by field, with what stands over them where figures are listed. */
  readonly figures: Readonly<Record<string, string>>;
  /** What it comes to in a month, before minimum and caps, in its currency. */
  rule(charge: Charge, counted: Counted): Parts;
  /** The most that may be counted in a month, past which the plan is not sold; absent for kinds that have none. */
  most?(charge: Charge, counted: Counted): Figure | null;
  /** What is wrong with it beyond its fields. */
  check?(charge: Charge, path: readonly PropertyKey[], check: Checker): void;
}

/** What a kind makes of what is counted, with the steps on the way there, which sentences tell. */
export interface ChargeParts {
  readonly amount: Expression;
  /** What is counted. */
  readonly quantity: Expression;
}

/** What a charge counts, in the way a candidate has it (decision file §4, `on`, `only`, `of`). */
export interface Counted {
  /** What the charge is `on`; of sales in the charge's currency. */
  readonly quantity: Expression;
  /** Orders that are counted. */
  readonly orders: Expression;
  /** What customers pay for them, in the charge's currency. */
  readonly sales: Expression;
  /** The streams whose orders are counted. */
  readonly streams: readonly CountedStream[];
  /** A figure of the charge itself. */
  figure(field: string, value: string | null | undefined, otherwise?: string): Figure;
  percentage(field: string, value: string | null | undefined): Figure;
  /** Bands with their figures. */
  bands(bands: readonly Band[]): readonly CountedBand[];
  /** What is free in a month; nothing where nothing is. */
  free(allowance: Allowance | undefined): Expression;
}

export interface CountedBand {
  readonly upTo: Figure | null;
  readonly each: Figure;
  readonly percent: Figure;
  readonly flat: Figure;
}

/** The orders of one stream that a charge counts. */
export interface CountedStream {
  /** The stream's label. */
  readonly label: string;
  readonly orders: Expression;
  /** What an order is worth, in the charge's currency, by size (decision file §2, `orderSizes`); one where all are alike. */
  readonly sizes: readonly OrderSize[];
}

export interface OrderSize {
  /** Percent of the stream's orders; null for all of them. */
  readonly share: string | null;
  readonly value: Expression;
}
