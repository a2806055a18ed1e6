import * as z from 'zod';
import { label, monthField } from '../fields/amounts';
import { needSchema } from '../decision-file/candidate-schema';

/**
 * A need as a decision keeps it: that of the decision file (§6) with what the file does not hold: its name, from which
 * month on and why, and what kind of need it is.
 */
export const decisionNeedSchema = needSchema.extend({
  label: label.optional(),
  /** `at-least`: so much of something; `connects`: with something the seller keeps; `own`: in the person's own words. */
  kind: z.enum(['yes-no', 'at-least', 'connects', 'own']).optional(),
  /** The thing must not be there. */
  without: z.literal(true).optional(),
  /** Needed from this month on; nothing = from the start. */
  from: monthField.optional(),
  why: z.string('use a text').max(1000, 'use a text of at most 1,000 characters').optional(),
  /** Of a connection: what is kept, and which way the data go. */
  to: label.optional(),
  direction: z.enum(['to', 'from', 'both']).optional(),
});

export type DecisionNeed = z.output<typeof decisionNeedSchema>;
