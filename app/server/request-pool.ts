import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import type { Log } from './log';
import type { AskedRequest, GivenAnswer, ThreadSettings } from './request-messages';

/** Why a request was not answered by the application. */
export type Unanswered = 'too-long' | 'too-much' | 'busy';

/** Threads that answer requests. */
export interface RequestPool {
  answer(asked: AskedRequest): Promise<GivenAnswer | { readonly unanswered: Unanswered }>;
  close(): Promise<void>;
}

/**
 * Requests that are known to take their time have threads of their own, so that nobody waits behind them; and what only
 * reads something in does not wait behind reports and pages of others, which can take many seconds. The place that shows
 * a report is no slower than the others, and does not wait behind files of it either.
 */
const LONG_PATHS = {
  heavy: [/\/report\/[^/]+$/, /^\/watch(\/|\.data|$)/, /\.xlsx(\.data)?$/],
  reading: [/^\/decisions\/import/, /^\/read-/, /\.ics(\.data)?$/, /^\/data(\/|\.data|$)/],
} as const;
const LARGE_BYTES = 256 * 1024;
/** How long a request may take before it is ended, in milliseconds. */
export interface TimeLimits {
  readonly usualMs: number;
  readonly longMs: number;
}

const TIME_LIMITS: TimeLimits = { usualMs: 10_000, longMs: 60_000 };
/** A thread that is asked for more memory than this is ended by itself, without the server. */
const MOST_HEAP_MB = 1_024;
const MOST_WAITING = 2_000;
/**
 * The threads are modules. Piscina tries `require` on them first, which ended whole processes where a thread began while
 * another was loading ("IsGraphAsync must be used on an instantiated module").
 */
const MODULES_ONLY = [...process.execArgv, '--no-experimental-require-module'] as const;
const LONG_READY_MS = 3_000;
/** Asked once at the start, so that a thread has everything loaded before somebody waits. */
const NOBODYS_REQUEST: AskedRequest = {
  url: 'http://localhost/ready',
  method: 'GET',
  headers: [],
  body: null,
  nonce: '',
  isSignedIn: false,
};

type Lane = keyof typeof LONG_PATHS;
const ALL_LANES: readonly Lane[] = ['heavy', 'reading'];

/** With which of those that may take long a request is answered; null for all others. */
export function laneOf({ url, body }: Pick<AskedRequest, 'url' | 'body'>): Lane | null {
  const { pathname } = new URL(url);
  if (LONG_PATHS.heavy.some((pattern) => pattern.test(pathname))) return 'heavy';
  return (body?.length ?? 0) > LARGE_BYTES || LONG_PATHS.reading.some((pattern) => pattern.test(pathname)) ? 'reading' : null;
}

/**
 * Starts the threads.
 *
 * @param filename - the built `request-thread`
 */
export function requestPool(filename: string, settings: ThreadSettings, log: Log, limits = TIME_LIMITS): RequestPool {
  const shared = {
    filename,
    workerData: settings,
    atomics: 'disabled',
    maxQueue: MOST_WAITING,
    resourceLimits: { maxOldGenerationSizeMb: MOST_HEAP_MB },
  } as const;
  const wanted = Number(process.env['VENALIS_THREADS'] ?? '');
  const threads = wanted >= 1 ? Math.floor(wanted) : Math.min(4, Math.max(2, availableParallelism()));
  const usual = new Piscina({ ...shared, execArgv: [...MODULES_ONLY], minThreads: 1, maxThreads: threads, idleTimeout: 300_000 });
  // A thread that fails between two requests is replaced; nobody waits for it.
  const watched = (pool: Piscina) => pool.on('error', (error: unknown) => log.error({ err: error }, 'a thread ended'));
  watched(usual);
  const pools = [usual];
  const warmedUp = (pool: Piscina) =>
    pool.run(NOBODYS_REQUEST).then(
      () => undefined,
      () => undefined,
    );
  // Loading the application takes seconds on a busy machine; that is not the first request's fault.
  const loaded = warmedUp(usual);
  // One lane loads after the other: two at once take the processors from those who are served meanwhile.
  let loading: Promise<unknown> = loaded;
  const lanes = new Map<Lane, Promise<Piscina>>();
  const laneFor = (lane: Lane): Promise<Piscina> => {
    const found = lanes.get(lane);
    if (found) return found;
    const pool = loading.then(async () => {
      const made = watched(
        new Piscina({
          ...shared,
          execArgv: [...MODULES_ONLY],
          workerData: { ...settings, isForLong: true },
          minThreads: 1,
          maxThreads: 1,
          idleTimeout: 120_000,
        }),
      );
      pools.push(made);
      await warmedUp(made);
      return made;
    });
    loading = pool;
    lanes.set(lane, pool);
    return pool;
  };
  const later = threads > 1 ? setTimeout(() => ALL_LANES.forEach((lane) => void laneFor(lane)), LONG_READY_MS) : undefined;
  later?.unref();
  return {
    async answer(asked) {
      const lane = laneOf(asked);
      const [pool, limit] = lane ? [await laneFor(lane), limits.longMs] : [usual, limits.usualMs];
      if (!lane) await loaded;
      const signal = AbortSignal.timeout(limit);
      try {
        return (await pool.run(asked, { signal })) as GivenAnswer;
      } catch (error) {
        const unanswered = signal.aborted ? 'too-long' : unansweredBy(error);
        if (unanswered === null) throw error;
        return { unanswered };
      }
    },
    async close() {
      clearTimeout(later);
      await Promise.all(pools.map((pool) => pool.close({ force: true })));
      await Promise.all(pools.map((pool) => pool.destroy()));
    },
  };
}

function unansweredBy(error: unknown): Unanswered | null {
  const [code, message] = error instanceof Error ? ['code' in error ? String(error.code) : '', error.message] : ['', ''];
  if (code === 'ERR_WORKER_OUT_OF_MEMORY') return 'too-much';
  return /queue|terminat|clos/i.test(message) ? 'busy' : null;
}
