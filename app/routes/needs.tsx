import { NavLink, Outlet } from 'react-router';
import { useWorkbench } from '../workbench/workbench-context';

/** Today, for the age of what answers rest on. */
export function loader() {
  return { today: new Date().toISOString().slice(0, 10) };
}

/** What the seller needs, and what plans say to it. */
export default function Needs() {
  const { decisionId } = useWorkbench();
  return (
    <div className="leaves">
      <nav className="leaf-tabs" aria-label="Needs">
        <NavLink end to={`/decisions/${decisionId}/needs`}>
          What is needed
        </NavLink>
        <NavLink to={`/decisions/${decisionId}/needs/answers`}>What plans say to it</NavLink>
      </nav>
      <div className="leaf">
        <Outlet />
      </div>
    </div>
  );
}
