// Requests of every kind, most of them wrong, over all addresses: none may be answered with a 500, none may take long.
import { request as httpRequest } from 'node:http';
import { chance } from './chance.mjs';
import { demoFile } from './growth.mjs';
import { oddRequest } from './odd-requests.mjs';
import { storedDecision } from './saving-client.mjs';
import { freshFolder, importDecision, startServer } from './server-under-test.mjs';

/** These are known to take long: they write reports and workbooks, look at pages of others, or take everything in. */
const LONG = /\/report\/|workbook|^\/watch|^\/data\/import/;
const AT_ONCE = 6;
const A_SERVER = 10_000;

export async function fuzz({ rounds, seed, slowestMs = 2_000 }) {
  const luck = chance(seed);
  const counted = { failures: [], slow: [], once: [], statuses: {} };
  for (let done = 0; done < rounds; done += A_SERVER) await oneServer(Math.min(A_SERVER, rounds - done), luck, counted, slowestMs);
  const { failures, slow, once, statuses } = counted;
  for (const line of [...failures, ...slow].slice(0, 20)) console.error(`    ${line}`);
  const answers = Object.entries(statuses)
    .sort()
    .map(([status, count]) => `${status}: ${count}`)
    .join(', ');
  const said = once.length > 0 ? `${answers}; slow once and not again: ${once.length}, the slowest ${Math.max(...once)} ms` : answers;
  return {
    promise: `No request is answered with a 500, or takes more than ${slowestMs / 1_000} s again and again`,
    tries: rounds,
    lost: failures.length + slow.length,
    said,
  };
}

async function oneServer(rounds, luck, { failures, slow, once, statuses }, slowestMs) {
  let server = await startServer(freshFolder(), { VENALIS_DEMO: 'demo' });
  const decision = await importDecision(server.address, demoFile());
  const document = await storedDecision(server.address, decision);
  const known = { decision, sheet: document.sheets[0]?.sheet ?? 'none', document };
  let left = rounds;
  const worker = async () => {
    while (left > 0) {
      left -= 1;
      const one = oddRequest(luck, known);
      const begun = performance.now();
      const status = await send(server.address, one);
      const took = performance.now() - begun;
      statuses[status] = (statuses[status] ?? 0) + 1;
      const what = `${one.method} ${one.path.slice(0, 120)} ${JSON.stringify(one.headers).slice(0, 120)} ${one.body.toString().slice(0, 200)}`;
      if (status === 500 || status === 0) failures.push(`${status} ${what}`);
      if (took <= slowestMs || LONG.test(one.path)) continue;
      // A shared machine stands still now and then. A request is slow if it is so again.
      const again = performance.now();
      await send(server.address, one);
      const tookAgain = performance.now() - again;
      if (tookAgain > slowestMs) slow.push(`${Math.round(took)} ms, again ${Math.round(tookAgain)} ms ${what}`);
      else once.push(Math.round(took));
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  await server.end();
  server = null;
}

function send(address, { method, path, headers, body }) {
  return new Promise((resolve) => {
    const { hostname, port } = new URL(address);
    let request;
    try {
      request = httpRequest({
        hostname,
        port,
        method,
        path: path.replace(/[^\x21-\x7e]/g, '?'),
        headers: { ...headers, 'content-length': body.length },
        timeout: 70_000,
      });
    } catch {
      return resolve(400);
    }
    request.once('response', (response) => {
      response.resume();
      response.once('end', () => resolve(response.statusCode ?? 0));
      response.once('error', () => resolve(0));
    });
    request.once('timeout', () => request.destroy());
    request.once('error', (error) => resolve(error.code === 'ECONNRESET' && headers.expect ? 417 : 0));
    request.end(body);
  });
}
