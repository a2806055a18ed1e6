import * as z from 'zod';
import type { Checker } from '../../fields/checker';
import { amount, amountOrNotKnown, monthField, share, slug, wholeNumber } from '../../fields/amounts';

const introFields = { periods: wholeNumber(1, 1200), until: monthField.optional() };

const introSchema = z.union([z.strictObject({ price: amountOrNotKnown, ...introFields }), z.strictObject({ off: share, ...introFields })]);

const changeSchema = z.strictObject({ from: monthField, price: amount });

const renewalSchema = z.strictObject({ months: wholeNumber(1, 1200), price: amountOrNotKnown });

/** How a plan or add-on is paid (decision file §3, Terms). `months` 0 means once and for good. */
export const termSchema = z.strictObject({
  id: slug,
  months: wholeNumber(0, 1200),
  price: amountOrNotKnown,
  intro: introSchema.optional(),
  trialDays: wholeNumber(0, 3650).optional(),
  refundDays: wholeNumber(0, 3650).optional(),
  prorated: z.boolean().optional(),
  changes: z.array(changeSchema).optional(),
  renewal: renewalSchema.optional(),
});

export type Term = z.output<typeof termSchema>;
export type Intro = z.output<typeof introSchema>;

/** Whether a price of a term is not known (decision file, Conventions); then no payment of it gives a line. */
export function isTermNotKnown({ price, intro, renewal }: Term): boolean {
  return price === null || renewal?.price === null || (intro !== undefined && 'price' in intro && intro.price === null);
}

/** What is wrong with a term beyond its fields (decision file §3, Terms). */
export function checkTerm({ months, changes = [], renewal }: Term, path: readonly PropertyKey[], check: Checker): void {
  changes.forEach(({ from }, index) => {
    const before = changes[index - 1]?.from;
    if (before !== undefined && from <= before)
      check.problem([...path, 'changes', index, 'from'], `use a month after ${before}: changes in order`);
  });
  if (months > 0) return;
  if (changes.length > 0) check.problem([...path, 'changes'], 'what is paid once and for good has no changes of price');
  if (renewal !== undefined) check.problem([...path, 'renewal'], 'what is paid once and for good is not renewed');
}
