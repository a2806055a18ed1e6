import { Leaves } from '../components/leaves';
import { useWorkbench } from '../workbench/workbench-context';

/** What if: other sales, other plans, other prices. */
export default function WhatIf() {
  const kept = useWorkbench().state.workbench.decision.whatIf?.scenarios?.length ?? 0;
  return (
    <Leaves
      place="what-if"
      name="What if"
      leaves={[
        { path: '', name: 'Break-even' },
        { path: 'map', name: 'Map' },
        { path: 'route', name: 'Route' },
        { path: 'turns-it', name: 'What turns it' },
        { path: 'paying-ahead', name: 'Paying ahead' },
        { path: 'offers', name: 'Offers' },
        { path: 'investment', name: 'Bigger investment' },
        { path: 'scenarios', name: 'Scenarios', count: kept },
      ]}
    />
  );
}
