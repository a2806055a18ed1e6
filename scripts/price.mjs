// npm run --silent price -- FILE…: prices decision files.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureInstalled, ensureNodeBuilt, root } from './setup.mjs';

ensureInstalled();
ensureNodeBuilt();
const { price } = await import(pathToFileURL(join(root, 'build/node/price.js')).href);
process.chdir(process.env.INIT_CWD ?? process.cwd());
process.exitCode = price(process.argv.slice(2), {
  out: (line) => process.stdout.write(`${line}\n`),
  problem: (line) => process.stderr.write(`${line}\n`),
});
