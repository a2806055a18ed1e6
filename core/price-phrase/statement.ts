import type { Charge, Term } from '../decision-file/price-sheet-schema';

/** A charge as a pricing page states it: without the identifier it gets on a sheet. */
export type StatedCharge = Charge extends infer One ? (One extends Charge ? Omit<One, 'id'> : never) : never;

/** A term as a pricing page states it. */
export type StatedTerm = Omit<Term, 'id'>;

/** A currency that a phrase names: an ISO 4217 code, or "$" for a dollar of some country. */
export type NamedCurrency = string;

/** How long an introductory price holds: so many payments, or so many months. */
export type IntroductoryTime = { readonly payments: number } | { readonly months: number };

/** One thing that a price sheet states (decision file §3, §4, §6). */
export type Statement = (
  | { readonly kind: 'term'; readonly term: StatedTerm }
  /** An introductory price without the term it belongs to. */
  | {
      readonly kind: 'introduction';
      readonly intro: { readonly price: string | null } | { readonly off: string };
      readonly time: IntroductoryTime;
    }
  | { readonly kind: 'trial'; readonly days: number }
  | { readonly kind: 'refund'; readonly days: number }
  | { readonly kind: 'prorated'; readonly prorated: boolean }
  /** `beyond`: what is charged comes on top of an allowance that stands elsewhere on the sheet. */
  | { readonly kind: 'charge'; readonly charge: StatedCharge; readonly beyond?: boolean }
  /** `most`: true = no limit, null = limited, but not known how far; `yearly`: for twelve months together. */
  | { readonly kind: 'limit'; readonly quantity: string; readonly most: string | true | null; readonly yearly?: true }
  | { readonly kind: 'feature'; readonly feature: string; readonly value: boolean | string | null }
  | { readonly kind: 'joining'; readonly label: string; readonly amount: string }
  /** A saving by the year that the page advertises, in percent. */
  | { readonly kind: 'saving'; readonly percent: string }
  | { readonly kind: 'tax'; readonly excluded: boolean }
  /** What everything on the plan is priced in. */
  | { readonly kind: 'currency'; readonly code: string }
  /** Until when an offer holds (`YYYY-MM-DD`), and for whom. */
  | { readonly kind: 'offer'; readonly until?: string; readonly forWhom?: string }
) & { readonly currency?: NamedCurrency };

/** One possible reading of something ambiguous. */
export interface Option {
  /** The reading in a few words, as an answer to the question. */
  readonly label: string;
  readonly statements: readonly Statement[];
}

/** A stretch of a phrase and what it was read as. */
export type Clause = { readonly text: string; readonly from: number; readonly to: number } & (
  | { readonly kind: 'read'; readonly statements: readonly Statement[]; readonly remark?: string }
  | { readonly kind: 'asked'; readonly question: string; readonly options: readonly Option[] }
  /** `why`: what is wrong with it, where it was understood but cannot be so. */
  | { readonly kind: 'not-understood'; readonly why?: string }
);
