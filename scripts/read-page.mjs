// npm run --silent read-page -- [--currency EUR] FILE…: reads pricing pages and prints what they say.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureInstalled, ensureNodeBuilt, root } from './setup.mjs';

ensureInstalled();
ensureNodeBuilt();
const { readPages } = await import(pathToFileURL(join(root, 'build/node/read-page.js')).href);
process.chdir(process.env.INIT_CWD ?? process.cwd());
process.exitCode = readPages(process.argv.slice(2), {
  out: (line) => process.stdout.write(`${line}\n`),
  problem: (line) => process.stderr.write(`${line}\n`),
});
