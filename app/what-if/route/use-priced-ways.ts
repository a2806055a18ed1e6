import { useMemo } from 'react';
import type { OwnWay } from '#core/decision/what-if-schema';
import { USUAL_MOVING } from '#core/route/moving-costs';
import type { PricedOwnWay } from '#core/what-if/own-way';
import { useWorkbench } from '../../workbench/workbench-context';
import { useAskedDecision } from '../asked-decision';
import { useWhatIf } from '../use-what-if';

const NO_WAYS: readonly OwnWay[] = [];

/** What the person's own ways come to, worked out beside the interface; null until it is. */
export function usePricedWays(): readonly PricedOwnWay[] | null {
  const { file } = useAskedDecision();
  const { whatIf } = useWorkbench().state.workbench.decision;
  const ways = whatIf?.ways ?? NO_WAYS;
  const moving = whatIf?.moving ?? USUAL_MOVING;
  const question = useMemo(() => (ways.length > 0 ? { kind: 'own-ways' as const, ways, moving } : null), [ways, moving]);
  return useWhatIf<'own-ways'>(file, question).answer;
}
