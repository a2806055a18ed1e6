import type { Statement } from '../price-phrase/statement';

/** Something a line of the page states. */
export interface Fact {
  readonly statement: Statement;
  /** The lines it rests on, the first being the one that states it. */
  readonly lines: readonly number[];
}

/** What a page states about one plan. */
export interface PagePlan {
  readonly name: string;
  /** Where its name stands. */
  readonly line: number;
  readonly facts: readonly Fact[];
}

/** What a page states about an add-on or another thing sold beside the plans. */
export type PageAddon = PagePlan;

export interface PageOption {
  readonly label: string;
  readonly statements: ReadonlyArray<{ readonly plan: string; readonly statement: Statement }>;
}

/** Something that can be meant in several ways, asked once for all plans it concerns. */
export interface PageQuestion {
  readonly question: string;
  /** The page's own words. */
  readonly text: string;
  readonly lines: readonly number[];
  readonly plans: readonly string[];
  readonly options: readonly PageOption[];
}

/** A line that was not understood, or was put aside with a reason. */
export interface PageRemainder {
  readonly text: string;
  readonly line: number;
}

export type PutAside = PageRemainder & { readonly why: string };

/** What a pricing page says. Every line with a figure, a tick or a count is in one of facts, asked, open and aside. */
export interface PageReading {
  readonly vendor: string;
  /** Whether it is the page of a payment processor, which has fees and no plans; they are those of the only plan then. */
  readonly isProcessor: boolean;
  /** The currency that the page states; null where it does not say. */
  readonly currency: string | null;
  /** The sign of its prices where that may stand for several currencies; null otherwise. */
  readonly sign: '$' | null;
  readonly taxExcluded: boolean | null;
  readonly plans: readonly PagePlan[];
  readonly addons: readonly PageAddon[];
  readonly asked: readonly PageQuestion[];
  readonly open: readonly PageRemainder[];
  readonly aside: readonly PutAside[];
  /** The page's own lines, for showing them beside what was read. */
  readonly lines: ReadonlyArray<{ readonly line: number; readonly text: string }>;
  /** What of the page was not looked at, in words. */
  readonly leftOut: string | null;
}

/** Why a price by the hour is put aside. */
export const BY_THE_HOUR = 'the price by the hour; a whole month is priced beside it';
