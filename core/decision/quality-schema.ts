import * as z from 'zod';
import { amount, decimalField, label, share, slug, wholeNumber } from '../fields/amounts';
import { dayField } from '../fields/day';
import { measurementSchema } from './measurement-schema';

const note = z.string('use a text').max(2000, 'use a text of at most 2,000 characters');

/** Something that is not money and is weighed: ease, support, speed. Its scale is the person's own. */
export const qualitySchema = z
  .strictObject({
    id: slug,
    label,
    weight: amount,
    /** Where a vendor's figure comes from: a mark given by hand, the trial diary, reviews, uptime, page speed, support hours. */
    source: z.enum(['mark', 'trial', 'reviews', 'uptime', 'speed', 'support']),
    /** The scale: what counts as nothing (0) and as all (100), in the figure's own unit. Either may be the larger one. */
    worst: decimalField(),
    best: decimalField(),
    /** Of a candidate of several vendors, which one's figure counts. */
    together: z.enum(['weakest', 'strongest']).optional(),
    why: note.optional(),
  })
  .refine(({ worst, best }) => Number(worst) !== Number(best), { message: 'use two different ends of the scale', path: ['best'] });

/** What people say about a vendor in one place. */
export const reviewSchema = z
  .strictObject({
    id: slug,
    source: label,
    score: amount,
    /** The ends of that place's scale: 1 to 5 stars, 0 to 10. */
    least: amount,
    most: amount,
    count: wholeNumber(0, 100_000_000),
    seen: dayField.optional(),
    earns: z.boolean().optional(),
  })
  .refine(({ least, most }) => Number(least) < Number(most), {
    message: 'the upper end of the scale must be above its lower end',
    path: ['most'],
  })
  .refine(({ score, least, most }) => Number(score) >= Number(least) && Number(score) <= Number(most), {
    message: 'use a score within its scale',
    path: ['score'],
  });

/** A task of the trial diary, tried with a vendor. */
export const triedSchema = z.strictObject({
  minutes: amount.optional(),
  mark: decimalField({ least: '0', most: '10' }).optional(),
  note: note.optional(),
  on: dayField.optional(),
});

/** What is known about a vendor besides its prices. */
export const vendorNotesSchema = z.strictObject({
  marks: z.record(slug, z.strictObject({ value: decimalField(), note: note.optional(), on: dayField.optional() })).optional(),
  reviews: z.array(reviewSchema).optional(),
  /** Promised or measured, percent. */
  uptime: share.optional(),
  support: z
    .strictObject({ channels: z.array(label), hoursAWeek: decimalField({ least: '0', most: '168' }).optional(), note: note.optional() })
    .optional(),
  trialEnds: dayField.optional(),
  tried: z.record(slug, triedSchema).optional(),
  measurements: z.array(measurementSchema).optional(),
});

/** A task that is tried with every vendor in the same way. */
export const taskSchema = z.strictObject({ id: slug, label });

/** What of a decision is not money: qualities, the trial diary's tasks, and what is known about vendors, by offer. */
export const qualitiesFields = {
  qualities: z.array(qualitySchema).optional(),
  tasks: z.array(taskSchema).optional(),
  vendors: z.record(slug, vendorNotesSchema).optional(),
};

export type Quality = z.output<typeof qualitySchema>;
export type Review = z.output<typeof reviewSchema>;
export type Tried = z.output<typeof triedSchema>;
export type VendorNotes = z.output<typeof vendorNotesSchema>;
export type Task = z.output<typeof taskSchema>;
