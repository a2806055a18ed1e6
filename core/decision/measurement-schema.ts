import * as z from 'zod';
import { dayField } from '../fields/day';
import { label, slug } from '../fields/amounts';

const count = z.number().min(0).max(1e12);

/** What a browser's recording of a page says, in figures; the recording itself is not kept. */
export const measurementSchema = z.strictObject({
  id: slug,
  /** The file it was read from. */
  file: label,
  /** The page's address, shortened. */
  page: label,
  /** The day on which it was recorded; null if the recording does not say. */
  at: dayField.nullable(),
  browser: z.string().max(100),
  /** Until the page had loaded, and until its content was there, milliseconds; null if the recording does not say. */
  loadMs: count.nullable(),
  contentMs: count.nullable(),
  requests: count,
  /** Bytes that came over the network. */
  bytes: count,
  /** Requests answered from the browser's own store. */
  cached: count,
  failed: count,
  /** Hosts of other sites than the page's own, with their requests. */
  thirdParties: z.array(z.strictObject({ host: z.string().max(300), requests: count, bytes: count })).max(200),
});

export type Measurement = z.output<typeof measurementSchema>;
