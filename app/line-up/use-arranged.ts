import { useMemo } from 'react';
import { type Arranged, arranged } from '#core/comparison/arrangement';
import { useLevel, useWorkbench } from '../workbench/workbench-context';

const AS_IT_COMES = {};

/** The columns as the person arranged them, at the level of sales that is being looked at. */
export function useArranged(): Arranged {
  const { state } = useWorkbench();
  const { priced } = useLevel();
  const { lineUp: view = AS_IT_COMES, currency } = state.workbench.decision;
  return useMemo(() => arranged(priced.lineUp.columns, view, priced.lineUp.leader, currency), [priced, view, currency]);
}
