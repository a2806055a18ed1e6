import * as z from 'zod';
import { label, monthField, signedDecimal, slug } from '../fields/amounts';

const figure = z.string().max(40);

/** A level of sales: average sales and orders a month. */
const levelSchema = z.strictObject({ sales: figure, orders: figure });

const ON_SHEETS = 'sheet.';

/** How the best of a vendor that no candidate is made of is named as the winner of a condition. */
export function onSheetsOnly(offer: string): string {
  return `${ON_SHEETS}${offer}`.slice(0, 80);
}

/** Whether a winner is no candidate: something on a vendor's sheet that nobody has put into the comparison. */
export function isOnSheetsOnly(winner: string): boolean {
  return winner.startsWith(ON_SHEETS);
}

/** Who costs least under a condition, and by how much less than the next. */
const outcomeFields = {
  /** Id of the candidate, or see `onSheetsOnly`; null where no candidate can be chosen. */
  winner: slug.nullable(),
  /** What it then is, by plan and term, where no candidate is made of it. */
  plan: z.string().max(1000).optional(),
  /** Over the horizon, base currency; absent where the condition is a whole range of sales. */
  total: figure.optional(),
  margin: figure.optional(),
};

/**
 * A condition of a verdict, with who costs least under it:
 * - `sales`: from one level of monthly sales to another
 * - `need`, `without`: something more is needed, or something that is needed now is done without
 * - `paid`: every plan is paid so many months at a time; the winner by its plans
 * - `offers-gone`, `version`, `first-year`, `hours-free`: without special offers, with cautious or hopeful sales, looking
 *   at the first year only, with one's own hours at nothing
 * - `chance`: in which part of all futures, a fraction, the winner comes first
 */
export const conditionSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('sales'),
    from: levelSchema.nullable(),
    to: levelSchema.nullable(),
    isForecast: z.boolean(),
    ...outcomeFields,
  }),
  z.strictObject({ kind: z.literal('need'), label, only: z.boolean(), ...outcomeFields }),
  z.strictObject({ kind: z.literal('without'), label, ...outcomeFields }),
  z.strictObject({ kind: z.literal('paid'), months: z.number().int().positive(), ...outcomeFields }),
  z.strictObject({ kind: z.literal('offers-gone'), ...outcomeFields }),
  z.strictObject({ kind: z.literal('version'), version: z.enum(['cautious', 'expected', 'hopeful']), ...outcomeFields }),
  z.strictObject({ kind: z.literal('first-year'), ...outcomeFields }),
  z.strictObject({ kind: z.literal('hours-free'), ...outcomeFields }),
  z.strictObject({ kind: z.literal('chance'), part: figure, ...outcomeFields }),
]);

/** A value at which somebody else costs least. */
export const thresholdSchema = z.strictObject({
  /** Key of the assumption. */
  key: z.string().max(220),
  label,
  kind: z.enum([
    'orders',
    'order-value',
    'growth',
    'season',
    'refunds',
    'churn',
    'foreign-cards',
    'quantity',
    'rate',
    'hour-value',
    'price',
  ]),
  unit: z.enum(['percent', 'points', 'strength', 'amount']),
  /** What is assumed, in its own unit; null where one figure does not say it. */
  now: figure.nullable(),
  /** The change at which it turns, and what a change is stated as where nothing is changed. */
  at: signedDecimal,
  asIs: signedDecimal,
  winner: slug.nullable(),
});

/** For whom the choice is best, as worked out: a range of monthly sales in which it costs least, and needs that others do not meet. */
export const suitsSchema = z.strictObject({
  from: levelSchema.nullable(),
  to: levelSchema.nullable(),
  /** Names of needs that the choice meets and not every other candidate does. */
  needs: z.array(label).max(50),
});

/** A part of the way through the horizon. */
export const segmentSchema = z.strictObject({ candidate: slug, from: monthField, months: z.number().int().positive() });

export type Condition = z.output<typeof conditionSchema>;
export type Threshold = z.output<typeof thresholdSchema>;
export type Suits = z.output<typeof suitsSchema>;
export type SalesLevel = z.output<typeof levelSchema>;
