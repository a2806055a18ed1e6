import * as z from 'zod';
import { amount, label } from '../fields/amounts';
import { dayField } from '../fields/day';

const text = (most: number) => z.string('use a text').max(most, `use a text of at most ${most} characters`);

/** Where a figure was found and how far it can be trusted. */
export const evidenceSchema = z.strictObject({
  /** Where it was seen: an address or a few words. */
  where: text(500).optional(),
  seen: dayField.optional(),
  by: text(100).optional(),
  sure: z.enum(['sure', 'likely', 'guess']).optional(),
  /** Until when an offer holds, and for whom. */
  until: dayField.optional(),
  forWhom: text(200).optional(),
  /** Whether the source earns money if one buys. */
  earns: z.boolean().optional(),
  /** The page's own words. */
  stated: text(1000).optional(),
  /** What another place says about the same thing. */
  otherwise: text(1000).optional(),
});

/** What is known about a figure besides the figure: a plan's term, charge, limit or feature that no amount can state. */
export const markSchema = z.enum(['not-known', 'unlimited', 'not-offered']);

/** A question about a figure that the person has settled. */
export const settledSchema = z.strictObject({
  check: label,
  place: text(300),
  /** The figures that it was settled for: with others it is asked again. */
  figures: text(300),
  reason: text(1000),
  on: dayField,
});

/** What is kept about a price sheet besides its prices; places are as `placeOf` writes them. */
export const sheetNotesFields = {
  /** The day on which somebody last looked at the vendor's pricing page. */
  seen: dayField.optional(),
  /** What holds for all of the sheet where nothing else is said. */
  evidence: evidenceSchema.omit({ seen: true }).optional(),
  /** What is known about single figures, by their place. */
  figures: z.record(text(300), evidenceSchema).optional(),
  marks: z.record(text(300), markSchema).optional(),
  /** Savings by the year that the page advertises, in percent, by plan. */
  savings: z.record(text(100), amount).optional(),
  settled: z.array(settledSchema).optional(),
};

export type Evidence = z.output<typeof evidenceSchema>;
export type Mark = z.output<typeof markSchema>;
export type Settled = z.output<typeof settledSchema>;
