import { useRef } from 'react';
import { NavLink, Outlet } from 'react-router';
import { type LeafyPlace, leavesOf } from '../workbench/place-registry';
import { useStore } from '../workbench/workbench-context';
import { useCurrentInRow } from './use-current-in-row';

/**
 * A place of several leaves: their names above, the chosen one below.
 *
 * @param counts - how much a leaf holds, by its path, where that is worth saying
 */
export function Leaves({ place, counts = {} }: { place: LeafyPlace; counts?: Readonly<Record<string, number>> }) {
  const { decisionId } = useStore();
  const to = `/decisions/${decisionId}/${place}`;
  const { name, leaves } = leavesOf(place);
  const row = useRef<HTMLElement>(null);
  useCurrentInRow(row);
  return (
    <div className="leaves">
      <nav ref={row} className="leaf-tabs" aria-label={name}>
        {leaves.map(({ path, name: leaf }) => (
          <NavLink key={path} end to={path === '' ? to : `${to}/${path}`}>
            {leaf}
            {(counts[path] ?? 0) > 0 ? ` (${counts[path] ?? 0})` : ''}
          </NavLink>
        ))}
      </nav>
      <div className="leaf">
        <Outlet />
      </div>
    </div>
  );
}
