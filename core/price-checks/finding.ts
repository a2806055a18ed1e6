import type { PriceSheet } from '../decision/price-sheet';
import type { WriteNumber } from '../wording/rate-words';

/** A question about a figure of a price sheet: asked beside it, never in the way. */
export interface Finding {
  /** Which check asks. */
  readonly check: string;
  /** Where the figure stands, as `placeOf` writes it; a part's id alone, or empty, where it is about more than one. */
  readonly place: string;
  /** The figures it rests on: with others, a settled question is asked again. */
  readonly figures: string;
  /** A few words that name the thing, such as "Basic, by the year". */
  readonly title: string;
  /** The question in one or two sentences. */
  readonly question: string;
}

/** What checks look at besides the sheet. */
export interface CheckContext {
  /** `YYYY-MM-DD`. */
  readonly today: string;
  /** The decision's base currency. */
  readonly base: string;
  /** What is sold in a year, base currency, decimal; absent where nothing is. */
  readonly salesAYear?: string;
  readonly write: WriteNumber;
}

/** One rule: what it finds questionable on a sheet. */
export type Check = (sheet: PriceSheet, context: CheckContext) => Finding[];
