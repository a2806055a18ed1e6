import * as z from 'zod';
import { candidateSchema } from '../decision-file/candidate-schema';
import { label, slug, wholeNumber } from '../decision-file/amounts';
import { forecastSchema } from '../decision-file/forecast-schema';
import { frameFields } from '../decision-file/schema';
import { versionsSchema } from '../forecast/versions-schema';
import { decisionNeedSchema } from '../needs/need-schema';
import { qualitiesFields } from '../qualities/quality-schema';
import { whatIfSchema } from '../what-if/what-if-schema';
import { dayField } from './day';
import { followedSchema } from './followed-schema';
import { ownedSchema } from './owned-schema';

/** What was chosen and why, with the figures it rested on when it was chosen. */
export const choiceSchema = z.strictObject({
  candidate: slug,
  /** The candidate's name when it was chosen, so that the choice stays readable if it is renamed or removed. */
  label,
  /** The reason, in the person's own words. */
  reason: z.string('a text is wanted').max(10_000, 'a text of at most 10,000 characters is wanted'),
  on: dayField,
  /** Total over the horizon on that day, a decimal in `currency`; absent if it could not be worked out. */
  total: z.string().max(40).optional(),
  currency: z.string().length(3),
  /** Average monthly sales assumed on that day, a decimal in `currency`. */
  monthlySales: z.string().max(40).optional(),
});

/** How the candidates stand side by side, where a person arranged them; ids of candidates. */
export const lineUpViewSchema = z.strictObject({
  /** The one that differences are against; the cheapest where none is named. */
  baseline: slug.optional(),
  /** Those that stay in view at the left. */
  pinned: z.array(slug).optional(),
  /** The order; those that are not named follow by their total. */
  order: z.array(slug).optional(),
});

/** What a decision consists of besides its price sheets: the frame, expected sales, candidates and the choice. */
export const decisionSchema = z.strictObject({
  ...frameFields,
  forecast: forecastSchema,
  needs: z.array(decisionNeedSchema).optional(),
  candidates: z.array(candidateSchema),
  /** Cautious and hopeful sales, as differences to the forecast. */
  versions: versionsSchema.optional(),
  /** What the seller has and pays for already. */
  owned: z.array(ownedSchema).optional(),
  ...qualitiesFields,
  /** Candidates that follow what is proposed for a vendor. */
  followed: z.array(followedSchema).optional(),
  /** What was asked “what if” of. */
  whatIf: whatIfSchema.optional(),
  /** How the candidates stand side by side. */
  lineUp: lineUpViewSchema.optional(),
  choice: choiceSchema.optional(),
});

/** A decision as it is kept: with the price sheets it uses, each by the revision it used. */
export const storedDecisionSchema = decisionSchema.extend({
  /** In the order in which they stand in the decision file. */
  sheets: z.array(z.strictObject({ sheet: slug, revision: wholeNumber(1, 1_000_000_000) })),
});

export type Decision = z.output<typeof decisionSchema>;
export type StoredDecision = z.output<typeof storedDecisionSchema>;
export type Choice = z.output<typeof choiceSchema>;
export type LineUpView = z.output<typeof lineUpViewSchema>;
