import { useMemo } from 'react';
import { VERSION_NAMES } from '#core/forecast/versions';
import { featureNames } from '#core/verdict/names';
import type { VerdictBasis } from '#core/verdict/basis';
import { USUAL_MOVING } from '#core/what-if/route-plan';
import { useAskedDecision } from '../what-if/asked-decision';
import { useAssumptions } from '../what-if/use-assumptions';
import { type Answered, useWhatIf } from '../what-if/use-what-if';
import { price, useWorkbench } from '../workbench/workbench-context';

/** What a verdict on the open decision can be made from, worked out beside the interface. */
export function useVerdictBasis(): Answered<'verdict'> & { readonly basis: VerdictBasis | null } {
  const { state, version } = useWorkbench();
  const { file } = useAskedDecision();
  const { varied } = useAssumptions();
  const { bench } = state;
  const { needs, whatIf } = bench.decision;
  const question = useMemo(() => {
    const others = VERSION_NAMES.filter((other) => other !== version).map((other) => ({ version: other, file: price(bench, other).priced.pricing.file }));
    return { kind: 'verdict' as const, verdict: { others, varied, moving: whatIf?.moving ?? USUAL_MOVING, names: featureNames(needs ?? []) } };
    // What else is on the bench changes nothing of it: the file has all that counts.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [file, version, varied, whatIf?.moving, needs]);
  const answered = useWhatIf<'verdict'>(file, question);
  return useMemo(() => ({ ...answered, basis: answered.answer }), [answered]);
}
