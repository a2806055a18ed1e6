import type { Month } from '../../calendar/month';

/**
 * What a rule of a price sheet comes to in every month, written down once (decision file §3 to §6). An expression has a
 * value in each month; exact decimals, floating point at thousands of levels of sales, curves over all levels,
 * spreadsheet formulas and sentences are readings of it, each in the room that needs it.
 *
 * Expressions are compared by identity: two candidates that have a charge exactly alike share its expression.
 */
export type Expression =
  | Figure
  | Rate
  | Orders
  | OrderValue
  | Quantity
  | { readonly is: 'sum'; readonly of: readonly Expression[] }
  | { readonly is: 'difference'; readonly of: Expression; readonly less: Expression }
  | { readonly is: 'product'; readonly of: Expression; readonly times: Expression }
  | { readonly is: 'quotient'; readonly of: Expression; readonly by: Expression }
  | Proportion
  | { readonly is: 'at-least'; readonly of: Expression; readonly bound: Expression }
  | { readonly is: 'at-most'; readonly of: Expression; readonly bound: Expression }
  | Packages
  | Bands
  | { readonly is: 'so-far'; readonly of: Expression }
  | { readonly is: 'increase'; readonly of: Expression }
  | LastMonths
  | Between
  | UsedUp
  | { readonly is: 'rounded'; readonly of: Expression; readonly currency: string }
  | Payments;

/** A figure that somebody stated, the same in every month. */
export interface Figure {
  readonly is: 'figure';
  /** A decimal. */
  readonly value: string;
  /** Whether it is a percentage, worth a hundredth of what is written. */
  readonly isPercent: boolean;
  /** Where it is stated, so that a spreadsheet can point there; null for a constant of the rule itself. */
  readonly at: FigurePlace | null;
}

/** Where a figure stands on a price sheet: the part's own line, and the field of it. */
export interface FigurePlace {
  /** Id of the plan, add-on or processor; of the candidate for its extras. */
  readonly part: string;
  readonly line: 'term' | 'change' | 'charge' | 'band' | 'limit' | 'raise' | 'once' | 'extra';
  /** Id of the term or charge, name of the limit, index of the joining fee or extra; for a band `CHARGE INDEX`, for a change of price `TERM INDEX`. */
  readonly id: string;
  readonly field: string;
}

/** Base units for one unit of a currency. */
export interface Rate {
  readonly is: 'rate';
  readonly currency: string;
}

/** Which orders are counted: of each stream those paid with some kinds of card. */
export interface CountedOrders {
  /** What is counted, in short; counted alike, the same. */
  readonly key: string;
  /** Whether a stream's orders with a kind of card are counted, by the stream's place in the forecast. */
  counts(stream: number, card: string): boolean;
  /** Whether orders that are refunded are left out. */
  readonly withoutRefunded: boolean;
}

/** The orders counted in a month, of one stream or of all; or, with `value`, what customers pay for them in base currency. */
export interface Orders {
  readonly is: 'orders';
  readonly of: CountedOrders;
  /** Place of the one stream; null for all. */
  readonly stream: number | null;
  /** `gross` or `net` (without the sales tax it contains) for their value instead of their number. */
  readonly value: 'gross' | 'net' | null;
}

/** What a customer pays for an order of a stream, in base currency; it does not change with the level of sales. */
export interface OrderValue {
  readonly is: 'order-value';
  readonly stream: number;
  readonly value: 'gross' | 'net';
}

/** Another quantity of the forecast; of some streams alone where it is subscribers of those. */
export interface Quantity {
  readonly is: 'quantity';
  readonly id: string;
  /** Places of the streams whose subscribers are counted; null for the quantity as it is. */
  readonly streams: readonly number[] | null;
}

/** `of` × `part` ÷ `whole`, where `of` and `whole` grow alike with the level of sales; nothing where `whole` is nothing. */
export interface Proportion {
  readonly is: 'proportion';
  readonly of: Expression;
  readonly part: Expression;
  readonly whole: Expression;
}

/** How many packages of a size cover a quantity: ⌈of ÷ size⌉. */
export interface Packages {
  readonly is: 'packages';
  readonly of: Expression;
  readonly size: Expression;
}

/** What bands make of a quantity: each part of it at its band's rate (`graduated`), or all of it at the rate of the band it falls in. */
export interface Bands {
  readonly is: 'bands';
  readonly of: Expression;
  readonly how: 'graduated' | 'volume';
  readonly bands: readonly RatedBand[];
}

/** A band; `upTo` belongs to it, the last one takes all that is beyond whatever its `upTo`. */
export interface RatedBand {
  readonly upTo: Figure | null;
  readonly each: Figure;
  readonly percent: Figure;
  readonly flat: Figure;
}

/** The sum of a month and so many before it, as far as they lie within the horizon. */
export interface LastMonths {
  readonly is: 'last-months';
  readonly of: Expression;
  readonly months: number;
}

/** The value in the months from one to another, both included; nothing outside. */
export interface Between {
  readonly is: 'between';
  readonly of: Expression;
  readonly from: Month | null;
  readonly until: Month | null;
}

/**
 * What of a balance is used up by bills: the balance begins with nothing, pays each month's bill as far as it goes, and
 * then takes up that month's credit (decision file §4, Credit against the plan).
 */
export interface UsedUp {
  readonly is: 'used-up';
  readonly credit: Expression;
  readonly bills: Expression;
}

/** Payments that fall due whatever is sold, by the month in which they do. */
export interface Payments {
  readonly is: 'payments';
  readonly due: readonly DuePayment[];
}

/** One of them: what it costs, before it is rounded in its currency. */
export interface DuePayment {
  /** Month index. */
  readonly month: number;
  readonly price: Expression;
  readonly currency: string;
}

/** Every kind of expression by name. */
export type ExpressionName = Expression['is'];
