import { spawn } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable, Writable } from 'node:stream';
import * as z from 'zod';

/** A headless browser that is told what to do over a pipe (DevTools protocol); no port is opened. */
export interface OpenBrowser {
  /** Sends a command and waits for its result. */
  send(method: string, parameters: object, sessionId?: string): Promise<unknown>;
  close(): void;
  /** Whether it has ended. */
  isOver(): boolean;
  /** Fulfilled when it has ended, however that came. */
  readonly ended: Promise<void>;
}

const ARGUMENTS = [
  '--headless',
  '--remote-debugging-pipe',
  '--disable-gpu',
  // Letters stand where the font wants them, not on whole pixels.
  '--font-render-hinting=none',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-extensions',
  '--host-resolver-rules=MAP * ~NOTFOUND',
];

const replySchema = z.object({ id: z.number(), result: z.unknown().optional(), error: z.object({ message: z.string() }).optional() });

interface Waiting {
  resolve(result: unknown): void;
  reject(error: Error): void;
}

/**
 * Starts a browser with an empty profile of its own, which is removed when it has ended.
 *
 * @param path - of Chromium
 */
export async function openBrowser(path: string): Promise<OpenBrowser> {
  const profile = await mkdtemp(join(tmpdir(), 'venalis-print-'));
  // Only root needs to go without the browser's own sandbox.
  const asRoot = process.getuid?.() === 0 ? ['--no-sandbox'] : [];
  const child = spawn(path, [...ARGUMENTS, ...asRoot, `--user-data-dir=${profile}`, 'about:blank'], {
    stdio: ['ignore', 'ignore', 'ignore', 'pipe', 'pipe'],
  });
  const [to, from] = [child.stdio[3] as Writable, child.stdio[4] as Readable];
  const waiting = new Map<number, Waiting>();
  let next = 0;
  let rest = '';
  let isOver = false;
  const hear = (message: string) => {
    const reply = replySchema.safeParse(JSON.parse(message));
    // What it tells of itself has no number.
    if (!reply.success) return;
    const { id, result, error } = reply.data;
    const one = waiting.get(id);
    waiting.delete(id);
    if (error) one?.reject(new Error(error.message));
    else one?.resolve(result);
  };
  from.setEncoding('utf8').on('data', (chunk: string) => {
    const messages = `${rest}${chunk}`.split('\0');
    rest = messages.pop() ?? '';
    messages.forEach(hear);
  });
  to.on('error', () => undefined);
  const close = () => void child.kill('SIGKILL');
  process.once('exit', close);
  const ended = new Promise<void>((resolve) => {
    const done = () => {
      isOver = true;
      process.off('exit', close);
      for (const one of waiting.values()) one.reject(new Error('The browser has ended'));
      waiting.clear();
      void rm(profile, { recursive: true, force: true, maxRetries: 3 }).then(
        () => resolve(),
        () => resolve(),
      );
    };
    child.once('exit', done);
    child.once('error', done);
  });
  child.unref();
  return {
    ended,
    close,
    isOver: () => isOver,
    send: (method, parameters, sessionId) =>
      new Promise((resolve, reject) => {
        // One that has ended answers nothing any more; whoever asks is told so at once.
        if (isOver) return reject(new Error('The browser has ended'));
        const id = (next += 1);
        waiting.set(id, { resolve, reject });
        to.write(`${JSON.stringify({ id, method, params: parameters, ...(sessionId ? { sessionId } : {}) })}\0`);
      }),
  };
}
