import * as z from 'zod';
import { decimalField } from '../fields/amounts';

/** How uncertain what is assumed is, where the person says so; what is not named is as uncertain as it usually is. */
export const chanceSchema = z.strictObject({
  /** One in ten is further off than this, either way, by the key of what is uncertain; 0 for certain. */
  spreads: z.record(z.string().max(120), decimalField({ least: '0', most: '1000' })).optional(),
  /** Other futures are drawn with another seed. */
  seed: z.number().int().min(0).max(999_999).optional(),
});

export type ChanceSettings = z.output<typeof chanceSchema>;
