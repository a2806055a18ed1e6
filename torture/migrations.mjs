// Upgrades and first starts are killed half-way; then they have to start again with all data.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { dataTools } from '../scripts/data-tools.mjs';
import { root } from '../scripts/setup.mjs';
import { chance } from './chance.mjs';
import { freshFolder } from './server-under-test.mjs';

const VERSIONS = ['001', '002', '003', 'none'];
const NEWEST_NAME = 'Where should Larkfell Kites sell? 3';

export async function migrations({ rounds, seed }) {
  const { default: SQLite } = await import('better-sqlite3');
  const { openDatabase, loadWorkbench } = await dataTools({ installs: false });
  const luck = chance(seed);
  let [lost, interrupted] = [0, 0];
  for (let round = 0; round < rounds; round++) {
    const version = VERSIONS[round % VERSIONS.length];
    const file = join(freshFolder(), 'venalis.db');
    if (version !== 'none') {
      const sqlite = new SQLite(file);
      sqlite.pragma('journal_mode = WAL');
      sqlite.pragma('foreign_keys = OFF');
      sqlite.exec(readFileSync(join(root, `data/tests/fixtures/version-${version}.sql`), 'utf8'));
      sqlite.close();
    }
    // Every tenth time two start at once, and one of them is killed.
    const children = Array.from({ length: round % 10 === 9 ? 2 : 1 }, () =>
      spawn(process.execPath, [join(root, 'torture/upgrade.mjs'), file], { stdio: ['ignore', 'pipe', 'ignore'] }),
    );
    const [killed] = children;
    const ended = children.map((child) => new Promise((resolve) => child.once('exit', (code, signal) => resolve(signal ?? code))));
    await new Promise((resolve) => killed?.stdout.once('data', resolve));
    const wait = luck.upTo(30);
    if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait));
    killed?.kill('SIGKILL');
    const [how, ...others] = await Promise.all(ended);
    if (how === 'SIGKILL') interrupted += 1;
    if (others.some((code) => code !== 0)) lost += 1;
    lost += await isWhole(version).then(
      (whole) => (whole ? 0 : 1),
      () => 1,
    );

    async function isWhole(of) {
      const db = await openDatabase(file);
      const saved = of === 'none' ? null : await loadWorkbench(db, 'larkfell-kites');
      await db.destroy();
      return of === 'none' || saved?.workbench.decision.name === NEWEST_NAME;
    }
  }
  return {
    promise: 'An upgrade or first start that is killed starts again with all data',
    tries: rounds,
    lost,
    said: `${interrupted} were cut short before they were done`,
  };
}
