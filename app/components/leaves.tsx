import { NavLink, Outlet } from 'react-router';
import { useWorkbench } from '../workbench/workbench-context';

interface Leaf {
  /** Below the place; empty for the first. */
  readonly path: string;
  readonly name: string;
  /** How much it holds, where that is worth saying. */
  readonly count?: number;
}

/** A place of several leaves: their names above, the chosen one below. */
export function Leaves({ place, name, leaves }: { place: string; name: string; leaves: readonly Leaf[] }) {
  const { decisionId } = useWorkbench();
  const to = `/decisions/${decisionId}/${place}`;
  return (
    <div className="leaves">
      <nav className="leaf-tabs" aria-label={name}>
        {leaves.map(({ path, name: leaf, count = 0 }) => (
          <NavLink key={path} end to={path === '' ? to : `${to}/${path}`}>
            {leaf}
            {count > 0 ? ` (${count})` : ''}
          </NavLink>
        ))}
      </nav>
      <div className="leaf">
        <Outlet />
      </div>
    </div>
  );
}
