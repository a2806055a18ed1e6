import { memo, useEffect, useRef, useState } from 'react';
import { Link, NavLink, Outlet, PrefetchPageLinks, type ShouldRevalidateFunctionArgs, useRevalidator } from 'react-router';
import { loadWorkbench } from '#data/decisions';
import { useCurrentInRow } from '../components/use-current-in-row';
import { useWriter } from '../locale/locale';
import { database } from '../server/database.server';
import { LeftDrafts } from '../workbench/left-drafts';
import { PLACES } from '../workbench/place-registry';
import { type Place, placesOf } from '../workbench/places';
import { fetchPrograms } from '../workbench/programs-at-hand';
import { ConflictNotice, SavedSign } from '../workbench/saved-sign';
import { savesData } from '../workbench/saves-data';
import { Shortcuts } from '../workbench/shortcuts';
import { StandingStrip } from '../workbench/standing-strip';
import { VersionSwitch } from '../workbench/version-switch';
import { whileAway } from '../workbench/while-away';
import { useWorkbench, WorkbenchProvider } from '../workbench/workbench-context';
import type { Route } from './+types/workbench';
import { workbench as words } from './words/workbench';
import { Brand } from '../components/brand';

export async function loader({ params }: Route.LoaderArgs) {
  const saved = await loadWorkbench(await database(), params.decisionId);
  if (!saved) throw new Response(words.notFound, { status: 404 });
  return saved;
}

/** Decisions as the server last sent them, for as long as it is away. */
const lastLoaded = new Map<string, Awaited<ReturnType<typeof loader>>>();

export async function clientLoader({ serverLoader, params }: Route.ClientLoaderArgs) {
  const loaded = await whileAway(serverLoader, () => lastLoaded.get(params.decisionId) ?? null);
  lastLoaded.set(params.decisionId, loaded);
  return loaded;
}

/** Moving between places needs nothing from the server; another decision, or coming back to the window, does. */
export function shouldRevalidate({
  currentParams,
  nextParams,
  defaultShouldRevalidate,
  currentUrl,
  nextUrl,
}: ShouldRevalidateFunctionArgs) {
  if (currentParams['decisionId'] !== nextParams['decisionId']) return true;
  return currentUrl.pathname === nextUrl.pathname && defaultShouldRevalidate;
}

export function meta({ loaderData }: Route.MetaArgs) {
  return [{ title: words.venalis(loaderData?.workbench.decision.name ?? words.decision) }];
}

export default function WorkbenchRoute({ loaderData, params }: Route.ComponentProps) {
  useEffect(() => void lastLoaded.set(params.decisionId, loaderData), [params.decisionId, loaderData]);
  return (
    <WorkbenchProvider key={params.decisionId} decisionId={params.decisionId} saved={loaderData}>
      <Workbench />
    </WorkbenchProvider>
  );
}

function Workbench() {
  const { state, atForecast, decisionId } = useWorkbench();
  const write = useWriter();
  const places = placesOf(state.workbench, atForecast, write);
  const row = useRef<HTMLElement>(null);
  useCurrentInRow(row);
  useFreshnessOnReturn();
  return (
    <div className="workbench">
      <header className="workbench-head">
        <Link to="/decisions" className="brand" aria-label={words.venalisAllDecisions}>
          <Brand />
        </Link>
        <h1>{state.workbench.decision.name || words.untitledDecision}</h1>
        <VersionSwitch />
        <div className="workbench-signs">
          <SavedSign />
          <Shortcuts places={places} />
        </div>
      </header>
      <ConflictNotice />
      <LeftDrafts />
      <StandingStrip />
      <div className="workbench-body">
        <nav ref={row} className="places" aria-label={words.places}>
          <ul>
            {places.map((place) => (
              <PlaceLink key={place.path} {...place} decisionId={decisionId} />
            ))}
          </ul>
        </nav>
        <Outlet />
      </div>
      <PlaceLinks decisionId={decisionId} />
    </div>
  );
}

/** The way to a place, drawn again only when what it holds is something else. */
const PlaceLink = memo(function PlaceLink({ path, name, holds, lacks, decisionId }: Place & { decisionId: string }) {
  return (
    <li>
      <NavLink to={`/decisions/${decisionId}/${path}`} prefetch="intent">
        <b>{name}</b>
        <span className={lacks ? 'lacks' : ''}>{holds}</span>
      </NavLink>
    </li>
  );
});

/** Coming back to this window takes up what was changed in another. */
function useFreshnessOnReturn() {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    const look = () => document.visibilityState === 'visible' && void revalidate();
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, [revalidate]);
}

/** Every place with a program of its own: what the list of places leads to, and what lies within it. */
const PAGES = [
  '/decisions',
  inDecision('start'),
  inDecision('sheets/x'),
  ...PLACES.flatMap((place) =>
    'leaves' in place ? place.leaves.map(({ path }) => inDecision(`${place.path}/${path}`)) : inDecision(place.path),
  ),
];

function inDecision(place: string): string {
  return `/decisions/:id/${place}`.replace(/\/$/, '');
}

const AFTER_MS = 2_000;

/** Has the browser fetch the programs of all places once it has time, so that they open while the server is away; not where the person saves data. */
const PlaceLinks = memo(function PlaceLinks({ decisionId }: { decisionId: string }) {
  const [isTime, setTime] = useState(false);
  useEffect(() => {
    if (savesData(navigator)) return;
    const timer = setTimeout(() => {
      setTime(true);
      fetchPrograms();
    }, AFTER_MS);
    return () => clearTimeout(timer);
  }, []);
  return isTime && PAGES.map((page) => <PrefetchPageLinks key={page} page={page.replace(':id', decisionId)} />);
});
