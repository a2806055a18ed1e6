import { NavLink, Outlet } from 'react-router';
import { useWorkbench } from '../workbench/workbench-context';

const LEAVES = [
  ['', 'Break-even'],
  ['map', 'Map'],
  ['route', 'Route'],
  ['turns-it', 'What turns it'],
  ['paying-ahead', 'Paying ahead'],
  ['offers', 'Offers'],
  ['investment', 'Bigger investment'],
  ['scenarios', 'Scenarios'],
] as const;

/** What if: other sales, other plans, other prices. */
export default function WhatIf() {
  const { decisionId, state } = useWorkbench();
  const to = `/decisions/${decisionId}/what-if`;
  const kept = state.bench.decision.whatIf?.scenarios?.length ?? 0;
  return (
    <div className="leaves">
      <nav className="leaf-tabs" aria-label="What if">
        {LEAVES.map(([path, name]) => (
          <NavLink key={path} end to={path === '' ? to : `${to}/${path}`}>
            {name}
            {path === 'scenarios' && kept > 0 ? ` (${kept})` : ''}
          </NavLink>
        ))}
      </nav>
      <div className="leaf">
        <Outlet />
      </div>
    </div>
  );
}
