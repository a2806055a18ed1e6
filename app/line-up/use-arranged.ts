import { useMemo } from 'react';
import { type Arranged, arranged } from '#core/comparison/arrangement';
import { type FoldedLineUp, foldLineUp } from '#core/comparison/fold';
import { useLevel, useWorkbench } from '../workbench/workbench-context';

const AS_IT_COMES = {};

/**
 * The columns as the person arranged them, at the level of sales that is being looked at, and those that are folded.
 *
 * @param edited - a candidate that is being put together: it stays in view whatever becomes of it
 */
export function useArranged(edited?: string): Arranged & Pick<FoldedLineUp, 'folded'> {
  const { state } = useWorkbench();
  const { priced } = useLevel();
  const { lineUp: view, followed, currency } = state.workbench.decision;
  return useMemo(() => {
    const { columns, leader } = priced.lineUp;
    const { shown, folded } = foldLineUp(columns, priced.priced.pricing.file, { followed, lineUp: view, edited });
    return { ...arranged(shown, view ?? AS_IT_COMES, leader, currency), folded };
  }, [priced, view, followed, currency, edited]);
}
