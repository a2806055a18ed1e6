import * as z from 'zod';
import { amount, label, monthField, share, signedDecimal, slug, wholeNumber } from '../fields/amounts';
import { investmentSchema } from './investment-schema';

/** Key of an assumption: what it is, and of what. */
const key = z.string('use an assumption').regex(/^[a-z-]+(:[^\n]{1,200})?$/, 'use an assumption such as orders:kites');

const effort = z.strictObject({ hours: amount, money: amount });

/** What moving takes; see `MovingCosts`. */
export const movingSchema = z.strictObject({
  within: effort,
  between: effort,
  moves: wholeNumber(0, 120),
  /** Percent of the subscribers that a move to another vendor loses. */
  loses: share.optional(),
  by: z.enum(['cost', 'keep']).optional(),
  without: z.array(slug).max(1000).readonly().optional(),
});

/** A what-if that was kept under a name. */
export const scenarioSchema = z.strictObject({
  id: slug,
  name: label,
  changes: z.array(z.strictObject({ key, value: signedDecimal })).max(50),
  /** Special offers that are not there in it. */
  offersOff: z.array(z.string().max(200)).max(200).optional(),
});

/** A way through the horizon as a person wants to see it: with whom from which month on; the first begins with it. */
export const ownWaySchema = z.strictObject({
  id: slug,
  stays: z
    .array(z.strictObject({ candidate: slug, from: monthField }))
    .min(2, 'a way has at least one move')
    .max(24),
});

/** What a decision keeps of what was asked: moving costs, an investment, ranges of assumptions, scenarios. */
export const whatIfSchema = z.strictObject({
  moving: movingSchema.optional(),
  investment: investmentSchema.optional(),
  /** Ranges other than the usual ones, by the assumption's key. */
  ranges: z.record(key, z.tuple([signedDecimal, signedDecimal])).optional(),
  scenarios: z.array(scenarioSchema).max(100).optional(),
  /** Ways of the person's own. */
  ways: z.array(ownWaySchema).max(50).optional(),
});

export type WhatIf = z.output<typeof whatIfSchema>;
export type OwnWay = z.output<typeof ownWaySchema>;
export type Scenario = z.output<typeof scenarioSchema>;
