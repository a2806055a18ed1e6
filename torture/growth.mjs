// How large a database gets, and how long a save takes.
import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../scripts/setup.mjs';
import { freshFolder, importDecision, startServer } from './server-under-test.mjs';
import { savingClient } from './saving-client.mjs';

export const demoFile = () => readFileSync(join(root, 'demo/larkfell-kites.json'), 'utf8');
const LARGEST_BYTES = 12_000_000;
const SLOWEST_MS = 15;

/** Saves one decision so many times; wanted: under 12 MB, under 15 ms a save. */
export async function growth({ saves }) {
  const server = await startServer(freshFolder());
  const client = savingClient(await importDecision(server.address, demoFile()));
  await client.save(server.address, () => client.times.length >= saves);
  const check = await client.check(server.address);
  await server.end();
  const bytes = statSync(join(server.folder, 'venalis.db')).size;
  const median = client.times.sort((a, b) => a - b)[Math.floor(client.times.length / 2)] ?? 0;
  const lost = check.lost + (bytes > LARGEST_BYTES ? 1 : 0) + (median > SLOWEST_MS ? 1 : 0);
  return {
    promise: `${saves} saves of a decision stay under 12 MB and under 15 ms each`,
    tries: client.times.length,
    lost,
    said: `${(bytes / 1e6).toFixed(1)} MB, median ${median.toFixed(1)} ms a save`,
  };
}
