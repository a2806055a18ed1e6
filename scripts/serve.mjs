// Serves the built application.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './setup.mjs';

const PORTS_TRIED = 50;

/**
 * Starts the built application on a port, or on the next free one.
 *
 * @param {number} port - 0 for any free one
 * @returns {Promise<{ address: string, close: () => Promise<void> }>}
 */
export async function serve(port) {
  process.env.VENALIS_CLIENT ??= join(root, 'build/client');
  const { app, prepare } = await import(pathToFileURL(join(root, 'build/server/index.js')).href);
  await prepare();
  const host = process.env.HOST ?? '127.0.0.1';
  const server = await listen(app, host, port, PORTS_TRIED);
  const close = () => new Promise((resolve) => {
    server.close(() => resolve(undefined));
    server.closeAllConnections();
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void close().then(() => process.exit(0)));
  return { address: `http://${host}:${server.address().port}/`, close };
}

function listen(app, host, port, triesLeft) {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, host, (error) => {
      if (!error) resolve(server);
      else if (error.code === 'EADDRINUSE' && triesLeft > 0) listen(app, host, port + 1, triesLeft - 1).then(resolve, reject);
      else reject(error);
    });
  });
}

// Started directly (by the browser tests): prints the address alone, for a program to read.
if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  process.env.NODE_ENV = 'production';
  const { address } = await serve(Number(process.env.PORT ?? 0));
  console.log(`address ${address}`);
}
