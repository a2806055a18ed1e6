import { useMemo } from 'react';
import { uncertainStated } from '#core/chance/uncertain';
import type { Decision } from '#core/decision/decision-schema';
import type { DecisionFile } from '#core/decision-file/schema';
import { USUAL_MOVING } from '#core/route/moving-costs';
import { type Answered, useWhatIf } from '../use-what-if';

/** How sure the answer is, worked out beside the interface; the same wherever it is asked. */
export function useChance(file: DecisionFile, { versions, chance, whatIf }: Decision, isAsked = true): Answered<'chance'> {
  const ranges = whatIf?.ranges;
  const question = useMemo(
    () => ({ kind: 'chance' as const, ...uncertainStated({ versions, chance, whatIf: ranges && { ranges } }) }),
    [versions, chance, ranges],
  );
  return useWhatIf<'chance'>(file, isAsked ? question : null);
}

/** What it would be worth to wait; asked once how sure the answer is has been worked out. */
export function useWaiting(file: DecisionFile, { versions, chance, whatIf }: Decision, isAsked: boolean): Answered<'waiting'> {
  const { ranges, moving = USUAL_MOVING } = whatIf ?? {};
  const question = useMemo(
    () => ({ kind: 'waiting' as const, moving, ...uncertainStated({ versions, chance, whatIf: ranges && { ranges } }) }),
    [versions, chance, ranges, moving],
  );
  return useWhatIf<'waiting'>(file, isAsked ? question : null);
}
