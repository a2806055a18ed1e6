import { fileURLToPath } from 'node:url';
import { dataFolder, dataPaths } from '#data/data-folder';
import { prepareData } from '#data/prepare-data';
import { accessFrom } from './server/access';
import { firstContent } from './server/first-content.server';
import { frontOf } from './server/front';
import { listen } from './server/listen';
import { openLog } from './server/log';
import { hasPassword } from '#data/password';
import { requestPool } from './server/request-pool';
import { StartRefused } from './server/start-refused';
import { keepUp } from './server/upkeep';

/** A running server. */
export interface RunningServer {
  /** With a slash at its end. */
  readonly address: string;
  /** What whoever started it should know, in sentences. */
  readonly notes: readonly string[];
  /** Ends it; requests under way are answered first, for a moment. */
  close(): Promise<void>;
}

/** Lets requests that are under way finish, but not for ever. */
const GRACE_MS = 4_000;

/**
 * Starts the web application: guards and built files on this thread, the application itself on threads of its own.
 *
 * @param port - the next free one is taken if it is in use; 0 for any
 * @throws StartRefused or DataProblem, each a sentence that says what to do
 */
export async function startServer(port: number): Promise<RunningServer> {
  process.umask(0o077);
  const access = accessFrom(process.env);
  const paths = dataPaths(dataFolder());
  if (access.isOpen && !hasPassword(paths.password))
    throw new StartRefused(
      `HOST=${access.host} would open Venalis to everybody in your network. Set a password first with “npm run password”, or leave HOST out to use it on this computer alone.`,
    );
  const data = await prepareData(paths, new Date(), firstContent());
  // However this process ends by itself, the log is written into the database.
  process.once('exit', () => data.release());
  const log = openLog(data.open ? paths.logs : null);
  const pool = requestPool(fileURLToPath(new URL('request-thread.js', import.meta.url)), { isReadOnly: data.state.kind !== 'ready' }, log);
  let state = data.state;
  const damaged = (finding: string) => (state = { kind: 'damaged', finding });
  const upkeep = keepUp(data, paths, log, damaged);
  const front = frontOf({
    access,
    paths,
    pool,
    log,
    upkeep,
    sqlite: data.open?.sqlite ?? null,
    state: () => state,
    damaged,
  });
  try {
    const server = await listen(front, access.host, port);
    log.info({ address: server.address, data: state.kind }, 'started');
    return {
      address: server.address,
      notes: notesOf(state, access.isOpen),
      async close() {
        upkeep.stop();
        await server.close(GRACE_MS);
        await pool.close();
        log.info('ended');
        data.release();
      },
    };
  } catch (error) {
    await pool.close();
    data.release();
    throw error;
  }
}

function notesOf(state: { readonly kind: string; readonly why?: string }, isOpen: boolean): string[] {
  return [
    ...(state.kind === 'read-only' ? [`${state.why ?? ''} Venalis is open for looking only; nothing can be changed.`] : []),
    ...(state.kind === 'damaged' ? ['The data are damaged. Nothing is written to them; the page that Venalis shows says what to do.'] : []),
    ...(isOpen
      ? [
          'Everybody in your network can reach the sign-in page. What they send is not encrypted: docs/reverse-proxy.md shows how to put TLS in front.',
        ]
      : []),
  ];
}
