import type { GivenVerdict } from '../decision/verdict-schema';

/** What the newest verdict chose, by name; null without any. */
export function verdictName(verdicts: readonly GivenVerdict[] | undefined): string | null {
  const newest = verdicts?.at(-1);
  if (!newest) return null;
  return newest.parts.map(({ label }) => label).join(newest.kind === 'route' ? ', then ' : ' with ');
}
