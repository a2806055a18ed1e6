import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import SQLite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { keepPassword } from '#data/password';
import type { DataState } from '#data/prepare-data';
import { freshPaths } from '#data/tests/databases';
import { accessFrom } from './access';
import { frontOf } from './front';
import { openLog } from './log';
import type { AskedRequest, GivenAnswer } from './request-messages';
import type { Unanswered } from './request-pool';

type Answer = GivenAnswer | { readonly unanswered: Unanswered };
const fine: GivenAnswer = {
  status: 200,
  headers: [
    ['content-type', 'text/plain'],
    ['set-cookie', 'a=1'],
    ['set-cookie', 'b=2'],
  ],
  body: new TextEncoder().encode('answered'),
  failure: null,
};
const failing = (data: string | null, status = 500): GivenAnswer => ({
  ...fine,
  status,
  failure: { message: 'something', stack: 'at somewhere', data },
});

let server: Server;
let sqlite: SQLite.Database;
let asked: AskedRequest[] = [];
let answer: Answer = fine;
let state: DataState = { kind: 'ready' };
let changes = 0;
const paths = freshPaths();

const address = () => `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
const get = (path: string, headers: Record<string, string> = {}) => fetch(`${address()}${path}`, { headers, redirect: 'manual' });
const post = (path: string, body: string, headers: Record<string, string> = {}) =>
  fetch(`${address()}${path}`, {
    method: 'POST',
    body,
    headers: { Origin: address(), ...headers },
    redirect: 'manual',
  });

beforeEach(async () => {
  [asked, answer, state, changes] = [[], fine, { kind: 'ready' }, 0];
  sqlite = new SQLite(':memory:');
  sqlite.exec('create table settings (key text primary key, value text not null)');
  const front = frontOf({
    access: accessFrom({}),
    paths,
    pool: { answer: (one) => (asked.push(one), Promise.resolve(answer)), close: () => Promise.resolve() },
    log: openLog(null).child({}, { level: 'silent' }),
    upkeep: { noteChange: () => (changes += 1), stop: () => undefined },
    sqlite,
    state: () => state,
    damaged: (finding) => (state = { kind: 'damaged', finding }),
  });
  server = createServer(front);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
});
afterEach(() => void server.close());

describe('what comes before and after the application', () => {
  it('hands a request on whole, and its answer back', async () => {
    const response = await post('/decisions?x=1', 'a=b', {
      'Content-Type': 'application/x-www-form-urlencoded',
      'X-Own': '1',
    });
    expect([response.status, await response.text(), response.headers.getSetCookie()]).toEqual([200, 'answered', ['a=1', 'b=2']]);
    const [one] = asked;
    expect(one).toMatchObject({ method: 'POST', url: `${address()}/decisions?x=1`, isSignedIn: false });
    expect(Buffer.from(one?.body ?? []).toString()).toBe('a=b');
    expect(Object.fromEntries(one?.headers ?? [])).toMatchObject({ 'x-own': '1' });
    expect(response.headers.get('content-security-policy')).toContain(`'nonce-${one?.nonce}'`);
    expect(changes).toBe(1);
  });

  it.each([
    ['full', 507, 'The disk is full'],
    ['read-only', 503, 'Nothing can be saved'],
    ['locked', 503, 'Another program'],
    ['unreadable', 503, 'This can’t be read any more'],
  ])('says what it means that the data are %s, to a person and to a program', async (data, status, words) => {
    answer = failing(data);
    const page = await post('/decisions', 'a=b');
    expect([page.status, await page.text()]).toEqual([status, expect.stringContaining(words)]);
    const save = await post('/decisions/kites/save', '{}');
    expect([save.status, await save.json()]).toMatchObject([status, { kind: 'unreachable' }]);
  });

  it('writes nothing more as soon as the data turn out to be damaged', async () => {
    answer = failing('damaged');
    await get('/decisions/kites/frame');
    const before = asked.length;
    expect((await post('/decisions/kites/save', '{}')).status).toBe(503);
    expect(await (await get('/decisions')).text()).toContain('Your data are damaged');
    expect(asked).toHaveLength(before);
  });

  it('leaves an answer of the application as it is where a refusal was noted on the way', async () => {
    answer = failing(null, 404);
    expect((await get('/nowhere')).status).toBe(404);
  });

  it('has a failed save tried again, with where the log says more', async () => {
    answer = failing(null);
    expect(await (await post('/decisions/kites/save', '{}')).json()).toMatchObject({
      kind: 'unreachable',
      why: expect.stringMatching(/the log has it as [0-9a-f]{8}/) as string,
    });
  });

  it('says so when a decision takes too long, and does not lead into it until it opened again', async () => {
    answer = { unanswered: 'too-long' };
    const page = await get('/decisions/kites/line-up');
    expect([page.status, await page.text()]).toEqual([503, expect.stringContaining('/decisions/kites/stored')]);
    const slow = () => sqlite.prepare<[], { value: string }>('select value from settings').get()?.value;
    expect(slow()).toBe('["kites"]');
    answer = fine;
    await get('/decisions/kites/line-up');
    expect(slow()).toBe('[]');
  });

  it('refuses what is too large or not to be read, before anybody has to look at it', async () => {
    expect((await post('/decisions', 'x'.repeat(5 * 1024 * 1024 + 1))).status).toBe(413);
    expect((await fetch(`${address()}/decisions`, { method: 'DELETE' })).status).toBe(405);
    expect((await post('/decisions', 'x', { 'Content-Encoding': 'gzip' })).status).toBe(415);
    expect((await get('/assets/none.js')).status).toBe(404);
    expect(asked).toEqual([]);
  });
});

describe('signing in', () => {
  const cookieOf = (response: Response) => (response.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
  const signIn = (password: string, headers: Record<string, string> = {}) =>
    post('/sign-in', new URLSearchParams({ password }).toString(), {
      'Content-Type': 'application/x-www-form-urlencoded',
      ...headers,
    });

  it('is asked of everybody once a password is set; a session opens everything until it is ended', async () => {
    await keepPassword(paths.password, 'a long enough password');
    const page = await get('/decisions', { Accept: 'text/html' });
    expect([page.status, page.headers.get('location')]).toEqual([303, '/sign-in']);
    expect((await post('/decisions/kites/save', '{}')).status).toBe(401);
    expect((await get('/decisions.data')).status).toBe(401);
    expect(asked).toEqual([]);

    expect((await signIn('a long enough passworD')).status).toBe(401);
    expect((await signIn('')).status).toBe(401);
    expect((await post('/sign-in', 'password[]=a')).status).toBe(401);
    const signedIn = await signIn('a long enough password');
    expect(signedIn.headers.getSetCookie()[0]).toMatch(/HttpOnly; SameSite=Strict$/);
    const cookie = { Cookie: cookieOf(signedIn) };
    expect((await get('/decisions', cookie)).status).toBe(200);
    expect(asked.at(-1)?.isSignedIn).toBe(true);
    expect((await get('/decisions', { Cookie: `${cookie.Cookie}x` })).status).not.toBe(200);

    await post('/sign-out', '', cookie);
    expect((await get('/decisions', { ...cookie, Accept: 'text/html' })).status).toBe(303);
    const secure = await signIn('a long enough password', { 'X-Forwarded-Proto': 'https' });
    expect(secure.headers.getSetCookie()[0]).toContain('Secure');
  });

  it('cannot be guessed for long', async () => {
    await keepPassword(paths.password, 'a long enough password');
    const statuses = [];
    for (let turn = 0; turn < 12; turn++) statuses.push((await signIn('a guess')).status);
    expect(statuses.filter((status) => status === 401)).toHaveLength(10);
    expect((await signIn('a long enough password')).status).toBe(429);
  });
});
