import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { StartRefused } from './start-refused';

const PORTS_TRIED = 50;
const LAST_PORT = 65_535;
/** A request has to arrive whole within this time. */
const REQUEST_MS = 120_000;

/** A server that listens. */
export interface Listening {
  /** With a slash at its end. */
  readonly address: string;
  /** Takes no more requests; those under way are given so long. */
  close(graceMs: number): Promise<void>;
}

/**
 * Listens on a port, or on the next free one.
 *
 * @throws StartRefused if there is no such address here, or no port is free
 */
export async function listen(answer: RequestListener, host: string, port: number): Promise<Listening> {
  if (!Number.isInteger(port) || port < 0 || port > LAST_PORT)
    throw new StartRefused(`PORT is not a port. Name a whole number from 1 to ${LAST_PORT}, or leave PORT out.`);
  const server = await listenOn(answer, host, port, PORTS_TRIED);
  const { port: taken } = server.address() as AddressInfo;
  const shown = host.includes(':') && !host.startsWith('[') ? `[${host}]` : host;
  return {
    address: `http://${['0.0.0.0', '[::]'].includes(shown) ? '127.0.0.1' : shown}:${taken}/`,
    close: (graceMs) =>
      new Promise((resolve) => {
        const timer = setTimeout(() => server.closeAllConnections(), graceMs);
        server.close(() => {
          clearTimeout(timer);
          resolve();
        });
        server.closeIdleConnections();
      }),
  };
}

function listenOn(answer: RequestListener, host: string, port: number, triesLeft: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = createServer({ requestTimeout: REQUEST_MS }, answer);
    server.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'EADDRINUSE' && triesLeft > 0 && port !== 0) listenOn(answer, host, port + 1, triesLeft - 1).then(resolve, reject);
      else reject(new StartRefused(sentenceFor(error, host, port), { cause: error }));
    });
    server.listen(port, host.replace(/^\[|\]$/g, ''), () => resolve(server));
  });
}

function sentenceFor({ code, message }: NodeJS.ErrnoException, host: string, port: number): string {
  if (code === 'EADDRINUSE') return `The ports from ${port} on are all in use. Name a free one with PORT.`;
  if (code === 'EACCES') return `Port ${port} may not be used by this account. Name one above 1024 with PORT.`;
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND')
    return `This computer has no address ${host}. Name one of its own in HOST, or leave HOST out.`;
  return `Venalis could not listen at ${host}:${port} (${message}).`;
}
