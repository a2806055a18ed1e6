// The process is killed while clients save; then it starts again, and every acknowledged save has to be there.
import { chance } from './chance.mjs';
import { demoFile } from './growth.mjs';
import { savingClient } from './saving-client.mjs';
import { freshFolder, importDecision, startServer } from './server-under-test.mjs';

const CLIENTS = 4;

export async function kills({ rounds, seed }) {
  const luck = chance(seed);
  const folder = freshFolder();
  let server = await startServer(folder);
  const clients = [];
  for (let one = 0; one < CLIENTS; one++) clients.push(savingClient(await importDecision(server.address, demoFile())));
  let lost = 0;
  for (let round = 0; round < rounds; round++) {
    let isOver = false;
    const saving = clients.map((client) => client.save(server.address, () => isOver).catch(() => null));
    await whileSaving(clients, 40 + luck.upTo(400));
    await server.end(luck.next() < 0.85 ? 'SIGKILL' : 'SIGTERM');
    isOver = true;
    await Promise.all(saving);
    server = await startServer(folder);
    for (const client of clients) lost += await lostBy(client, server.address);
  }
  await server.end();
  const saves = clients.reduce((sum, client) => sum + client.acknowledged(), 0);
  return {
    promise: 'An acknowledged save survives the process being killed',
    tries: rounds,
    lost,
    said: `${saves} saves acknowledged`,
  };
}

/** Waits until saves come in, and so much longer. */
export async function whileSaving(clients, milliseconds) {
  const saved = () => clients.reduce((sum, { times }) => sum + times.length, 0);
  const before = saved();
  for (let turn = 0; turn < 200 && saved() === before; turn++) await new Promise((resolve) => setTimeout(resolve, 25));
  await new Promise((resolve) => setTimeout(resolve, milliseconds));
}

/** How many acknowledged saves of a client are gone; what was never sent counts as wrong too. */
export async function lostBy(client, address) {
  const { lost, isPossible } = await client.check(address);
  return lost + (isPossible ? 0 : 1);
}
