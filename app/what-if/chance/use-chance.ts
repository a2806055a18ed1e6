import { useMemo } from 'react';
import { uncertainStated } from '#core/chance/uncertain';
import type { Decision } from '#core/decision/decision-schema';
import type { DecisionFile } from '#core/decision-file/schema';
import { type Answered, useWhatIf } from '../use-what-if';

/** How sure the answer is, worked out beside the interface; the same wherever it is asked. */
export function useChance(file: DecisionFile, { versions, chance, whatIf }: Decision): Answered<'chance'> {
  const ranges = whatIf?.ranges;
  const question = useMemo(
    () => ({ kind: 'chance' as const, ...uncertainStated({ versions, chance, whatIf: ranges && { ranges } }) }),
    [versions, chance, ranges],
  );
  return useWhatIf<'chance'>(file, question);
}
