/** The server does not start as it was asked to; the message says why and what to do. */
export class StartRefused extends Error {
  override name = 'StartRefused';
}
