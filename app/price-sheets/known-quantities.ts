import { useMemo } from 'react';
import { useWorkbench } from '../workbench/workbench-context';

/** The quantities that the forecast states, by their names. */
export function useKnownQuantities(): readonly string[] {
  const { drivers } = useWorkbench().state.workbench.decision.forecast;
  return useMemo(() => ['orders', 'sales', 'subscribers', ...Object.keys(drivers ?? {})], [drivers]);
}
