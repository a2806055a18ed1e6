// One page of the database is overwritten; a server must not go on saving into it, and must show nothing that is wrong.
import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { dataTools } from '../scripts/data-tools.mjs';
import { chance } from './chance.mjs';
import { demoFile } from './growth.mjs';
import { savingClient } from './saving-client.mjs';
import { freshFolder, importDecision, startServer } from './server-under-test.mjs';

const PAGE_BYTES = 4_096;

export async function damagedPages({ rounds, seed }) {
  const { lookAtFile } = await dataTools({ installs: false });
  const luck = chance(seed);
  let [lost, told, harmless] = [0, 0, 0];
  for (let round = 0; round < rounds; round++) {
    const folder = freshFolder();
    const server = await startServer(folder);
    const client = savingClient(await importDecision(server.address, demoFile()));
    await client.save(server.address, () => client.acknowledged() >= 30);
    await server.end();
    const file = join(folder, 'venalis.db');
    const bytes = readFileSync(file);
    const page = luck.upTo(statSync(file).size / PAGE_BYTES - 1);
    for (let at = page * PAGE_BYTES; at < (page + 1) * PAGE_BYTES; at++) bytes[at] = luck.upTo(255);
    writeFileSync(file, bytes);
    const isDamaged = lookAtFile(file).kind !== 'sound';
    const again = await startServer(folder);
    const reply = await client.save(again.address, () => client.acknowledged() >= 31).catch(() => ({ kind: 'refused' }));
    const page1 = await fetch(`${again.address}decisions`);
    await again.end();
    const isWritten = reply.kind === 'saved';
    if (isDamaged && (isWritten || page1.status !== 503)) lost += 1;
    if (isDamaged) told += 1;
    else harmless += 1;
  }
  return {
    promise: 'Nothing is saved into a damaged database, and its page says what to do',
    tries: rounds,
    lost,
    said: `${told} damaged, ${harmless} hit only what one document holds or nothing at all`,
  };
}
