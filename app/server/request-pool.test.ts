import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { openLog } from './log';
import type { AskedRequest } from './request-messages';
import { laneOf, type RequestPool, requestPool } from './request-pool';

const asked = (path: string, bytes = 0): AskedRequest => ({
  url: `http://127.0.0.1${path}`,
  method: 'GET',
  headers: [],
  body: bytes > 0 ? new Uint8Array(bytes) : null,
  nonce: '',
  isSignedIn: false,
});

/** A thread that answers with its path, never, or with an end of itself, as the path asks. */
function threadFile(): string {
  const file = join(mkdtempSync(join(tmpdir(), 'venalis-thread-')), 'thread.mjs');
  writeFileSync(
    file,
    `export default ({ url }) => {
      const { pathname } = new URL(url);
      if (pathname === '/busy') for (;;);
      if (pathname === '/ends') process.exit(1);
      if (pathname === '/greedy') { const kept = []; for (;;) kept.push(new Array(1e6).fill(kept.length)); }
      if (pathname === '/fails') throw new TypeError('not this');
      return { status: 200, headers: [['x', pathname]], body: null, failure: null };
    };`,
  );
  return file;
}

describe('threads that answer requests', () => {
  let pool: RequestPool | undefined;
  const open = (limits: { usualMs: number; longMs: number }) =>
    (pool = requestPool(threadFile(), { isReadOnly: false }, openLog(null), limits));
  afterEach(() => pool?.close());
  const statusOf = async (path: string) => {
    const answer = await pool?.answer(asked(path));
    return answer && 'status' in answer ? answer.status : answer?.unanswered;
  };

  it('end one that takes too long, and answer everything else meanwhile and after', async () => {
    // Long enough for a fresh thread to start on a machine that is busy with everything else.
    open({ usualMs: 6_000, longMs: 60_000 });
    expect(await statusOf('/first')).toBe(200);
    const busy = statusOf('/busy');
    const others = await Promise.all(Array.from({ length: 20 }, (_, at) => statusOf(`/other-${at}`)));
    expect(new Set(others)).toEqual(new Set([200]));
    expect(await busy).toBe('too-long');
    expect(await statusOf('/after')).toBe(200);
  });

  it('say so when one ends itself, needs all memory or fails, and go on', async () => {
    open({ usualMs: 30_000, longMs: 60_000 });
    await expect(statusOf('/fails')).rejects.toThrow('not this');
    expect(await statusOf('/ends').catch(() => 'failed')).not.toBe(200);
    expect(await statusOf('/after')).toBe(200);
    expect(await statusOf('/greedy')).toBe('too-much');
    expect(await statusOf('/after')).toBe(200);
  });

  it.each([
    ['/decisions/a/line-up', 0, null],
    ['/decisions/a/save', 1_000, null],
    ['/decisions/a/save', 300_000, 'reading'],
    ['/decisions/a/report/pdf', 0, 'heavy'],
    ['/decisions/a/report/html.data', 0, 'heavy'],
    ['/decisions/a/verdict/report', 0, null],
    ['/decisions/a/verdict/report.data', 0, null],
    ['/decisions/a/workbook.xlsx', 0, 'heavy'],
    ['/watch', 0, 'heavy'],
    ['/watch.data', 0, 'heavy'],
    ['/watchtower', 0, null],
    ['/decisions/import', 0, 'reading'],
  ])('%s with %i bytes has threads of its own: %s', (path, bytes, expected) => {
    expect(laneOf(asked(path, bytes))).toBe(expected);
  });
});
