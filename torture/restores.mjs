// Back up while clients save, go on, end or kill the server, restore: what was backed up has to stand there again.
import { join } from 'node:path';
import { dataTools } from '../scripts/data-tools.mjs';
import { chance } from './chance.mjs';
import { demoFile } from './growth.mjs';
import { savingClient, storedDecision } from './saving-client.mjs';
import { freshFolder, importDecision, startServer } from './server-under-test.mjs';

export async function restores({ rounds, seed }) {
  const { copyToFile, dataPaths, restore } = await dataTools({ installs: false });
  const luck = chance(seed);
  let lost = 0;
  for (let round = 0; round < rounds; round++) {
    const paths = dataPaths(freshFolder());
    const server = await startServer(paths.folder);
    const client = savingClient(await importDecision(server.address, demoFile()));
    let saves = 1 + luck.upTo(12);
    await client.save(server.address, () => client.acknowledged() >= saves);
    const copy = await copyToFile(paths, join(freshFolder(), 'copy.db'));
    const wanted = (await storedDecision(server.address, client.id)).name;
    saves += 1 + luck.upTo(12);
    await client.save(server.address, () => client.acknowledged() >= saves);
    const isRefused = !(await restore(paths, copy, new Date())).ok;
    await server.end(luck.next() < 0.6 ? 'SIGKILL' : 'SIGTERM');
    const outcome = await restore(paths, copy, new Date());
    const again = await startServer(paths.folder);
    const name = (await storedDecision(again.address, client.id)).name;
    await client.save(again.address, () => client.times.length > saves);
    await again.end();
    if (!isRefused || !outcome.ok || name !== wanted) lost += 1;
  }
  return {
    promise: 'A restored back-up is exactly what was backed up; restoring is refused while a server runs',
    tries: rounds,
    lost,
    said: '',
  };
}
