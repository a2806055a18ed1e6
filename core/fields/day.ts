import * as z from 'zod';

/** A calendar day, `YYYY-MM-DD`. */
export const dayField = z.iso.date('a day such as 2026-11-03 is wanted');
