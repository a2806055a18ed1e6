import { notFound as words } from './words/not-found';

/** Any address that does not exist: the root's page for what is not there is shown. */
export function loader() {
  throw new Response(words.notFound, { status: 404 });
}

export default function NotFound() {
  return null;
}
