// Serves the built application.
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { BUILT, root } from './setup.mjs';

/**
 * Starts the built application on a port, or on the next free one. Ends it, with the data put in order, when this
 * process is asked to end.
 *
 * @param {number} port - 0 for any free one
 * @returns {Promise<{ address: string, notes: readonly string[], close: () => Promise<void> }>}
 */
export async function serve(port) {
  process.env.VENALIS_CLIENT ??= join(root, 'build/client');
  process.env.VENALIS_BUILD ??= existsSync(BUILT) ? readFileSync(BUILT, 'utf8').slice(0, 16) : 'unknown';
  const { startServer } = await import(pathToFileURL(join(root, 'build/server/index.js')).href);
  const server = await startServer(port).catch(sayAndEnd);
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => void server.close().then(() => process.exit(0)));
  return server;
}

/** A refusal to start is a sentence; anything else is an error of ours and comes whole. */
function sayAndEnd(error) {
  if (['DataProblem', 'StartRefused'].includes(error?.name)) console.error(`\nVenalis was not started. ${error.message}\n`);
  else console.error(error);
  process.exit(1);
}

// Started directly (by the browser tests): prints the address alone, for a program to read.
if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  process.env.NODE_ENV = 'production';
  const { address, notes } = await serve(Number(process.env.PORT ?? 0));
  for (const note of notes) console.error(note);
  console.log(`address ${address}`);
}
