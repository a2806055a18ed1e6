import { randomUUID } from 'node:crypto';
import type SQLite from 'better-sqlite3';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type Request, type Response } from 'express';
import type { DataPaths } from '#data/data-folder';
import type { DataState } from '#data/prepare-data';
import type { Access } from './access';
import { damagedPage } from './damaged-page';
import { helpPage } from './help-page';
import type { Log } from './log';
import { hasPassword } from '#data/password';
import type { AskedRequest, GivenAnswer } from './request-messages';
import type { RequestPool, Unanswered } from './request-pool';
import { largestBody, refuseForeignRequests, refuseLargeBodies, refuseUnknownRequests, securityHeaders } from './security';
import { signIn } from './sign-in';
import { slowDecisions } from './slow-decisions';
import type { Upkeep } from './upkeep';

/** What the front passes requests on to, and what it tells. */
export interface FrontParts {
  readonly access: Access;
  readonly paths: DataPaths;
  readonly pool: RequestPool;
  readonly log: Log;
  readonly upkeep: Upkeep;
  /** null where nothing may be written. */
  readonly sqlite: SQLite.Database | null;
  state(): DataState;
  damaged(finding: string): void;
}

/** Where the built client files lie; set by the script that starts the server. */
const clientFolder = () => process.env['VENALIS_CLIENT'] ?? 'build/client';

/** Everything that happens to a request before and after the application answers it. */
export function frontOf(parts: FrontParts): Express {
  const front = express();
  const isProtected = () => hasPassword(parts.paths.password);
  const { routes, guard } = signIn(parts.paths.password);
  front.disable('x-powered-by');
  front.set('query parser', 'simple');
  // A reverse proxy on this computer says by which way a request came.
  front.set('trust proxy', 'loopback');
  front.use(securityHeaders, refuseUnknownRequests, refuseForeignRequests(parts.access, isProtected), refuseLargeBodies);
  front.use(compression());
  front.use('/assets', express.static(`${clientFolder()}/assets`, { immutable: true, maxAge: '1y', fallthrough: false, redirect: false }));
  front.use(express.static(clientFolder(), { maxAge: '1h', redirect: false }));
  front.use(routes, guard);
  front.use((request, response, next) => {
    const state = parts.state();
    if (state.kind === 'damaged') damagedPage(request, response, state.finding, parts.paths);
    else next();
  });
  front.use(
    (request, response, next) =>
      void express.raw({ type: () => true, limit: largestBody(request), inflate: false })(request, response, next),
  );
  front.use(throughThePool(parts));
  front.use(unexpected(parts.log));
  return front;
}

function throughThePool({ pool, log, upkeep, sqlite, damaged }: FrontParts) {
  const slow = slowDecisions(sqlite);
  return async (request: Request, response: Response): Promise<void> => {
    const answer = await pool.answer(asked(request, response));
    if ('unanswered' in answer) {
      log.warn({ path: request.path, why: answer.unanswered }, 'not answered');
      slow.note(request.path);
      return notAnswered(request, response, answer.unanswered);
    }
    if (request.method === 'GET') slow.clear(request.path);
    else upkeep.noteChange();
    if (answer.failure && (answer.status >= 500 || answer.failure.data !== null))
      return failed(request, response, answer, { log, damaged });
    send(response, answer);
  };
}

function asked(request: Request, response: Response): AskedRequest {
  const headers = Object.entries(request.headers).flatMap(([name, value]) =>
    value === undefined ? [] : [[name, Array.isArray(value) ? value.join(', ') : value] as const],
  );
  const body = Buffer.isBuffer(request.body) && request.method === 'POST' ? request.body : null;
  const { nonce, isSignedIn } = response.locals as { nonce?: string; isSignedIn?: boolean };
  return {
    url: `${request.secure ? 'https' : 'http'}://${request.headers.host ?? 'localhost'}${request.originalUrl}`,
    method: request.method,
    headers,
    body: body && new Uint8Array(body),
    nonce: nonce ?? '',
    isSignedIn: isSignedIn ?? false,
  };
}

function send(response: Response, { status, headers, body }: GivenAnswer): void {
  response.status(status);
  for (const [name, value] of headers) response.append(name, value);
  if (body) response.end(Buffer.from(body));
  else response.end();
}

/** Whether a program asks, not a person who looks at pages. */
function isForProgram(request: Request): boolean {
  return request.path.endsWith('/save') || request.path.endsWith('/step') || request.path.endsWith('.data');
}

const NOT_ANSWERED: Readonly<Record<Unanswered, readonly [status: number, title: string, text: string]>> = {
  'too-long': [
    503,
    'This takes too long',
    'It was stopped so that everything else goes on. Nothing is lost. A decision with hundreds of candidates can be too much for one page: export it, or remove some of them.',
  ],
  'too-much': [503, 'This needs too much memory', 'It was stopped so that everything else goes on. Nothing is lost.'],
  busy: [503, 'Venalis is busy', 'Try again in a moment. Nothing is lost.'],
};

function notAnswered(request: Request, response: Response, why: Unanswered): void {
  const [status, title, text] = NOT_ANSWERED[why];
  response.set('Retry-After', '5');
  if (isForProgram(request))
    response.status(status).json({ kind: 'unreachable', why: `${title.charAt(0).toLowerCase()}${title.slice(1)}; trying again` });
  else helpPage(response, status, title, text, { below: exportLink(request.path) });
}

function exportLink(path: string): string {
  const decision = /^\/decisions\/([A-Za-z0-9._-]+)\//.exec(path)?.[1];
  return `${decision ? `<p><a href="/decisions/${decision}/stored">Export what is stored of this decision</a></p>` : ''}<p><a href="/decisions">Back to your decisions</a></p>`;
}

const DATA_FAILURES: Readonly<Record<string, readonly [status: number, title: string, text: string]>> = {
  full: [507, 'The disk is full', 'This was not saved. Free some space; what you typed stays in this window and is saved then.'],
  'read-only': [503, 'Nothing can be saved', 'The data folder cannot be written to, so Venalis is open for looking only.'],
  locked: [503, 'Another program keeps the data busy', 'Try again in a moment.'],
  unreadable: [
    503,
    'This can’t be read any more',
    'Something damaged what is stored here. Everything else is as it was. You can save what is stored as a file, and delete it from your list.',
  ],
  damaged: [503, 'The data are damaged', 'Nothing more is written. Open Venalis again to see what to do.'],
};

/** An error nobody expected, or one of the disk: logged, and answered with what it means for the person. */
function failed(
  request: Request,
  response: Response,
  { failure, ...answer }: GivenAnswer,
  { log, damaged }: Pick<FrontParts, 'log' | 'damaged'>,
): void {
  if (!failure) return send(response, { ...answer, failure });
  const id = randomUUID().slice(0, 8);
  const about = { id, path: request.path, method: request.method, error: failure.message };
  // What the disk says needs no trace of where it was heard.
  if (failure.data === null) log.error({ ...about, stack: failure.stack }, 'failed');
  else log.warn({ ...about, data: failure.data }, 'not possible');
  if (failure.data === 'damaged') damaged(failure.message);
  const known = failure.data === null ? undefined : DATA_FAILURES[failure.data];
  if (!known && !isForProgram(request)) return send(response, { ...answer, failure });
  const [status, title, text] = known ?? [500, 'Something went wrong here', ''];
  if (isForProgram(request))
    response.status(status).json({
      kind: 'unreachable',
      why: known ? title.charAt(0).toLowerCase() + title.slice(1) : `something went wrong (the log has it as ${id})`,
    });
  else helpPage(response, status, title, text, { below: exportLink(request.path) });
}

function unexpected(log: Log): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    const status = error instanceof Error && 'status' in error && typeof error.status === 'number' ? error.status : 500;
    if (status >= 500) log.error({ err: error, path: request.path }, 'failed');
    if (response.headersSent) return next(error);
    if (status === 404)
      return helpPage(response, 404, 'There is nothing here', 'The address may be mistyped, or the decision was removed.');
    helpPage(
      response,
      status,
      status < 500 ? 'This request cannot be read' : 'Something went wrong here',
      status < 500 ? 'Nothing was changed.' : 'What was saved is safe. Try again; the log of the server says more.',
    );
  };
}
