import * as z from 'zod';

/** A calendar day, `YYYY-MM-DD`. */
export const dayField = z.iso.date('use a day such as 2026-11-03');
