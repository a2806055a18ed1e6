// npm run demo, npm start: everything from installing to serving.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './setup.mjs';

/** The day on which the demo was loaded, noted beside its data. */
function demoDay(folder) {
  const note = join(folder, 'demo-day');
  mkdirSync(folder, { recursive: true });
  // A demo of before dates were moved has them as they were written.
  const day = existsSync(join(folder, 'venalis.db')) ? '2026-11-28' : new Date().toISOString().slice(0, 10);
  if (!existsSync(note)) writeFileSync(note, day);
  return readFileSync(note, 'utf8').trim();
}

const isDemo = process.argv[2] === 'demo';
ensureInstalled();
ensureBuilt();
process.env.NODE_ENV = 'production';
process.env.VENALIS_DATA = isDemo ? join(root, '.demo') : (process.env.VENALIS_DATA ?? join(homedir(), '.venalis'));
if (isDemo) process.env.VENALIS_DEMO = join(root, 'demo');
// The demo has an outside world of its own to look at; dates of both are told from the day on which it was loaded.
if (isDemo) {
  process.env.VENALIS_DEMO_DAY ??= demoDay(process.env.VENALIS_DATA);
  const { startWorld } = await import('./world.mjs');
  const { address: world } = await startWorld(4180);
  process.env.VENALIS_WORLD = world;
}
const { serve } = await import('./serve.mjs');
const { address, notes } = await serve(Number(process.env.PORT ?? 4173));
console.log(
  `\n  Venalis${isDemo ? ', with the worked example of Larkfell Kites,' : ''} stands at ${address}${isDemo ? `\n  The made-up outside world, with its clock, stands at ${process.env.VENALIS_WORLD}/` : ''}\n  Data: ${process.env.VENALIS_DATA}\n  Ctrl+C ends it.\n`,
);
for (const note of notes) console.log(`  ${note}\n`);
