import { NavLink, Outlet } from 'react-router';
import { useWorkbench } from '../workbench/workbench-context';

const LEAVES = [
  ['', 'Verdict'],
  ['dates', 'Dates'],
  ['report', 'Report and files'],
  ['afterwards', 'Afterwards'],
] as const;

/** The verdict, what follows from it, and how it turned out. */
export default function VerdictPlace() {
  const { decisionId, state } = useWorkbench();
  const to = `/decisions/${decisionId}/verdict`;
  const given = state.bench.decision.verdicts?.length ?? 0;
  return (
    <div className="leaves">
      <nav className="leaf-tabs" aria-label="Verdict">
        {LEAVES.map(([path, name]) => (
          <NavLink key={path} end to={path === '' ? to : `${to}/${path}`}>
            {name}
            {path === '' && given > 1 ? ` (${given})` : ''}
          </NavLink>
        ))}
      </nav>
      <div className="leaf">
        <Outlet />
      </div>
    </div>
  );
}
