import { useMemo } from 'react';
import { verdictAsked } from '#core/verdict/asked';
import type { VerdictBasis } from '#core/verdict/basis';
import { useAskedDecision } from '../what-if/asked-decision';
import { type Answered, useWhatIf } from '../what-if/use-what-if';
import { useWorkbench } from '../workbench/workbench-context';

/** What a verdict on the open decision can be made from, worked out beside the interface. */
export function useVerdictBasis(): Answered<'verdict'> & { readonly basis: VerdictBasis | null } {
  const { state, version } = useWorkbench();
  const { file } = useAskedDecision();
  const { workbench } = state;
  const { needs, whatIf, versions, choice, verdicts } = workbench.decision;
  const isWayAsked = choice?.kind === 'route' || verdicts?.at(-1)?.kind === 'route';
  const question = useMemo(
    () => ({ kind: 'verdict' as const, verdict: verdictAsked(workbench, file, version, isWayAsked) }),
    // The file has all else that counts: typing a reason asks nothing anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [file, version, versions, whatIf, needs, workbench.decision.setAside, isWayAsked],
  );
  const answered = useWhatIf<'verdict'>(file, question);
  return useMemo(() => ({ ...answered, basis: answered.answer }), [answered]);
}
