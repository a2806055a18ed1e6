// The made-up outside world: vendors' pricing pages and daily rates, with a clock of its own.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureNodeBuilt, root } from './setup.mjs';

const PORTS_TRIED = 50;

/**
 * Starts the outside world on a port of this computer, or on the next free one.
 *
 * @param {number} port - 0 for any free one
 * @returns {Promise<{ address: string, close: () => void }>} address without a slash at its end
 */
export async function startWorld(port) {
  ensureNodeBuilt();
  const { worldServer } = await import(pathToFileURL(join(root, 'build/node/world.js')).href);
  const server = await listen(() => worldServer(process.env.VENALIS_DEMO_DAY), port, PORTS_TRIED);
  return {
    address: `http://127.0.0.1:${server.address().port}`,
    close() {
      server.close();
      server.closeAllConnections();
    },
  };
}

function listen(make, port, triesLeft) {
  return new Promise((resolve, reject) => {
    const server = make();
    server.once('error', (error) =>
      error.code === 'EADDRINUSE' && triesLeft > 0 ? listen(make, port + 1, triesLeft - 1).then(resolve, reject) : reject(error),
    );
    server.listen(port, '127.0.0.1', () => resolve(server));
  });
}

// Started directly (by the browser tests): prints the address alone, for a program to read.
if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const { address, close } = await startWorld(Number(process.env.PORT ?? 0));
  process.once('SIGTERM', () => {
    close();
    process.exit(0);
  });
  console.log(`address ${address}`);
}
