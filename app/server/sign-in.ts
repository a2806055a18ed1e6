import { randomBytes } from 'node:crypto';
import express, { type NextFunction, type Request, type Response, Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { LRUCache } from 'lru-cache';
import { helpPage } from './help-page';
import { hasPassword, isPassword } from '#data/password';

const COOKIE = 'venalis-session';
const SESSION_MS = 30 * 86_400_000;
const MOST_SESSIONS = 1_000;
/** Guesses before waiting: from one address, and from all together. */
const GUESSES = { windowMs: 15 * 60_000, limit: 10 };
const GUESSES_IN_ALL = { windowMs: 15 * 60_000, limit: 100 };

/**
 * Signing in with the one password, where one is set: pages behind it are shown only within a session. Sessions live in
 * memory; a restart ends them.
 *
 * @param file - where the password's hash is kept
 */
export function signIn(file: string): {
  readonly routes: Router;
  readonly guard: (request: Request, response: Response, next: NextFunction) => void;
} {
  const sessions = new LRUCache<string, true>({ max: MOST_SESSIONS, ttl: SESSION_MS });
  const isSignedIn = (request: Request) => sessions.has(sessionOf(request));
  const routes = Router();
  const tooMany = (_request: Request, response: Response) =>
    signInPage(response, 429, 'Too many attempts. Wait a quarter of an hour, then try again.');
  const throttles = [
    rateLimit({
      ...GUESSES,
      skipSuccessfulRequests: true,
      handler: tooMany,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
    }),
    rateLimit({
      ...GUESSES_IN_ALL,
      keyGenerator: () => 'all',
      skipSuccessfulRequests: true,
      handler: tooMany,
      standardHeaders: false,
      legacyHeaders: false,
    }),
  ];
  routes.get('/sign-in', (request, response) => {
    if (!hasPassword(file) || isSignedIn(request)) response.redirect(303, '/decisions');
    else signInPage(response, 200, null);
  });
  routes.post('/sign-in', ...throttles, express.urlencoded({ extended: false, limit: '8kb' }), (request, response, next) => {
    void signInWith(request, response, file, sessions).catch(next);
  });
  routes.post('/sign-out', (request, response) => {
    sessions.delete(sessionOf(request));
    response.clearCookie(COOKIE, cookieOptions(request)).redirect(303, '/sign-in');
  });
  const guard = (request: Request, response: Response, next: NextFunction) => {
    response.locals['isSignedIn'] = isSignedIn(request);
    if (!hasPassword(file) || response.locals['isSignedIn']) return next();
    askToSignIn(request, response);
  };
  return { routes, guard };
}

async function signInWith(request: Request, response: Response, file: string, sessions: LRUCache<string, true>): Promise<void> {
  const { password } = (request.body ?? {}) as Record<string, unknown>;
  if (typeof password !== 'string' || !(await isPassword(file, password))) return signInPage(response, 401, 'That is not the password.');
  const session = randomBytes(32).toString('base64url');
  sessions.set(session, true);
  response.cookie(COOKIE, session, { ...cookieOptions(request), maxAge: SESSION_MS }).redirect(303, '/decisions');
}

const cookieOptions = (request: Request) => ({ httpOnly: true, sameSite: 'strict', secure: request.secure, path: '/' }) as const;

function sessionOf({ headers }: Request): string {
  const found = (headers.cookie ?? '')
    .split(';')
    .map((part) => part.trim().split('='))
    .find(([name]) => name === COOKIE);
  return found?.[1] ?? '';
}

function askToSignIn(request: Request, response: Response): void {
  if (request.method === 'GET' && request.accepts(['html', 'json']) === 'html' && !request.path.endsWith('.data'))
    return response.redirect(303, '/sign-in');
  response.status(401).json({ kind: 'unreachable', why: 'you are signed out: sign in again in another tab, and this is saved' });
}

function signInPage(response: Response, status: number, problem: string | null): void {
  helpPage(response, status, 'Sign in', 'This Venalis is protected by a password.', {
    below: `${problem === null ? '' : `<p class="problem" role="alert">${problem}</p>`}<form method="post" action="/sign-in"><label for="password">Password</label><input id="password" name="password" type="password" autocomplete="current-password" required autofocus><br><button>Sign in</button></form>`,
  });
}
