import { redirect } from 'react-router';
import type { Route } from './+types/workbench-home';

/** A decision opens at its line-up. */
export function loader({ params }: Route.LoaderArgs) {
  throw redirect(`/decisions/${encodeURIComponent(params.decisionId)}/line-up`);
}
