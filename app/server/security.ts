import { randomBytes } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { type Access, isOwnName, nameOf } from './access';
import { helpPage } from './help-page';

/** The largest request body that is read, in bytes. */
const LARGEST_BODY = 5 * 1024 * 1024;

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

/** What is asked for here; there is nothing to put, delete or trace. */
const METHODS = new Set(['GET', 'HEAD', 'POST', 'OPTIONS']);

/** Refuses methods that nothing here answers to, and addresses that cannot be read. */
export function refuseUnknownRequests({ method, url }: Request, response: Response, next: NextFunction): void {
  if (!METHODS.has(method)) {
    response.set('Allow', [...METHODS].join(', '));
    return helpPage(response, 405, 'Not possible here', `Nothing at this address answers to ${method}.`);
  }
  if (url.length > LONGEST_ADDRESS || !isReadable(url))
    return helpPage(response, 400, 'This address cannot be read', 'Check it for stray characters, or start from your decisions.');
  if (method === 'OPTIONS') return void response.set('Allow', 'GET, HEAD, POST').status(204).end();
  next();
}

const LONGEST_ADDRESS = 8_000;

function isReadable(url: string): boolean {
  try {
    decodeURIComponent(url.split('?')[0] ?? '');
    return url.startsWith('/') && !url.startsWith('//') && URL.canParse(url, 'http://venalis.invalid');
  } catch {
    return false;
  }
}

/**
 * Refuses changes that another site asks for, requests that came under a name which is not ours, and, as long as no
 * password is set, any that came from beyond this computer.
 */
export function refuseForeignRequests({ names }: Pick<Access, 'names'>, hasPassword: () => boolean) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const host = request.headers.host ?? '';
    const name = nameOf(host);
    if (!names.has(name))
      return helpPage(
        response,
        421,
        'This is not the address of Venalis',
        'Open Venalis under the address that it printed when it was started. To use another name, start it with ALLOWED_HOSTS.',
      );
    const isFromBeyond = !isOwnName(name) || request.headers['x-forwarded-for'] !== undefined || request.headers['forwarded'] !== undefined;
    if (isFromBeyond && !hasPassword())
      return helpPage(
        response,
        403,
        'Set a password first',
        'Under this name others can reach Venalis too. On the computer where it runs, enter:',
        { commands: ['npm run password'], below: '' },
      );
    const changes = !['GET', 'HEAD', 'OPTIONS'].includes(request.method);
    if (changes && !isSameOrigin(request, host))
      return helpPage(
        response,
        403,
        'Not saved: the request came from another site',
        'Nothing was changed. Open Venalis itself and make the change there.',
      );
    next();
  };
}

function isSameOrigin({ headers }: Request, host: string): boolean {
  const { origin } = headers;
  if (origin === undefined) return headers['sec-fetch-site'] === undefined || headers['sec-fetch-site'] === 'same-origin';
  return URL.canParse(origin) && new URL(origin).host === host;
}

/** Where everything is taken in at once, or a decision with its past orders, more is read than elsewhere. */
const TAKES_MUCH = ['/data/import', '/decisions/import', '/decisions/import.data'];
const LARGEST_IMPORT = 200 * 1024 * 1024;

/** The largest body, in bytes, that is read at an address. */
export function largestBody({ path }: Pick<Request, 'path'>): number {
  return TAKES_MUCH.includes(path) ? LARGEST_IMPORT : LARGEST_BODY;
}

/** Refuses bodies that are too large before they are read, and such as do not say how long they are. */
export function refuseLargeBodies(request: Request, response: Response, next: NextFunction): void {
  const { 'content-length': length, 'transfer-encoding': encoding } = request.headers;
  if (encoding !== undefined && length === undefined)
    return helpPage(response, 411, 'Not saved: the request does not say how long it is', 'Send it with a Content-Length.');
  if (Number(length ?? 0) > largestBody(request)) {
    response.set('Connection', 'close');
    return helpPage(
      response,
      413,
      'Not saved: that is more than 5 MB',
      'Nothing was changed. A decision of that size cannot be kept; leave something out.',
    );
  }
  next();
}
