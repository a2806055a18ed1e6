import { NavLink, Outlet } from 'react-router';
import { useWorkbench } from '../workbench/workbench-context';

/** Today, for what is noted on this day. */
export function loader() {
  return { today: new Date().toISOString().slice(0, 10) };
}

/** What is not money: marks, the trial diary, page speed. */
export default function Qualities() {
  const { decisionId } = useWorkbench();
  const to = `/decisions/${decisionId}/qualities`;
  return (
    <div className="leaves">
      <nav className="leaf-tabs" aria-label="Qualities">
        <NavLink end to={to}>
          What counts
        </NavLink>
        <NavLink to={`${to}/diary`}>Trial diary</NavLink>
        <NavLink to={`${to}/speed`}>Page speed</NavLink>
      </nav>
      <div className="leaf">
        <Outlet />
      </div>
    </div>
  );
}
