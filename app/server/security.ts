import { randomBytes } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { helpPage } from './help-page';

/** The largest request body that is read, in bytes. */
const LARGEST_BODY = 5 * 1024 * 1024;

/** Names under which a server on loopback is reached; anything else is somebody else's page pointed at it. */
const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

const REPORT = /^\/decisions\/[^/]+\/report\/html$/;

/** Sets the security headers, with a fresh nonce for this page's scripts. */
export function securityHeaders(request: Request, response: Response, next: NextFunction): void {
  const nonce = randomBytes(16).toString('base64');
  response.locals['nonce'] = nonce;
  // A report stands in a frame of the application, brings its faces along, and has no scripts.
  const isReport = REPORT.test(request.path);
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: isReport ? ["'none'"] : ["'self'", `'nonce-${nonce}'`],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        fontSrc: isReport ? ['data:'] : ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: [isReport ? "'self'" : "'none'"],
      },
    },
    frameguard: { action: isReport ? 'sameorigin' : 'deny' },
    referrerPolicy: { policy: 'same-origin' },
    strictTransportSecurity: false,
  })(request, response, next);
}

/** Refuses changes that another site asks for, and, on loopback, requests that came under a foreign name. */
export function refuseForeignRequests(request: Request, response: Response, next: NextFunction): void {
  const host = request.headers.host ?? '';
  const name = host.replace(/:\d+$/, '');
  if (!process.env['HOST'] && !LOOPBACK.has(name)) {
    helpPage(response, 421, 'This is not the address of Venalis', 'Open Venalis under the address that it printed when it was started.');
    return;
  }
  const changes = !['GET', 'HEAD', 'OPTIONS'].includes(request.method);
  if (changes && !isSameOrigin(request, host)) {
    helpPage(response, 403, 'Not saved: the request came from another site', 'Nothing was changed. Open Venalis itself and make the change there.');
    return;
  }
  next();
}

function isSameOrigin({ headers }: Request, host: string): boolean {
  const { origin } = headers;
  if (origin === undefined) return headers['sec-fetch-site'] === undefined || headers['sec-fetch-site'] === 'same-origin';
  return URL.canParse(origin) && new URL(origin).host === host;
}

/** Refuses bodies over 5 MB before they are read, and such as do not say how long they are. */
export function refuseLargeBodies(request: Request, response: Response, next: NextFunction): void {
  const { 'content-length': length, 'transfer-encoding': encoding } = request.headers;
  if (encoding !== undefined && length === undefined) {
    helpPage(response, 411, 'Not saved: the request does not say how long it is', 'Send it with a Content-Length.');
    return;
  }
  if (Number(length ?? 0) > LARGEST_BODY) {
    response.set('Connection', 'close');
    helpPage(response, 413, 'Not saved: that is more than 5 MB', 'Nothing was changed. A decision of that size cannot be kept; leave something out.');
    return;
  }
  next();
}
