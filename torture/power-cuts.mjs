// Power is cut while clients save: whatever was not waited for may be lost, torn or out of order.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../scripts/setup.mjs';
import { chance } from './chance.mjs';
import { diskAfter, putDisk, readJournal } from './disk-after.mjs';
import { demoFile } from './growth.mjs';
import { lostBy, whileSaving } from './kills.mjs';
import { savingClient } from './saving-client.mjs';
import { freshFolder, importDecision, startServer } from './server-under-test.mjs';

const CLIENTS = 3;
const PROMISE = 'An acknowledged save survives a cut of power';

/** The shim, compiled; null where that cannot be done. */
function compiledShim() {
  if (process.platform !== 'linux') return null;
  const shim = join(freshFolder(), 'power-cut-shim.so');
  spawnSync('cc', ['-shared', '-fPIC', '-O1', '-o', shim, join(root, 'torture/power-cut-shim.c'), '-ldl', '-lpthread']);
  return existsSync(shim) ? shim : null;
}

export async function powerCuts({ rounds, seed }) {
  const shim = compiledShim();
  if (!shim) return { promise: PROMISE, tries: 0, lost: 0, said: 'not tried: it needs Linux and a C compiler (cc)' };
  const luck = chance(seed);
  let [lost, saves] = [0, 0];
  for (let round = 0; round < rounds; round++) {
    const folder = join(freshFolder(), 'data');
    const journal = join(freshFolder(), 'journal');
    const server = await startServer(folder, {
      LD_PRELOAD: shim,
      VENALIS_SHIM_FOLDER: folder,
      VENALIS_SHIM_JOURNAL: journal,
    });
    const clients = [];
    for (let one = 0; one < CLIENTS; one++) clients.push(savingClient(await importDecision(server.address, demoFile())));
    let isOver = false;
    const saving = clients.map((client) => client.save(server.address, () => isOver).catch(() => null));
    await whileSaving(clients, luck.upTo(round % 5 === 4 ? 4_000 : 900));
    await server.end('SIGKILL');
    isOver = true;
    await Promise.all(saving);
    saves += clients.reduce((sum, client) => sum + client.acknowledged(), 0);
    const after = join(freshFolder(), 'data');
    putDisk(diskAfter(readJournal(journal), luck), folder, after);
    const again = await startServer(after);
    for (const client of clients) lost += await lostBy(client, again.address).catch(() => client.acknowledged() + 1);
    await again.end();
  }
  return { promise: PROMISE, tries: rounds, lost, said: `${saves} saves acknowledged` };
}
