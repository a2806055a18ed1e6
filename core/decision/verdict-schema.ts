import * as z from 'zod';
import { label, slug, wholeNumber } from '../fields/amounts';
import { dayField } from '../fields/day';
import { conditionSchema, segmentSchema, suitsSchema, thresholdSchema } from './conditions-schema';

const words = z.string('use a text').max(10_000, 'use a text of at most 10,000 characters');
const figure = z.string().max(40);

/** What is about to be chosen. */
const choiceFields = z.strictObject({
  kind: z.enum(['candidate', 'together', 'route']),
  /** One for a candidate, two together; none for the way, which is worked out. */
  candidates: z.array(slug).max(2),
  /** Of two together: the streams of sales that go through the second. */
  streams: z.array(slug).max(200).optional(),
  /** In the person's own words. */
  reason: words,
  forWhom: words.optional(),
});

export type Choice = z.output<typeof choiceFields>;

/** Before verdicts could be given, a choice was a candidate with a reason. */
const formerChoice = z
  .strictObject({
    candidate: slug,
    label,
    reason: words,
    on: dayField,
    total: figure.optional(),
    currency: z.string().length(3),
    monthlySales: figure.optional(),
  })
  .transform(({ candidate, reason }): Choice => ({ kind: 'candidate', candidates: [candidate], reason }));

/** What the person is about to choose, and why: one candidate, two together, or the way through the horizon. */
export const choiceSchema = z.union([choiceFields, formerChoice]);

/** What a verdict rests on, in one line each; see `openQuestions`. */
export const openQuestionSchema = z.strictObject({
  kind: z.enum(['nobody', 'one-candidate', 'sales-guess', 'price-unknown', 'answer-unknown', 'not-seen', 'old-sheet', 'close', 'no-fee']),
  /** What it is about: a price, a plan with its need, a price sheet, a candidate. */
  about: z.array(label).max(50),
  /** Days since the sheet was looked at, or the margin. */
  figure: figure.optional(),
});

/**
 * A verdict that was given: dated, with the figures as they stood. It never changes; a newer one follows.
 * Amounts are decimals in `currency`.
 */
export const givenVerdictSchema = z.strictObject({
  id: slug,
  on: dayField,
  kind: z.enum(['candidate', 'together', 'route']),
  /** What was chosen, by the names of that day. */
  parts: z
    .array(
      z.strictObject({
        candidate: slug,
        label,
        segment: segmentSchema.optional(),
        streams: z.array(label).max(200).optional(),
        total: figure.optional(),
      }),
    )
    .min(1)
    .max(120),
  /** Of two together: what both have, paid for once or counted for both. */
  shared: z.strictObject({ once: z.array(label).max(500), twice: z.array(label).max(500) }).optional(),
  reason: words,
  forWhom: words.optional(),
  strength: z.enum(['firm', 'modest']),
  currency: z.string().length(3),
  months: wholeNumber(1, 120),
  version: z.enum(['cautious', 'expected', 'hopeful']),
  /** Average sales and orders a month. */
  monthlySales: figure,
  monthlyOrders: figure,
  total: figure.nullable(),
  /** The best of the others, and how much more it costs, or less it keeps; less than nothing where it is better. */
  runnerUp: z.strictObject({ candidate: slug, label, total: figure, margin: figure }).nullable(),
  /** By what it was given, where not by what is paid, and what is left by it. */
  comparedBy: z.literal('keep').optional(),
  keep: figure.optional(),
  totals: z.array(z.strictObject({ candidate: slug, label, total: figure, atLeast: z.boolean(), usable: z.boolean() })).max(1000),
  /** Of a single candidate: how often it comes first in so many futures, a fraction, and what choosing it gives away there. */
  chance: z.strictObject({ futures: wholeNumber(1, 10_000_000), first: figure, givesAway: figure, atWorst: figure }).optional(),
  conditions: z.array(conditionSchema).max(200),
  thresholds: z.array(thresholdSchema).max(50),
  suits: suitsSchema.optional(),
  /** Prices that are not known. */
  unknown: z.array(label).max(500),
  open: z.array(openQuestionSchema).max(200),
  sheets: z.array(z.strictObject({ id: slug, label, seen: dayField.optional() })).max(500),
  /** The revisions it was made from; noted by whoever keeps it. */
  madeFrom: z.strictObject({ revision: wholeNumber(1, 1_000_000_000), sheets: z.record(slug, wholeNumber(0, 1_000_000_000)) }).optional(),
});

export type GivenVerdict = z.output<typeof givenVerdictSchema>;
export type OpenQuestion = z.output<typeof openQuestionSchema>;
export type VerdictPart = GivenVerdict['parts'][number];
