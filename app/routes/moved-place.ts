import { redirect } from 'react-router';
import { MOVED_PLACES } from '../workbench/place-registry';
import type { Route } from './+types/moved-place';

/** Addresses of places that have moved into another one lead there, since people keep addresses. */
export function loader({ params, request }: Route.LoaderArgs) {
  const former = new URL(request.url).pathname.split(`/${params.decisionId}/`)[1] ?? '';
  return redirect(`/decisions/${params.decisionId}/${MOVED_PLACES[former] ?? ''}`, 301);
}
