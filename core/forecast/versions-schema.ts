import * as z from 'zod';
import { decimalField, slug } from '../fields/amounts';

const percent = decimalField({ least: '-100', most: '1000' });
const points = decimalField({ least: '-100', most: '100' });

const differenceFields = {
  /** Percent more or fewer orders and joins. */
  orders: percent.optional(),
  /** Percent more or less that a customer pays. */
  orderValue: percent.optional(),
  /** Percentage points a month on growth. */
  growth: points.optional(),
  /** Percentage points on refunds, churn and margin. */
  refunds: points.optional(),
  churn: points.optional(),
  margin: points.optional(),
};

/** How a version differs from what is expected; a stream's own differences replace those for all. */
export const differencesSchema = z.strictObject({
  ...differenceFields,
  streams: z.record(slug, z.strictObject(differenceFields)).optional(),
  quantities: z.record(slug, percent).optional(),
});

export const versionsSchema = z.strictObject({ cautious: differencesSchema.optional(), hopeful: differencesSchema.optional() });

export type Differences = z.output<typeof differencesSchema>;
export type StreamDifferences = Omit<Differences, 'streams' | 'quantities'>;
export type Versions = z.output<typeof versionsSchema>;
