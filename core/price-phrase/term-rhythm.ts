import { billed, duration, period } from './amount-rules';
import { first, made, optional, type Rule, sequence, sign, word, words } from './grammar';

/** That something is paid once and for good. */
export const ONCE = words(
  'once',
  'one time',
  'one off',
  'one time payment',
  'lifetime',
  'for life',
  'for good',
  'once for good',
  'once , for good',
  'paid once',
  'for ever',
  'once and for all',
);
/** How often a term is paid, written out or as pages do. */
export const rhythm: Rule<{ of: number; paid: number }> = first<{ of: number; paid: number }>(
  made(sequence(period, optional(sign(',')), optional(words('when', 'if')), billed), ([of, , , paid]) => ({ of, paid })),
  made(billed, (months) => ({ of: months, paid: months })),
  made(sequence(word('for'), duration), ([, months]) => ({ of: months, paid: months })),
  made(period, (months) => ({ of: months, paid: months })),
  made(ONCE, () => ({ of: 0, paid: 0 })),
);
