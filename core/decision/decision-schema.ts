import * as z from 'zod';
import { candidateSchema } from '../decision-file/candidate-schema';
import { slug, wholeNumber } from '../fields/amounts';
import { forecastSchema } from '../decision-file/forecast-schema';
import { frameFields } from '../decision-file/schema';
import { versionsSchema } from '../forecast/versions-schema';
import { decisionNeedSchema } from './need-schema';
import { qualitiesFields } from './quality-schema';
import { whatIfSchema } from './what-if-schema';
import { choiceSchema, givenVerdictSchema } from './verdict-schema';
import { actualsSchema } from './actuals-schema';
import { datesSchema } from './dates-schema';
import { followedSchema } from './followed-schema';
import { ownedSchema } from './owned-schema';
import { chanceSchema } from './chance-schema';
import { pastOrdersSchema } from './past-orders-schema';
import { setAsideSchema } from './set-aside-schema';

/** How the candidates stand side by side, where a person arranged them; ids of candidates. */
export const lineUpViewSchema = z.strictObject({
  /** The one that differences are against; the cheapest where none is named. */
  baseline: slug.optional(),
  /** Those that stay in view at the left. */
  pinned: z.array(slug).optional(),
  /** Those that were opened beside the best of their vendor. */
  opened: z.array(slug).optional(),
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
  /** Vendors that are not considered any more, each with the reason. */
  setAside: z.array(setAsideSchema).max(500).optional(),
  /** What was asked “what if” of. */
  whatIf: whatIfSchema.optional(),
  /** By what candidates are compared; what they cost where it is not said. */
  comparedBy: z.enum(['cost', 'keep']).optional(),
  /** How the candidates stand side by side. */
  lineUp: lineUpViewSchema.optional(),
  /** What months really brought and cost. */
  actuals: actualsSchema.optional(),
  /** How past orders belong to it. */
  pastOrders: pastOrdersSchema.optional(),
  chance: chanceSchema.optional(),
  /** Dates that matter, as far as the person states them. */
  dates: datesSchema.optional(),
  /** What is about to be chosen, and why. */
  choice: choiceSchema.optional(),
  /** Verdicts that were given, the newest last; they never change. */
  verdicts: z.array(givenVerdictSchema).max(200).optional(),
});

/** A decision as it is kept: with the price sheets it uses, each by the revision it used. */
export const storedDecisionSchema = decisionSchema.extend({
  /** In the order in which they stand in the decision file. */
  sheets: z.array(z.strictObject({ sheet: slug, revision: wholeNumber(1, 1_000_000_000) })),
});

export type Decision = z.output<typeof decisionSchema>;
export type StoredDecision = z.output<typeof storedDecisionSchema>;
export type LineUpView = z.output<typeof lineUpViewSchema>;
