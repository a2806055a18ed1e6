import type { PlainLine } from './plain-line';
import { type Place, plansFor } from './plans-meant';
import type { ReadingBuilder } from './reading-builder';

const JOINING_FEE =
  /^(?:one-time |once-only |one-off )?(?:set-?up|activation|joining|onboarding|sign-?up)(?: fees?| costs?)?\s*(?:once|one-time|of|is|are|costs?|:|–|-|\s)*¤(\d+(?:\.\d+)?)(?:,? (?:once|one-time|one-off))?\b[^¤]{0,40}$/i;

/** Whether a line states what joining costs. */
export function isJoiningFee(plain: string): boolean {
  return JOINING_FEE.test(plain);
}

/** "Set-up fee: ¤25 once" is paid on joining a plan that has a price. */
export function readJoiningFee({ plain, line }: PlainLine, place: Place, builder: ReadingBuilder): boolean {
  const isAsked = /\bset[- ]?up (?:fee|cost)|\b(?:joining|activation) fee/i.test(place.question);
  const amount =
    JOINING_FEE.exec(plain)?.[1] ??
    (isAsked
      ? /^yes[,:.]? (?:it is |of )?(?:a one-time |one-time )?¤(\d+(?:\.\d+)?)(?:,? (?:once|one-time|per \w+))?[.!]?$/i.exec(plain)?.[1]
      : undefined);
  if (amount === undefined || place.section === 'addons') return false;
  const plans = plansFor(plain, place, builder, 'priced');
  for (const plan of plans) builder.state(plan, { kind: 'joining', label: 'Set-up', amount }, line);
  return plans.length > 0;
}

/** "… ¤28 per month, no contract, ¤10 set-up fee": of joining in this way, or in any. */
export const BESIDE_SET_UP = /,? (?:plus |and )?(?:a )?¤(\d+(?:\.\d+)?) (?:set-?up|joining|activation)(?: fee)?\b/i;

/** Whether everybody who joins pays it is asked. */
export function askSetUp(amount: string, line: number, plans: readonly string[], builder: ReadingBuilder): void {
  const statement = { kind: 'joining', label: 'Set-up', amount } as const;
  builder.ask('Does everybody who joins pay the set-up fee?', [line], plans, [
    { label: 'yes, however the plan is paid', statements: plans.map((plan) => ({ plan, statement })) },
    { label: 'no, leave it out', statements: [] },
  ]);
}
