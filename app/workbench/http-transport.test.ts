import { afterEach, describe, expect, it, vi } from 'vitest';
import { httpTransport } from './http-transport';
import type { SaveRequest } from './saved';

const request: SaveRequest = {
  key: 'k',
  label: 'l',
  revision: 1,
  decision: { name: 'q', currency: 'EUR', start: '2027-01', months: 12, forecast: { streams: [] }, candidates: [] },
  sheets: [],
};
afterEach(() => vi.unstubAllGlobals());

describe('what became of a save', () => {
  it.each([
    ['a reply', () => Response.json({ kind: 'refused', why: 'no' }, { status: 422 }), { kind: 'refused', why: 'no' }],
    [
      'a page of an error of the server',
      () => new Response('<h1>oops</h1>', { status: 500, headers: { 'Content-Type': 'text/html' } }),
      { kind: 'unreachable' },
    ],
    ['a page that says it is busy', () => new Response('', { status: 503 }), { kind: 'unreachable' }],
    ['too many requests', () => new Response('', { status: 429 }), { kind: 'unreachable' }],
    ['too large', () => new Response('', { status: 413 }), { kind: 'refused', why: 'it is more than 5 MB' }],
    ['foreign', () => new Response('', { status: 403 }), { kind: 'refused' }],
    [
      'signed out',
      () => Response.json({ kind: 'unreachable', why: 'you are signed out' }, { status: 401 }),
      { kind: 'unreachable', why: 'you are signed out' },
    ],
    ['no answer', () => Promise.reject(new TypeError('Failed to fetch')), { kind: 'unreachable' }],
    [
      'an answer that is cut off',
      () => new Response('{"kind":', { headers: { 'Content-Type': 'application/json' } }),
      { kind: 'unreachable' },
    ],
  ])('%s: what may work the next time is tried again, all else is said', async (_what, answer, expected) => {
    vi.stubGlobal('fetch', vi.fn(answer));
    expect(await httpTransport('d').save(request)).toMatchObject(expected);
  });
});
