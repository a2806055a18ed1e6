// The disk fills up while somebody saves: nothing acknowledged is lost, and saving goes on when there is room again.
import { spawnSync } from 'node:child_process';
import { readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoFile } from './growth.mjs';
import { lostBy } from './kills.mjs';
import { savingClient } from './saving-client.mjs';
import { freshFolder, importDecision, startServer } from './server-under-test.mjs';

const PROMISE = 'A full disk loses nothing: saving is refused in words, goes on when there is room, and what is there can be looked at';

export async function fullDisk({ rounds }) {
  const disk = freshFolder();
  const isMounted =
    process.platform === 'linux' && spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=6m', 'tmpfs', disk], { stdio: 'ignore' }).status === 0;
  if (!isMounted) return { promise: PROMISE, tries: 0, lost: 0, said: 'not tried: it needs Linux and leave to mount a small disk' };
  let lost = 0;
  const said = [];
  try {
    for (let round = 0; round < rounds; round++) {
      const folder = join(disk, `data-${round}`);
      const server = await startServer(folder);
      const client = savingClient(await importDecision(server.address, demoFile()));
      await client.save(server.address, () => client.acknowledged() >= 5);
      fill(disk);
      const refused = await client.save(server.address, () => false).catch((error) => ({ kind: 'failed', why: String(error) }));
      if (refused.kind !== 'unreachable') lost += 1;
      said.push(refused.why ?? refused.kind);
      await server.end('SIGKILL');
      // Starting on a full disk: what is there can be looked at.
      const full = await startServer(folder);
      if ((await fetch(`${full.address}decisions/${client.id}/line-up`)).status !== 200) lost += 1;
      await full.end('SIGKILL');
      rmSync(join(disk, 'filler'));
      const again = await startServer(folder);
      lost += await lostBy(client, again.address);
      const before = client.acknowledged();
      await client.save(again.address, () => client.acknowledged() >= before + 3);
      if (client.acknowledged() < before + 3) lost += 1;
      await again.end();
      for (const name of readdirSync(disk)) rmSync(join(disk, name), { recursive: true });
    }
  } finally {
    spawnSync('umount', [disk]);
  }
  return { promise: PROMISE, tries: rounds, lost, said: `the person was told: ${[...new Set(said)].join('; ')}` };
}

function fill(disk) {
  for (let size = 1 << 20; size >= 1; size >>= 1)
    for (;;)
      try {
        writeFileSync(join(disk, 'filler'), '.'.repeat(size), { flag: 'a' });
      } catch {
        break;
      }
}
