/** Why a day matters. */
export type DateKind =
  | 'joins'
  | 'trial-ends'
  | 'refund-ends'
  | 'price-rises'
  | 'renewal'
  | 'offer-ends'
  | 'limit-reached'
  | 'break-even'
  | 'move'
  | 'look-again'
  | 'verdict-again'
  | 'own';

/** A day that matters. */
export interface DateThatMatters {
  /** Stays the same when the day or its money changes, so that a calendar knows it again. */
  readonly id: string;
  readonly kind: DateKind;
  /** `YYYY-MM-DD`. */
  readonly on: string;
  /** What it is about: a plan, an add-on, a candidate, a price sheet, the person's own words. */
  readonly about: string;
  /** Base currency; null where no money is at stake or it is not known. */
  readonly atStake: string | null;
  /** Of a rise: what is paid from then on; of a limit: its name; of a break-even: the level of monthly sales. */
  readonly detail?: string;
  /** Of a term: how many months a payment is for. */
  readonly months?: number;
  /** Of a limit: it is reached only if sales come out hopeful. */
  readonly isIfHopeful?: boolean;
}

/** A candidate that is used, from a month of the horizon on. */
export interface Used {
  readonly candidate: string;
  /** Month index, and for how many months. */
  readonly from: number;
  readonly months: number;
  /** Of two together: ids of the streams that go through it. */
  readonly streams?: readonly string[];
}
