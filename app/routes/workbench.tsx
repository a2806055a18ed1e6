import { useEffect } from 'react';
import { Link, NavLink, Outlet, type ShouldRevalidateFunctionArgs, useRevalidator } from 'react-router';
import { loadWorkbench } from '#data/decisions';
import { useWriter } from '../locale/locale';
import { database } from '../server/database.server';
import { placesOf } from '../workbench/places';
import { ConflictNotice, SavedSign } from '../workbench/saved-sign';
import { Shortcuts } from '../workbench/shortcuts';
import { StandingStrip } from '../workbench/standing-strip';
import { VersionSwitch } from '../workbench/version-switch';
import { useWorkbench, WorkbenchProvider } from '../workbench/workbench-context';
import type { Route } from './+types/workbench';

export async function loader({ params }: Route.LoaderArgs) {
  const saved = await loadWorkbench(await database(), params.decisionId);
  if (!saved) throw new Response('Not found', { status: 404 });
  return saved;
}

/** Moving between places needs nothing from the server; another decision, or coming back to the window, does. */
export function shouldRevalidate({ currentParams, nextParams, defaultShouldRevalidate, currentUrl, nextUrl }: ShouldRevalidateFunctionArgs) {
  if (currentParams['decisionId'] !== nextParams['decisionId']) return true;
  return currentUrl.pathname === nextUrl.pathname && defaultShouldRevalidate;
}

export function meta({ loaderData }: Route.MetaArgs) {
  return [{ title: `${loaderData?.bench.decision.name ?? 'Decision'} · Venalis` }];
}

export default function WorkbenchRoute({ loaderData, params }: Route.ComponentProps) {
  return (
    <WorkbenchProvider key={params.decisionId} decisionId={params.decisionId} saved={loaderData}>
      <Bench />
    </WorkbenchProvider>
  );
}

function Bench() {
  const { state, atForecast, decisionId } = useWorkbench();
  const write = useWriter();
  const places = placesOf(state.bench, atForecast, write);
  useFreshnessOnReturn();
  return (
    <div className="bench">
      <header className="bench-head">
        <Link to="/decisions" className="brand" aria-label="Venalis, all decisions">
          Venalis<i>.</i>
        </Link>
        <h1>{state.bench.decision.name || 'A decision without a question'}</h1>
        <VersionSwitch />
        <div className="bench-signs">
          <SavedSign />
          <Shortcuts places={places} />
        </div>
      </header>
      <ConflictNotice />
      <StandingStrip />
      <div className="bench-body">
        <nav className="places" aria-label="Places">
          <ul>
            {places.map(({ path, name, holds, lacks }) => (
              <li key={path}>
                <NavLink to={`/decisions/${decisionId}/${path}`} prefetch="intent">
                  <b>{name}</b>
                  <span className={lacks ? 'lacks' : ''}>{holds}</span>
                </NavLink>
              </li>
            ))}
          </ul>
        </nav>
        <Outlet />
      </div>
    </div>
  );
}

/** Coming back to this window takes up what was changed in another. */
function useFreshnessOnReturn() {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    const look = () => document.visibilityState === 'visible' && void revalidate();
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, [revalidate]);
}
