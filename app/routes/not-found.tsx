/** Any address that does not exist: the root's page for what is not there is shown. */
export function loader() {
  throw new Response('Not found', { status: 404 });
}

export default function NotFound() {
  return null;
}
