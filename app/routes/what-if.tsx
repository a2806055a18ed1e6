import { Leaves } from '../components/leaves';
import { useWorkbench } from '../workbench/workbench-context';

/** What if: other sales, other plans, other prices. */
export default function WhatIf() {
  const kept = useWorkbench().state.workbench.decision.whatIf?.scenarios?.length ?? 0;
  return <Leaves place="what-if" counts={{ scenarios: kept }} />;
}
